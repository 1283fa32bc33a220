<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Simulation\Run;

use Olvek\Core\Planning\Event\Event;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\MassBalance;
use Olvek\Core\Simulation\Run\Parameters;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Simulation\Run\State;
use PHPUnit\Framework\Assert;

/** Asserts of a run that every day what the tank holds is what it began with and what was booked, and that nothing is negative. */
final class Books
{
    /** @param list<Event> $events */
    public static function close(Plan $plan, int $days, array $events = []): void
    {
        $parameters = new Parameters();
        $runner = new Runner($plan, $parameters);
        $start = MassBalance::held(new State($runner->facts()), $parameters);
        $runner->run($days, $events, 1, static function (int $day, State $state, MassBalance $books) use ($start, $parameters): void {
            foreach (MassBalance::held($state, $parameters) as $element => $held) {
                $booked = $start[$element] + $books->$element;
                Assert::assertEqualsWithDelta($booked, $held, 1e-9 * max(1.0, abs($booked), abs($start[$element])), "$element on day $day");
            }
            foreach (
                [
                    'ammonia',
                    'nitrite',
                    'nitrate',
                    'phosphorus',
                    'potassium',
                    'iron',
                    'carbon',
                    'oxygen',
                    'volume',
                    'hardness',
                    'poreNitrogen',
                    'flushNitrogen',
                    'slowNitrogen',
                    'quickCarbon',
                    'slowCarbon',
                    'soilPhosphorus',
                    'soilPotassium',
                    'soilIron',
                    'readyNitrogen',
                    'fat',
                    'debt',
                    'acidity',
                    'tannin',
                    'silicon',
                    'lime',
                    'headOxygen',
                    'headCarbon',
                    'algae',
                    'algaeNitrogen',
                    'biomass',
                    'leafNitrogen',
                    'animals',
                    'heads',
                ] as $store
            ) {
                foreach ((array) $state->$store as $held) {
                    Assert::assertTrue(\is_float($held) && is_finite($held) && $held >= -1e-12, "$store on day $day");
                }
            }
            foreach (
                [
                    ...$state->scraps->values(),
                    ...$state->droppings->values(),
                    ...$state->litter->values(),
                    ...$state->reserves[0],
                    ...$state->reserves[1],
                    ...$state->reserves[2],
                ] as $held
            ) {
                Assert::assertTrue(is_finite($held) && $held >= -1e-9, "what lies on the bed and what leaves have laid by, on day $day");
            }
        });
    }
}
