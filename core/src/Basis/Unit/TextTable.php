<?php

declare(strict_types=1);

namespace Olvek\Core\Basis\Unit;

/**
 * A table as text (CSV, RFC 4180), from whatever program has saved it: with or without a byte order mark, in UTF-8, UTF-16 or
 * windows-1252, its cells separated by commas, semicolons or tabs, its decimals with point or comma.
 */
final readonly class TextTable
{
    /** Bytes of a line, above which it is no line of a table. */
    private const LONGEST = 20_000;
    private const SEPARATORS = [',', ';', "\t"];
    private const BYTE_ORDER_MARK = "\xEF\xBB\xBF";
    /** By which a spreadsheet takes a cell for a formula; what begins so is written behind an apostrophe. */
    private const FORMULA = '/^\'*[=+\-@\t\r]/';

    /**
     * @param list<string> $names of the columns
     * @param resource     $stream positioned behind them
     */
    private function __construct(public array $names, private string $separator, private mixed $stream)
    {
    }

    /** @param string $bytes as they came */
    public static function read(string $bytes): self
    {
        $stream = fopen('php://temp', 'w+');
        \assert(false !== $stream);
        fwrite($stream, self::utf8($bytes));
        rewind($stream);

        return self::stream($stream);
    }

    /** @param resource $stream UTF-8 text, read once and from its beginning to its end */
    public static function stream(mixed $stream): self
    {
        $first = fgets($stream, self::LONGEST);
        $first = false === $first ? '' : $first;
        if (str_starts_with($first, self::BYTE_ORDER_MARK)) {
            $first = substr($first, \strlen(self::BYTE_ORDER_MARK));
        }
        // Names hold no separators, unless they stand between quotation marks.
        $bare = (string) preg_replace('/"[^"]*"/', '', $first);
        $separator = ',';
        foreach (self::SEPARATORS as $other) {
            $separator = substr_count($bare, $other) > substr_count($bare, $separator) ? $other : $separator;
        }
        $cells = str_getcsv(rtrim($first, "\r\n"), $separator, escape: '');
        $names = array_map(static fn (?string $name): string => trim((string) $name), $cells);

        return new self('' === trim($first) ? [] : $names, $separator, $stream);
    }

    /** @return \Generator<int, list<string>> cells of the rows below the names, by line; empty lines are left out */
    public function rows(): \Generator
    {
        for ($line = 2; \is_array($row = fgetcsv($this->stream, self::LONGEST, $this->separator, escape: '')); ++$line) {
            if ([null] !== $row && '' !== implode('', $row)) {
                yield $line => array_values(array_map(strval(...), $row));
            }
        }
    }

    /**
     * Rows of a table that Olvek wrote.
     *
     * @param list<string> $names of the columns that are wanted
     *
     * @return \Generator<int, array<string, string>> by line, each by those names; what a row lacks is ''
     */
    public function named(array $names): \Generator
    {
        $columns = array_flip($this->names);
        foreach ($this->rows() as $line => $row) {
            $named = [];
            foreach ($names as $name) {
                $named[$name] = self::bare($row[$columns[$name] ?? -1] ?? '');
            }
            yield $line => $named;
        }
    }

    /** @param list<string> $names */
    public function has(array $names): bool
    {
        return [] === array_diff($names, $this->names);
    }

    /** A number as any spreadsheet writes it: "7.5", "7,5", "1.5E-3"; null where it is none. */
    public static function number(string $cell): ?float
    {
        $number = trim($cell);
        if (1 === preg_match('/^[+-]?\d+,\d+(?:[eE][+-]?\d+)?$/D', $number)) {
            $number = str_replace(',', '.', $number);
        }
        $value = filter_var($number, \FILTER_VALIDATE_FLOAT);

        return false === $value || !is_finite($value) ? null : $value;
    }

    /** Text as a cell that no spreadsheet takes for a formula. */
    public static function cell(string $text): string
    {
        return 1 === preg_match(self::FORMULA, $text) ? "'$text" : $text;
    }

    /** What cell() was given. */
    private static function bare(string $cell): string
    {
        return str_starts_with($cell, "'") && 1 === preg_match(self::FORMULA, $cell) ? substr($cell, 1) : $cell;
    }

    /** Bytes of a text in whatever encoding a spreadsheet saves, as UTF-8 without a byte order mark. */
    public static function utf8(string $bytes): string
    {
        $from = match (true) {
            str_starts_with($bytes, "\xFF\xFE") => 'UTF-16LE',
            str_starts_with($bytes, "\xFE\xFF") => 'UTF-16BE',
            !mb_check_encoding($bytes, 'UTF-8') => 'Windows-1252',
            default => null,
        };

        $text = null === $from ? $bytes : (string) mb_convert_encoding($bytes, 'UTF-8', $from);

        return str_starts_with($text, self::BYTE_ORDER_MARK) ? substr($text, \strlen(self::BYTE_ORDER_MARK)) : $text;
    }
}
