<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Simulation\Run\Hours;

use Olvek\Core\Simulation\Run\Day;
use Olvek\Core\Simulation\Run\Hours\OxygenBalance;
use Olvek\Core\Simulation\Run\MassBalance;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Simulation\Run\State;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** How low oxygen falls in a night hardly depends on the steps that it is gone through in, and it never falls below nothing. */
final class OxygenBalanceTest extends TestCase
{
    private const SATURATION = 8.2;
    private const LITRES = 50.0;

    /** @return array{float, float} mg/L after a night of ten hours, and the least in it */
    private static function night(float $hours, float $from, float $drawnAnHour, float $passes, int $steps): array
    {
        $facts = (new Runner(Sample::planted()))->facts();
        $state = new State($facts);
        $state->oxygen = $from * self::LITRES;
        $day = new Day();
        $day->oxygenOut = 24 * $drawnAnHour * self::LITRES;
        $balance = new OxygenBalance($facts);
        $balance->begin($state, $day, self::SATURATION, self::LITRES, $passes);
        for ($n = 0; $n < $steps; ++$n) {
            $balance->step($hours / $steps, 0.0, 0.0, 0.0, 0.0);
        }
        $books = new MassBalance();
        $balance->report($state, $day, $books);

        return [$balance->content(), $day->leastOxygen];
    }

    /** As against 2,000 steps, within 2 % of what was there at dusk. */
    #[TestWith([8.0, 0.4, 5.0])]
    #[TestWith([8.0, 0.8, 5.0])]
    #[TestWith([5.0, 1.2, 10.0])]
    #[TestWith([3.0, 1.0, 5.0])]
    #[TestWith([1.5, 0.9, 8.0])]
    #[TestWith([1.0, 0.05, 20.0])]
    public function testANightInFourStepsEndsAsInTwoThousand(float $from, float $drawnAnHour, float $passes): void
    {
        $exact = self::night(10.0, $from, $drawnAnHour, $passes, 2000);
        $steps = self::night(10.0, $from, $drawnAnHour, $passes, 4);
        self::assertEqualsWithDelta($exact[0], $steps[0], 0.02 * $from);
        self::assertEqualsWithDelta($exact[1], $steps[1], 0.02 * $from);
    }

    #[TestWith([0.5, 50.0, 1.0])]
    #[TestWith([8.0, 500.0, 1.0])]
    #[TestWith([0.01, 1.0, 0.0])]
    #[TestWith([3.0, 2.0, 200.0])]
    public function testItNeverFallsBelowNothing(float $from, float $drawnAnHour, float $passes): void
    {
        foreach ([1, 2, 4, 50] as $steps) {
            $night = self::night(10.0, $from, $drawnAnHour, $passes, $steps);
            self::assertGreaterThanOrEqual(0.0, $night[0]);
            self::assertGreaterThanOrEqual(0.0, $night[1]);
        }
    }
}
