<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Simulation\Run;

use Olvek\Core\Simulation\Run\DayMean;
use PHPUnit\Framework\TestCase;

final class ForeseenTest extends TestCase
{
    /** What grows by e^k a day has the mean (e^k − 1)/k of its mass at dawn: the integral of e^(kt), by hand. */
    public function testTheMeanOfSteadyGrowth(): void
    {
        foreach ([0.3, 0.02, 0.0081, 0.0079, 0.001, -0.0079, -0.2] as $k) {
            $foreseen = new DayMean();
            $foreseen->means([2.0]);
            $foreseen->learn([2.0 * exp($k)]);
            self::assertEqualsWithDelta(5.0 * (exp($k) - 1) / $k, $foreseen->means([5.0])[0], 1e-12);
        }
    }

    public function testTheFirstDayAndWhatHasGoneForeseeNothing(): void
    {
        $foreseen = new DayMean();
        self::assertSame([3.0, 0.0], $foreseen->means([3.0, 0.0]));
        $foreseen->learn([0.0, 1.0]);
        self::assertSame([0.0, 1.0], $foreseen->means([0.0, 1.0]), 'from or to nothing there is no rate');
    }

    /** A leap (a pruning, a flood of food) is not taken for growth that goes on. */
    public function testALeapIsBounded(): void
    {
        $foreseen = new DayMean();
        $foreseen->means([1.0]);
        $foreseen->learn([1000.0]);
        self::assertLessThan(1.5, $foreseen->means([1.0])[0]);
    }
}
