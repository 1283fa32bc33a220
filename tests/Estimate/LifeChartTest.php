<?php

declare(strict_types=1);

namespace Olvek\Tests\Estimate;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Keeping\Log\Reading;
use Olvek\Core\Keeping\Log\TestKit;
use Olvek\Core\Nature\Water\Measure;
use Olvek\Page\Estimate\ChartSize;
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
        $chart = LifeChart::of(
            ChartSize::Large,
            Measure::Acidity,
            null,
            '',
            $read,
            null,
            TestKit::of(),
            UnitSystem::Metric,
            0,
            $readings - 1,
            [],
        );
        self::assertCount($drawn, $chart->dots);
        self::assertCount($drawn, $chart->rows);
        self::assertSame($readings - 1, $chart->rows[$drawn - 1]['day']);
        self::assertSame($said, str_contains($chart->words, 'is shown'));
        self::assertStringContainsString("$readings readings", $chart->words);
    }

    /** Small ones lie within their own few pixels, with as many lines and days as can be read there. */
    #[TestWith([ChartSize::Small])]
    #[TestWith([ChartSize::Large])]
    public function testItIsDrawnWithinItsSize(ChartSize $size): void
    {
        $read = [new Reading(0, Measure::Nitrate, 0.0), new Reading(200, Measure::Nitrate, 9.7)];
        $chart = LifeChart::of($size, Measure::Nitrate, null, '', $read, null, TestKit::of(), UnitSystem::Metric, 0, 243, []);
        self::assertSame($size->left(), $chart->dots[0]['x']);
        self::assertEqualsWithDelta($size->foot(), $chart->dots[0]['y'], 1e-9, 'nothing lies on the axis');
        self::assertGreaterThanOrEqual($size->top(), $chart->dots[1]['y']);
        self::assertLessThanOrEqual($size->right(), $chart->dots[1]['x']);
        self::assertLessThanOrEqual($size->lines() + 1, \count($chart->lines));
        self::assertLessThanOrEqual($size->days() + 1, \count($chart->ticks));
        self::assertLessThanOrEqual($size->height(), $size->names());
    }
}
