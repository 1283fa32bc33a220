<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Planning\Buying;

use Olvek\Core\Planning\Buying\RoughCost;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\TestCase;

/** Rough costs, to compare plans by. */
final class RoughCostTest extends TestCase
{
    public function testWorkedByHand(): void
    {
        $plan = Sample::planted();
        $cost = RoughCost::of($plan);
        $litres = static fn (string $layer): float => array_sum(array_map(
            static fn ($l): float => $layer === $l->layer ? $l->litres : 0.0,
            $plan->bed->laid($plan->vessel),
        ));
        // Vessel 0.9 a litre; lamp 2000 lm / 60 and a timer of 8; soil 0.5 and sand 1 a litre; 40 stems are capped at 30 and 9 rosettes
        // cost 4 each, of which 30 count; ten small fish at 3.5; food 6, tests 25, treatment 6.
        $bed = 0.5 * $litres('soil') + 1.0 * $litres('cap');
        $byHand = 0.9 * $plan->vessel->grossVolume() + 2000 / 60 + 8 + $bed + 40 * 0.6 + 30 + 35 + 6 + 31;

        self::assertEqualsWithDelta($byHand, $cost->value, 1.0);
        self::assertEqualsWithDelta([$cost->value / 1.5, $cost->value * 1.5], [$cost->low, $cost->high], 1.0);
    }

    public function testWhatIsThereCostsNothing(): void
    {
        $plan = Sample::planted();
        $all = RoughCost::of($plan)->value;

        self::assertEqualsWithDelta($all - 0.9 * $plan->vessel->grossVolume(), RoughCost::of($plan, hasVessel: true)->value, 1.0);
        self::assertEqualsWithDelta($all - 2000 / 60 - 8, RoughCost::of($plan, hasLamp: true)->value, 1.0);
        $given = Sample::edit($plan, ['plants.c1.source' => 'on-hand', 'animals.a1.source' => 'own-tank']);
        self::assertEqualsWithDelta($all - 24 - 35, RoughCost::of($given)->value, 1.0);
        self::assertGreaterThan($all + 15, RoughCost::of(Sample::edit($plan, ['equipment.heating' => 'tank']))->value);
    }
}
