<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Catalogue;

/**
 * A CSV file of the catalogue: a header, then one row a thing, keyed by the column "id".
 *
 * @internal
 */
final readonly class Table
{
    /** @param list<Row> $rows */
    private function __construct(public array $rows)
    {
    }

    /**
     * @param list<string> $columns the header, in order
     *
     * @throws InvalidCatalogue when the header, a row's length or an id is wrong
     */
    public static function read(string $file, array $columns): self
    {
        $text = is_file($file) ? file_get_contents($file) : false;
        if (false === $text) {
            throw InvalidCatalogue::at($file, 0, 'the file cannot be read');
        }
        $rows = [];
        $seen = [];
        foreach (explode("\n", rtrim($text)) as $index => $line) {
            /** @var list<string> $cells */
            $cells = str_getcsv($line, ',', '"', '');
            if (0 === $index) {
                if ($cells !== $columns) {
                    throw InvalidCatalogue::at($file, 1, 'the header must be '.implode(',', $columns));
                }
                continue;
            }
            if (\count($cells) !== \count($columns)) {
                throw InvalidCatalogue::at(
                    $file,
                    $index + 1,
                    \sprintf('%d cells where the header has %d', \count($cells), \count($columns)),
                );
            }
            $row = new Row($file, $index + 1, array_combine($columns, $cells));
            $id = $row->text('id');
            if (1 !== preg_match('/^[a-z0-9]+(-[a-z0-9]+)*$/', $id) || isset($seen[$id])) {
                throw InvalidCatalogue::at($file, $index + 1, \sprintf('"%s" is not a new lower-case id', $id));
            }
            $seen[$id] = true;
            $rows[] = $row;
        }

        return new self($rows);
    }
}
