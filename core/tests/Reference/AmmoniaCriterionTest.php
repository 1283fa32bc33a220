<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Reference;

use Olvek\Core\Nature\Water\AmmoniaCriterion;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * US EPA (2013), Aquatic Life Ambient Water Quality Criteria for Ammonia – Freshwater, EPA 822-R-13-001, chronic table
 * (mg TAN-N/L, two figures; M) and the headline acute value at pH 7 and 20 °C, 17 mg TAN-N/L.
 */
final class AmmoniaCriterionTest extends TestCase
{
    /** @return iterable<array{float, float, float}> */
    public static function chronic(): iterable
    {
        yield [7.0, 20.0, 1.9];
        yield [6.5, 7.0, 4.9];
        yield [7.0, 7.0, 4.4];
        yield [7.5, 7.0, 3.2];
        yield [8.0, 7.0, 1.8];
        yield [8.5, 7.0, 0.80];
        yield [9.0, 7.0, 0.36];
        yield [8.0, 20.0, 0.78];
        yield [8.0, 3.0, 1.8];
    }

    #[DataProvider('chronic')]
    public function testChronicCriterion(float $pH, float $celsius, float $published): void
    {
        self::assertEqualsWithDelta($published, AmmoniaCriterion::chronic($pH, $celsius), 0.03 * $published);
    }

    public function testAcuteCriterion(): void
    {
        self::assertEqualsWithDelta(17.0, AmmoniaCriterion::acute(7.0, 20.0), 0.5);
        self::assertGreaterThan(AmmoniaCriterion::chronic(8.2, 27.0), AmmoniaCriterion::acute(8.2, 27.0));
    }
}
