<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Judgement\Sign;

use Olvek\Core\Basis\Unit\Provenance;
use Olvek\Core\Judgement\Sign\Facts\Findings;
use Olvek\Core\Judgement\Sign\Knowledge;
use Olvek\Core\Judgement\Sign\Often;
use Olvek\Core\Keeping\Log\Sign;
use Olvek\Core\Nature\Catalogue\InvalidCatalogue;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** The two tables of signs, causes and facts keep their own rules. */
final class KnowledgeTest extends TestCase
{
    public function testEachSignThatAsksWhyHasACauseThatUsuallyBringsIt(): void
    {
        foreach (Sign::cases() as $sign) {
            $causes = Knowledge::shipped()->behind($sign);
            if (!$sign->asksWhy()) {
                self::assertSame([], $causes, $sign->value);
                continue;
            }
            $chances = array_map(static fn ($c): float => $c->signs[$sign->value]->often->chance(), $causes);
            self::assertGreaterThanOrEqual(0.3, max([0.0, ...$chances]), $sign->value);
            self::assertNotSame('', $sign->shows()->look);
        }
    }

    /** What is from memory names what it remembers; no likelihood stands without a mark. */
    public function testNoCauseWithoutProvenance(): void
    {
        foreach (Knowledge::shipped()->causes as $cause) {
            $marks = [];
            foreach ([...array_values($cause->signs), ...array_values($cause->facts)] as $likelihood) {
                $marks[] = $likelihood->provenance;
            }
            self::assertNotSame([], $cause->facts, "$cause->id: nothing of a tank would speak for or against it");
            if (\in_array(Provenance::Memory, $marks, true) || \in_array(Provenance::Published, $marks, true)) {
                self::assertNotSame('', $cause->source, $cause->id);
            }
            self::assertNotSame('', $cause->do);
            self::assertNotSame('', $cause->avoid);
        }
    }

    /** A fact that no cause asks for, or that nothing tells of, is dead. */
    public function testEachFactIsAskedForAndFound(): void
    {
        $asked = [];
        foreach (Knowledge::shipped()->causes as $cause) {
            $asked += $cause->facts;
        }
        $found = Findings::of(Cases::case(
            'animals.add.neocaridina-davidi=10 on 40',
            '28 deed stock 10 a1; 70 reading temperature 24; 72 reading temperature 23',
            75,
            'pale-tips:c1 dead:a2',
        ));
        foreach (Knowledge::shipped()->facts as $fact) {
            self::assertArrayHasKey($fact->id, $asked);
            $isAsked = '' !== $fact->look || \in_array($fact->id, ['sudden', 'spreading'], true);
            self::assertTrue($isAsked || isset($found[$fact->id]), $fact->id);
        }
        self::assertSame([], array_diff_key($found, Knowledge::shipped()->facts));
    }

    /** Words of chance stand in their order, and none is certain. M: Mosteller & Youtz (1990), Statistical Science 5. */
    public function testWordsOfChanceAreInOrder(): void
    {
        $chances = array_map(static fn (Often $o): float => $o->chance(), Often::cases());
        $sorted = $chances;
        rsort($sorted);
        self::assertSame($sorted, $chances);
        self::assertLessThan(1.0, max($chances));
        self::assertGreaterThan(0.0, min($chances));
    }

    #[TestWith(['facts.csv', 'often J', 'mostly J', 'is not written as "usually C"'])]
    #[TestWith(['facts.csv', 'sometimes J', 'sometimes', 'is not written as'])]
    #[TestWith(['causes.csv', 'new-tank usually C', 'new-moon usually C', '"new-moon" is not known'])]
    #[TestWith(['causes.csv', 'pale-tips usually C', 'pale-tops usually C', '"pale-tops" is not known'])]
    #[TestWith(['causes.csv', ',14,fertilise', ',61,fertilise', 'days: must be a whole number up to 60'])]
    #[TestWith(['causes.csv', 'fed up', 'fed sideways', 'watch: is not written as'])]
    #[TestWith(['causes.csv', ',fertilise,', ',pray,', 'action "pray" is not known'])]
    public function testAComplaintNamesFileAndLine(string $file, string $from, string $to, string $why): void
    {
        $folder = sys_get_temp_dir().'/olvek-knowledge-'.bin2hex(random_bytes(6));
        mkdir($folder);
        try {
            foreach (['facts.csv', 'causes.csv'] as $name) {
                $text = (string) file_get_contents(\dirname(__DIR__, 3)."/data/$name");
                $changed = $name === $file ? preg_replace('/'.preg_quote($from, '/').'/', $to, $text, 1) : $text;
                self::assertTrue($name !== $file || $changed !== $text, "\"$from\" stands nowhere");
                file_put_contents("$folder/$name", $changed);
            }
            $this->expectException(InvalidCatalogue::class);
            $this->expectExceptionMessageMatches('/^'.preg_quote($file, '/').', line \d+: .*'.preg_quote($why, '/').'/');
            Knowledge::load($folder);
        } finally {
            array_map(unlink(...), ["$folder/facts.csv", "$folder/causes.csv"]);
            rmdir($folder);
        }
    }
}
