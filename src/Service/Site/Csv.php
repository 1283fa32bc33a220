<?php

declare(strict_types=1);

namespace Olvek\Service\Site;

use Olvek\Core\Basis\Unit\TextTable;

/** Tables as text, as RFC 4180 and spreadsheets expect them: lines that end with CRLF, a byte order mark, no cell that is a formula. */
final class Csv
{
    public const BYTE_ORDER_MARK = "\xEF\xBB\xBF";
    private const END = "\r\n";

    /**
     * @param list<string>                               $names
     * @param iterable<list<string|int|float|bool|null>> $rows
     */
    public static function write(array $names, iterable $rows): string
    {
        $out = fopen('php://temp', 'w+');
        \assert(false !== $out);
        self::to($out, $names, $rows);
        rewind($out);

        return (string) stream_get_contents($out);
    }

    /**
     * @param resource                                   $out
     * @param list<string>                               $names
     * @param iterable<list<string|int|float|bool|null>> $rows
     */
    public static function to(mixed $out, array $names, iterable $rows): void
    {
        fwrite($out, self::BYTE_ORDER_MARK);
        fputcsv($out, $names, escape: '', eol: self::END);
        foreach ($rows as $row) {
            fputcsv($out, array_map(self::cell(...), $row), escape: '', eol: self::END);
        }
    }

    private static function cell(string|int|float|bool|null $value): string
    {
        return match (true) {
            \is_bool($value) => $value ? 'yes' : '',
            // Exactly, and without losing a digit, whatever the server's settings.
            \is_float($value) => json_encode($value, \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION),
            \is_string($value) => TextTable::cell($value),
            default => (string) $value,
        };
    }
}
