<?php

declare(strict_types=1);

namespace Olvek\Site;

/** Tables as text: a line of names, then a line each (RFC 4180). */
final class Csv
{
    /** Bytes of a line, above which it is none of ours. */
    private const LONGEST = 20_000;

    /**
     * @param list<string>                                 $names
     * @param iterable<list<string|int|float|bool|null>> $rows
     */
    public static function write(array $names, iterable $rows): string
    {
        $out = fopen('php://temp', 'w+');
        \assert(false !== $out);
        fputcsv($out, $names, escape: '');
        foreach ($rows as $row) {
            fputcsv($out, array_map(self::cell(...), $row), escape: '');
        }
        rewind($out);

        return (string) stream_get_contents($out);
    }

    /**
     * @param list<string> $names of the columns that are wanted
     *
     * @return iterable<int, array<string, string>> rows by their line, each by those names; what a row lacks is ''
     */
    public static function read(string $text, array $names): iterable
    {
        $in = fopen('php://temp', 'w+');
        \assert(false !== $in);
        fwrite($in, $text);
        rewind($in);
        $head = fgetcsv($in, self::LONGEST, escape: '');
        if (!\is_array($head)) {
            return;
        }
        $columns = array_flip(array_map(strval(...), $head));
        for ($line = 2; \is_array($row = fgetcsv($in, self::LONGEST, escape: '')); ++$line) {
            if ([null] === $row) {
                continue;
            }
            $named = [];
            foreach ($names as $name) {
                $named[$name] = $row[$columns[$name] ?? -1] ?? '';
            }
            yield $line => $named;
        }
    }

    /**
     * Lines of a table by anybody: parted by whatever its first line is parted by most.
     *
     * @return iterable<int, list<string>> cells by line; empty lines are left out
     */
    public static function lines(string $text): iterable
    {
        $text = (string) preg_replace('/^\x{FEFF}/u', '', $text);
        $first = strtok($text, "\n");
        $first = false === $first ? '' : $first;
        $parted = ',';
        foreach ([';', "\t"] as $other) {
            $parted = substr_count($first, $other) > substr_count($first, $parted) ? $other : $parted;
        }
        $in = fopen('php://temp', 'w+');
        \assert(false !== $in);
        fwrite($in, $text);
        rewind($in);
        for ($line = 1; \is_array($row = fgetcsv($in, self::LONGEST, $parted, escape: '')); ++$line) {
            if ([null] !== $row) {
                yield $line => array_values(array_map(strval(...), $row));
            }
        }
    }

    private static function cell(string|int|float|bool|null $value): string
    {
        return match (true) {
            \is_bool($value) => $value ? 'yes' : '',
            // Exactly, and without losing a digit, whatever the server's settings.
            \is_float($value) => json_encode($value, \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION),
            default => (string) $value,
        };
    }
}
