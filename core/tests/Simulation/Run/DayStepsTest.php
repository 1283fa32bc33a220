<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Simulation\Run;

use Olvek\Core\Simulation\Run\DaySteps;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Steps fill the day, lie wholly in light or in the dark, and are no longer than they may be. */
final class DayStepsTest extends TestCase
{
    #[TestWith([8.5, 0.0, 1.0, 9, 8])]
    #[TestWith([8.0, 4.0, 1.0, 8, 8])]
    #[TestWith([8.5, 0.0, 0.5, 17, 14])]
    #[TestWith([8.5, 0.0, 2.0, 5, 8])]
    #[TestWith([0.0, 0.0, 1.0, 0, 10])]
    #[TestWith([24.0, 0.0, 1.0, 24, 0])]
    #[TestWith([20.0, 6.0, 1.0, 20, 2])]
    public function testTheDayIsWhole(float $lit, float $pause, float $most, int $bright, int $dark): void
    {
        $steps = (new DaySteps())->of($lit, $pause, $most);
        $hours = static fn (float $which): array => array_column(array_filter($steps, static fn (array $s): bool => $s[1] === $which), 0);
        self::assertCount($bright + $dark, $steps);
        self::assertCount($bright, $hours(1.0));
        self::assertCount($dark, $hours(0.0));
        self::assertEqualsWithDelta($lit, array_sum($hours(1.0)), 1e-9);
        self::assertEqualsWithDelta(24.0 - $lit, array_sum($hours(0.0)), 1e-9);
        self::assertLessThanOrEqual($most + 1e-9, max([0.0, ...$hours(1.0)]));
        self::assertLessThanOrEqual(2.5 * min(1.0, $most) + 1e-9, max([0.0, ...$hours(0.0)]));
    }

    /** A day just under and just over what so many steps span. */
    public function testAStepMoreWhereOneWouldBeTooLong(): void
    {
        $steps = new DaySteps();
        self::assertCount(9 + 6, $steps->of(9.0, 0.0, 1.0));
        self::assertCount(10 + 6, $steps->of(9.001, 0.0, 1.0));
        self::assertCount(19 + 2, $steps->of(19.0, 0.0, 1.0));
        self::assertCount(19 + 4, $steps->of(18.999, 0.0, 1.0));
    }

    public function testLightIsCentredOnNoon(): void
    {
        $clock = $lit = 0.0;
        foreach ((new DaySteps())->of(7.3, 1.5, 1.0) as [$hours, $share]) {
            $lit += $share * $hours * ($clock + $hours / 2);
            $clock += $hours;
        }
        self::assertEqualsWithDelta(12.0, $lit / 7.3, 1e-9);
    }
}
