<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Catalogue;

use Olvek\Core\Basis\Unit\Estimate;

/**
 * One row of a catalogue file, read cell by cell; every complaint names file and line.
 *
 * @internal
 */
final readonly class Row
{
    /** @param array<string, string> $cells */
    public function __construct(private string $file, private int $line, private array $cells)
    {
    }

    /** @throws InvalidCatalogue when the cell is empty */
    public function text(string $column): string
    {
        $text = trim($this->cells[$column] ?? '');
        if ('' === $text) {
            throw InvalidCatalogue::at($this->file, $this->line, \sprintf('%s is empty', $column));
        }

        return $text;
    }

    /** A complaint about one of its cells. */
    public function refused(string $column, string $why): InvalidCatalogue
    {
        return InvalidCatalogue::at($this->file, $this->line, "$column: $why");
    }

    public function optionalText(string $column): string
    {
        return trim($this->cells[$column] ?? '');
    }

    /** @throws InvalidCatalogue when the cell is neither "yes" nor "no" */
    public function truth(string $column): bool
    {
        return match ($this->text($column)) {
            'yes' => true,
            'no' => false,
            default => throw InvalidCatalogue::at($this->file, $this->line, \sprintf('%s must be "yes" or "no"', $column)),
        };
    }

    /** @throws InvalidCatalogue when the number is out of bounds or not written as an estimate */
    public function estimate(string $column, float $least, float $most): Estimate
    {
        try {
            $estimate = Estimate::parse($this->text($column));
        } catch (\InvalidArgumentException $refused) {
            throw InvalidCatalogue::at($this->file, $this->line, $column.': '.$refused->getMessage());
        }
        if ($estimate->low < $least || $estimate->high > $most) {
            throw InvalidCatalogue::at($this->file, $this->line, \sprintf('%s must lie within %g..%g', $column, $least, $most));
        }

        return $estimate;
    }

    /**
     * @template T of \BackedEnum
     *
     * @param class-string<T> $enum
     *
     * @return T
     *
     * @throws InvalidCatalogue when the cell is no value of the enum
     */
    public function choice(string $column, string $enum): \BackedEnum
    {
        return $enum::tryFrom($this->text($column)) ??
            throw InvalidCatalogue::at($this->file, $this->line, \sprintf('%s "%s" is not known', $column, $this->text($column)));
    }

    /**
     * Values of an enum, written one after another; none for an empty cell.
     *
     * @template T of \BackedEnum
     *
     * @param class-string<T> $enum
     *
     * @return list<T>
     *
     * @throws InvalidCatalogue when a word is no value of the enum
     */
    public function choices(string $column, string $enum): array
    {
        $words = array_filter(explode(' ', $this->optionalText($column)), static fn (string $word): bool => '' !== $word);

        return array_map(
            fn (string $word): \BackedEnum => $enum::tryFrom($word) ??
                throw InvalidCatalogue::at($this->file, $this->line, \sprintf('%s "%s" is not known', $column, $word)),
            array_values($words),
        );
    }

    /** @throws InvalidCatalogue when the cell is no number above zero */
    public function number(string $column): float
    {
        $text = $this->text($column);
        if (!is_numeric($text) || (float) $text <= 0) {
            throw InvalidCatalogue::at($this->file, $this->line, \sprintf('%s must be a number above zero', $column));
        }

        return (float) $text;
    }

    /**
     * Numbers above zero, one for each name.
     *
     * @param list<string> $names
     *
     * @return array<string, float>
     *
     * @throws InvalidCatalogue
     */
    public function measures(string $column, array $names): array
    {
        $numbers = array_map(floatval(...), explode(' ', $this->text($column)));
        if (\count($numbers) !== \count($names) || min($numbers) <= 0) {
            throw InvalidCatalogue::at($this->file, $this->line, \sprintf('%s must give %s', $column, implode(', ', $names)));
        }

        return array_combine($names, $numbers);
    }
}
