<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Basis\Unit;

use Olvek\Core\Basis\Unit\TextTable;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Tables as spreadsheets save them: RFC 4180 and its relatives. */
final class TextTableTest extends TestCase
{
    #[TestWith(["day,pH\r\n1,7.4\r\n"], 'as RFC 4180 has it')]
    #[TestWith(["day;pH\n1;7,4\n"], 'semicolons, where the comma is the decimal')]
    #[TestWith(["day\tpH\n1\t7.4\n"], 'tabs')]
    #[TestWith(["\xEF\xBB\xBFday,pH\n1,7.4\n"], 'with a byte order mark')]
    #[TestWith(["\xFF\xFEd\0a\0y\0,\0p\0H\0\n\x001\0,\x007\0.\x004\0\n\0"], 'UTF-16, little end first')]
    #[TestWith(["\xFE\xFF\0d\0a\0y\0,\0p\0H\0\n\x001\0,\x007\0.\x004\0\n"], 'UTF-16, big end first')]
    public function testAnyProgramsTableIsRead(string $bytes): void
    {
        $table = TextTable::read($bytes);
        self::assertSame(['day', 'pH'], $table->names);
        $rows = iterator_to_array($table->rows());
        self::assertSame([2], array_keys($rows));
        self::assertSame(['1', 7.4], [$rows[2][0], TextTable::number($rows[2][1])]);
    }

    public function testWesternLettersOfOldPrograms(): void
    {
        self::assertSame(['KH °dH', 'naïve'], TextTable::read("KH \xB0dH,na\xEFve\n")->names);
    }

    /** The separator is told by the names alone, and not by what stands between quotation marks. */
    public function testCellsMayHoldSeparatorsAndLines(): void
    {
        $rows = iterator_to_array(TextTable::read("day,\"a;b;c\"\n1,\"two\nlines, and \"\"more\"\"\"\n\n2,x\n")->rows());
        self::assertSame(['1', "two\nlines, and \"more\""], $rows[2]);
        self::assertSame([['2', 'x']], \array_slice($rows, 1));
    }

    #[TestWith(['7.5', 7.5])]
    #[TestWith(['7,5', 7.5])]
    #[TestWith([' 1.5E-3 ', 0.0015])]
    #[TestWith(['+2', 2.0])]
    #[TestWith(['1,2,3', null])]
    #[TestWith(['seven', null])]
    #[TestWith(['', null])]
    #[TestWith(['1e999', null])]
    public function testNumbers(string $cell, ?float $value): void
    {
        self::assertSame($value, TextTable::number($cell));
    }

    /** What a spreadsheet would run stands behind an apostrophe, and comes back as it was, apostrophes of its own among it. */
    #[TestWith(['=1+1', "'=1+1"])]
    #[TestWith(['@x', "'@x"])]
    #[TestWith(['-cold', "'-cold"])]
    #[TestWith(["'=1", "''=1"])]
    #[TestWith(["'quoted'", "'quoted'"])]
    #[TestWith(['plain = 1', 'plain = 1'])]
    public function testNothingIsAFormula(string $text, string $cell): void
    {
        self::assertSame($cell, TextTable::cell($text));
        $quoted = str_replace('"', '""', $cell);
        $rows = iterator_to_array(TextTable::read("words\r\n\"$quoted\"\r\n")->named(['words', 'lacking']));
        self::assertSame([2 => ['words' => $text, 'lacking' => '']], $rows);
    }
}
