<?php

declare(strict_types=1);

namespace Olvek\Tests\Estimate;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Keeping\Log\Reading;
use Olvek\Core\Keeping\Log\TestKit;
use Olvek\Core\Nature\Water\Measure;
use Olvek\Page\Estimate\LifeChart;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Readings of years on one chart. */
final class LifeChartTest extends TestCase
{
    /** 120 are drawn; of more every so many, the newest always among them, and the chart says so. */
    #[TestWith([120, 120, false])]
    #[TestWith([121, 61, true])]
    #[TestWith([240, 120, true])]
    #[TestWith([241, 81, true])]
    public function testOfMoreThanCanBeToldApartSomeAreDrawn(int $readings, int $drawn, bool $said): void
    {
        $read = array_map(static fn (int $day): Reading => new Reading($day, Measure::Acidity, 7.0 + $day / 1000), range(0, $readings - 1));
        $chart = LifeChart::of(Measure::Acidity, null, '', $read, null, TestKit::of(), UnitSystem::Metric, 0, $readings - 1, []);
        self::assertCount($drawn, $chart->dots);
        self::assertCount($drawn, $chart->rows);
        self::assertSame($readings - 1, $chart->rows[$drawn - 1]['day']);
        self::assertSame($said, str_contains($chart->words, 'is shown'));
        self::assertStringContainsString("$readings readings", $chart->words);
    }
}
