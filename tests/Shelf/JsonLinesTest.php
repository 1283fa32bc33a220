<?php

declare(strict_types=1);

namespace Olvek\Tests\Shelf;

use Olvek\Core\Catalogue\Catalogue;
use Olvek\Core\Plan\InvalidPlan;
use Olvek\Core\Plan\PlanDocument;
use Olvek\Core\Unit\UnitSystem;
use Olvek\Shelf\ImportReport;
use Olvek\Shelf\JsonLines;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Where in a text each place of a document stands. */
final class JsonLinesTest extends TestCase
{
    public function testKeysAndItemsHaveTheirLines(): void
    {
        $json = "{\n  \"a\": 1, \"b\": {\n    \"c\": [\n      {\"id\": \"x1\",\n       \"d\": \"one\\n \\\"two\\\" {\"},\n      {\"d\": 2},\n      3\n    ]\n  }\n}";
        $lines = JsonLines::of($json);
        self::assertSame([1, 2, 2, 3, 4, 4, 5, 6, 6, 7], array_map(static fn (string $place): int => $lines[$place] ?? 0, ['', 'a', 'b', 'b.c', 'b.c.x1', 'b.c.x1.id', 'b.c.x1.d', 'b.c.1', 'b.c.1.d', 'b.c.2']));
    }

    /** Of every place of a document as Olvek writes it, the line holds its key. */
    public function testEveryLineHoldsItsKey(): void
    {
        $json = (string) file_get_contents(__DIR__.'/../../demo/waiting-hall.plan.json');
        $text = explode("\n", $json);
        $places = JsonLines::of($json);
        self::assertGreaterThan(100, \count($places));
        foreach ($places as $place => $line) {
            $key = substr((string) $place, (int) strrpos('.'.$place, '.'));
            if ('' !== $key && 1 !== preg_match('/^(\d+|[a-z]\d+)$/', $key)) {
                self::assertStringContainsString("\"$key\"", $text[$line - 1], (string) $place);
            }
        }
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
        $lines = JsonLines::of($json);
        self::assertLessThanOrEqual(3, \count($lines));
        self::assertSame([], array_filter($lines, static fn (int $line): bool => 1 !== $line));
    }

    /** A megabyte, nested as deep as it can be or as wide, is answered like any other, in little room. */
    public function testNeitherDepthNorLengthBringsItDown(): void
    {
        memory_reset_peak_usage();
        $before = memory_get_usage();
        self::assertLessThan(100, \count(JsonLines::of(str_repeat('[', 1_000_000))));
        self::assertLessThan(100, \count(JsonLines::of(str_repeat('{"a":', 200_000))));
        self::assertLessThan(20_100, \count(JsonLines::of('{"a": ['.str_repeat("1,\n", 330_000).'1]}')));
        self::assertSame(10_000, JsonLines::of('{"a": ['.implode(",\n", range(1, 10_000)).']}')['a.9999']);
        self::assertSame(1, JsonLines::of('{"a": "'.str_repeat('x\\"', 300_000).'"}')['a']);
        self::assertLessThan(32e6, memory_get_peak_usage() - $before);
    }

    public function testWhatIsMissingIsToldWhereItIsMissing(): void
    {
        $json = "{\"format\": \"olvek.plan\", \"version\": 1,\n\"vessel\": {\n\"shape\": \"bowl\"}}";
        try {
            (new PlanDocument(Catalogue::shipped()))->fromJson($json);
            self::fail('taken');
        } catch (InvalidPlan $refused) {
            $report = ImportReport::of($json, $refused, UnitSystem::Metric);
        }
        $lines = array_column($report, 'line', 'place');
        self::assertSame(2, $lines['vessel.diameter'], 'the vessel that lacks it');
        $sorted = array_map(intval(...), array_column($report, 'line'));
        sort($sorted);
        self::assertSame($sorted, array_map(intval(...), array_column($report, 'line')), 'in the order of lines');
        foreach ($report as $entry) {
            self::assertNotSame('', $entry['message']);
        }
    }
}
