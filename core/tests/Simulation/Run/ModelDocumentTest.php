<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Simulation\Run;

use Olvek\Core\Judgement\Margin\MarginId;
use Olvek\Core\Simulation\Run\Parameters;
use PHPUnit\Framework\TestCase;

/** The document says what the code does: every parameter with its value and range, every class it names, every margin. */
final class ModelDocumentTest extends TestCase
{
    private const DOCUMENT = __DIR__.'/../../../../docs/model.md';

    public function testEveryParameterStandsThereWithItsRange(): void
    {
        $text = (string) file_get_contents(self::DOCUMENT);
        $ranges = Parameters::ranges();
        foreach ((new Parameters())->values() as $name => $value) {
            $range = $ranges[$name] ?? null;
            $row = \sprintf(
                '| `%s` | %s | %s | %s |',
                $name,
                self::plain($value),
                null === $range ? '–' : self::plain($range->low).'–'.self::plain($range->high),
                null === $range ? 'P' : $range->provenance->value,
            );
            self::assertStringContainsString($row, $text);
        }
    }

    public function testEveryMarginIsExplained(): void
    {
        foreach (MarginId::cases() as $margin) {
            $class = substr((string) strrchr($margin->criterion(), '\\'), 1);
            self::assertSame(
                1,
                preg_match("/^\\| ([^|]+) \\|.*\\| `$class` \\|$/m", (string) file_get_contents(self::DOCUMENT), $row),
                "no row for $class",
            );
            self::assertTrue(str_starts_with(mb_strtolower($margin->about()->name), mb_strtolower($row[1])), "$class is called $row[1]");
        }
    }

    private static function plain(float $value): string
    {
        return rtrim(rtrim(number_format($value, 5, '.', ''), '0'), '.');
    }
}
