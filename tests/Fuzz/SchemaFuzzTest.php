<?php

declare(strict_types=1);

namespace Olvek\Tests\Fuzz;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Judgement\Solve\Compose\WishDocument;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Planning\Plan\InvalidPlan;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Core\Planning\Plan\Problem;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/**
 * What the published schemas say is what the program takes: documents drawn from the schemas, and sound ones with one fault, are held
 * against npm's ajv (JSON Schema 2020-12). What passes the schema and is refused breaks a rule between values that docs/formats.md lists.
 */
#[Group('any-database')]
final class SchemaFuzzTest extends TestCase
{
    private const DOCUMENTS = 1500;

    #[TestWith([1])]
    #[TestWith([2026])]
    public function testSchemaAndProgramAgree(int $seed): void
    {
        $process = new Process(['node', __DIR__.'/documents.mjs', (string) $seed, (string) self::DOCUMENTS], timeout: 60);
        $process->mustRun();
        $catalogue = Catalogue::shipped();
        $readers = ['plan' => new PlanDocument($catalogue), 'wish' => new WishDocument($catalogue)];
        $differences = [];
        $taken = $refused = 0;
        $rules = [];
        foreach (explode("\n", trim($process->getOutput())) as $line) {
            /** @var array{kind: 'plan'|'wish', how: string, valid: bool, why: string, document: mixed} $case */
            $case = json_decode($line, true, 64, \JSON_THROW_ON_ERROR);
            $problems = [];
            try {
                $readers[$case['kind']]->fromJson(self::document($line));
            } catch (InvalidPlan $invalid) {
                $problems = $invalid->problems;
            }
            $unsaid = array_filter($problems, static fn (Problem $p): bool => null === $p->rule);
            [] === $problems ? ++$taken : ++$refused;
            foreach ($problems as $problem) {
                $rules[$problem->rule->value ?? ''] = true;
            }
            if ($case['valid'] ? [] !== $unsaid : [] === $problems) {
                $differences[] = \sprintf(
                    '%s, %s: the schema says %s, the program %s',
                    $case['kind'],
                    $case['how'],
                    $case['valid'] ? 'yes' : "no ($case[why])",
                    [] === $problems
                        ? 'takes it'
                        : implode('; ', array_map(static fn (Problem $p): string => "$p->path: ".$p->message(UnitSystem::Metric), $unsaid)),
                );
            }
        }
        self::assertSame([], \array_slice($differences, 0, 20), \count($differences).' differences');
        // Enough of both for the comparison to mean something.
        self::assertGreaterThan(self::DOCUMENTS / 5, $taken);
        self::assertGreaterThan(self::DOCUMENTS / 5, $refused);
        self::assertGreaterThan(8, \count($rules), 'many rules are met');
    }

    /** The document as it was written: decoded and encoded again, an empty object would be a list. */
    private static function document(string $line): string
    {
        return substr($line, (int) strpos($line, '"document":') + \strlen('"document":'), -1);
    }

    /** JSON has one kind of number: other programs write 4 as 4.0. */
    public function testAWholeNumberMayBeWrittenWithItsPoint(): void
    {
        $document = new PlanDocument(Catalogue::shipped());
        $demo = (string) file_get_contents(\dirname(__DIR__, 2).'/demo/waiting-hall.plan.json');
        $pointed = (string) preg_replace('/("pieces": \d+)(?=[,\s])/', '$1.0', $demo, -1, $count);
        self::assertGreaterThan(0, $count);
        self::assertSame($document->toJson($document->fromJson($demo)), $document->toJson($document->fromJson($pointed)));
        $this->expectException(InvalidPlan::class);
        $document->fromJson((string) preg_replace('/("pieces": \d+)(?=[,\s])/', '$1.5', $demo, 1));
    }
}
