<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Reference;

use Olvek\Core\Nature\Water\Ammonia;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Percent un-ionised ammonia: Emerson, Russo, Lund & Thurston (1975), J. Fish. Res. Board Can. 32, 2379–2383, table of
 * pH 6.0–9.5 by 5–30 °C. The table's figures are from memory (M) of that widely reprinted table, three significant figures.
 */
final class AmmoniaTableTest extends TestCase
{
    private const PH = [6.0, 6.5, 7.0, 7.5, 8.0, 8.5, 9.0, 9.5];
    private const TABLE = [
        5 => [0.0125, 0.0395, 0.125, 0.394, 1.23, 3.80, 11.1, 28.3],
        10 => [0.0186, 0.0586, 0.186, 0.586, 1.83, 5.56, 15.7, 37.1],
        15 => [0.0274, 0.0865, 0.273, 0.859, 2.67, 7.97, 21.5, 46.4],
        20 => [0.0397, 0.125, 0.396, 1.24, 3.82, 11.2, 28.4, 55.7],
        25 => [0.0569, 0.180, 0.566, 1.77, 5.38, 15.3, 36.3, 64.3],
        30 => [0.0805, 0.254, 0.799, 2.48, 7.46, 20.3, 44.6, 71.8],
    ];

    /** @return iterable<string, array{float, float, float}> */
    public static function cells(): iterable
    {
        foreach (self::TABLE as $celsius => $row) {
            foreach ($row as $column => $percent) {
                yield \sprintf('%d °C, pH %.1f', $celsius, self::PH[$column]) => [(float) $celsius, self::PH[$column], $percent];
            }
        }
    }

    #[DataProvider('cells')]
    public function testTheShareIsThatOfThePublishedTable(float $celsius, float $pH, float $percent): void
    {
        self::assertEqualsWithDelta($percent, 100 * Ammonia::unionisedShare($pH, $celsius), 0.01 * $percent);
    }
}
