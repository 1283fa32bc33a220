<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Planning\Plan;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Planning\Plan\InvalidPlan;
use Olvek\Core\Planning\Plan\JsonLines;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Where in a text each place of a document stands. */
final class JsonLinesTest extends TestCase
{
    public function testKeysAndItemsHaveTheirLines(): void
    {
        $lines = JsonLines::of(
            "{\n  \"a\": 1, \"b\": {\n    \"c\": [\n      {\"id\": \"x1\",\n       "
                ."\"d\": \"one\\n \\\"two\\\" {\"},\n      {\"d\": 2},\n      3\n    ]\n  }\n}",
        );
        self::assertSame(
            [1, 2, 2, 3, 4, 4, 5, 6, 6, 7],
            array_map($lines->line(...), ['', 'a', 'b', 'b.c', 'b.c.x1', 'b.c.x1.id', 'b.c.x1.d', 'b.c.1', 'b.c.1.d', 'b.c.2']),
        );
        self::assertSame(3, $lines->line('b.c.none.of.these'), 'what is missing stands where it is missing from');
    }

    /** Of every number and word of a document as Olvek writes it, the line holds its key. */
    public function testEveryLineHoldsItsKey(): void
    {
        $json = (string) file_get_contents(__DIR__.'/../../../../demo/waiting-hall.plan.json');
        $text = explode("\n", $json);
        $lines = JsonLines::of($json);
        $looked = 0;
        $walk = static function (array $data, string $path) use (&$walk, $lines, $text, &$looked): void {
            foreach ($data as $key => $value) {
                $name = \is_array($value) && \is_string($value['id'] ?? null) ? $value['id'] : (string) $key;
                $place = '' === $path ? $name : "$path.$name";
                if (\is_string($key)) {
                    self::assertStringContainsString("\"$key\"", $text[(int) $lines->line($place) - 1], $place);
                    ++$looked;
                }
                if (\is_array($value)) {
                    $walk($value, $place);
                }
            }
        };
        $data = json_decode($json, true);
        self::assertIsArray($data);
        $walk($data, '');
        self::assertGreaterThan(100, $looked);
    }

    #[TestWith([''])]
    #[TestWith(['{'])]
    #[TestWith(['{"a"'])]
    #[TestWith(['{"a": }'])]
    #[TestWith(['[1, 2'])]
    #[TestWith(['}}}]]'])]
    #[TestWith(['{"a": "never ends'])]
    #[TestWith(['{1: 2}'])]
    public function testBrokenTextIsReadAsFarAsItGoes(string $json): void
    {
        self::assertContains(JsonLines::of($json)->line('a'), [null, 1]);
        self::assertSame([], JsonLines::of($json)->repeated());
    }

    /** A megabyte, nested as deep as it can be, as wide, or with the longest of names, is answered like any other, in little room. */
    public function testNeitherDepthNorLengthBringsItDown(): void
    {
        memory_reset_peak_usage();
        $before = memory_get_usage();
        self::assertSame(1, JsonLines::of(str_repeat('[', 1_000_000))->line('0.0'));
        self::assertSame(1, JsonLines::of(str_repeat('{"a":', 200_000))->line('a.a.a'));
        self::assertSame(1, JsonLines::of('{"a": ['.str_repeat("1,\n", 330_000).'1]}')->line('a'));
        self::assertSame(10_000, JsonLines::of('{"a": ['.implode(",\n", range(1, 10_000)).']}')->line('a.9999'));
        self::assertSame(1, JsonLines::of('{"a": "'.str_repeat('x\\"', 300_000).'"}')->line('a'));
        $items = implode(',', array_map(static fn (int $n): string => "\"a$n\":1", range(0, 1999)));
        self::assertSame(
            2,
            JsonLines::of('{"'.str_repeat('k', 50_000).'":{'.$items.'},'."\n".'"b":1}')->line('b'),
            'a name of 50,000 letters is passed over, with all below it',
        );
        $deep = str_repeat('{"'.str_repeat('k', 59).'":', 30).'{'.$items.'}'.str_repeat('}', 30);
        self::assertSame(1, JsonLines::of($deep)->line(str_repeat('k', 59)));
        self::assertLessThan(32e6, memory_get_peak_usage() - $before);
    }

    public function testKeysGivenTwiceAreRefused(): void
    {
        $json = (string) file_get_contents(__DIR__.'/../../../../demo/waiting-hall.plan.json');
        $document = new PlanDocument(Sample::catalogue());
        self::assertSame('Waiting hall', $document->fromForeignJson($json)->name);
        $twice = preg_replace('/"waterLine": [0-9.]+,/', '$0 "waterLine": 0.2,', $json);
        self::assertNotSame($json, $twice);
        try {
            $document->fromForeignJson((string) $twice);
            self::fail('taken');
        } catch (InvalidPlan $refused) {
            self::assertSame(
                ['waterLine' => 'This is given more than once. Leave only the one that is meant.'],
                $refused->messages(UnitSystem::Metric),
            );
        }
    }
}
