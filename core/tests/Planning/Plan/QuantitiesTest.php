<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Planning\Plan;

use Olvek\Core\Nature\Bed\Laid;
use Olvek\Core\Planning\Plan\Quantities;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\TestCase;

final class QuantitiesTest extends TestCase
{
    /**
     * By hand: 62 × 42 cm outside, 1 cm glass: floor 2400 cm². Soil 2 cm in front, 3 cm behind: 2.5 × 2400 = 6 L, topsoil and coir
     * 2 : 1 by volume = 4 L × 0.7 + 2 L × 0.1 = 2.8 + 0.2 kg. Cap 5 cm level: 12 L × 1.55 = 18.6 kg.
     * Water line 35 cm: 84 L − 18 L = 66 L free.
     */
    public function testLayersOnASlopeAndInAMix(): void
    {
        $plan = Sample::edit(Sample::planted(), [
            'vessel.length' => '62 cm',
            'vessel.width' => '42 cm',
            'vessel.height' => '41 cm',
            'vessel.glass' => '10 mm',
            'waterLine' => '35 cm',
            'bed.soil.front' => '2 cm',
            'bed.soil.back' => '3 cm',
            'bed.cap.front' => '5 cm',
            'bed.cap.back' => '5 cm',
            'bed.soil.parts.bagged-topsoil' => '2',
            'bed.soil.add' => 'coir',
        ]);
        $quantities = Quantities::of($plan);

        self::assertEqualsWithDelta([4.0, 2.0, 12.0], array_map(static fn ($n) => $n->litres, $quantities->materials), 1e-9);
        self::assertEqualsWithDelta([2.8, 0.2, 18.6], array_map(static fn ($n) => $n->kilograms, $quantities->materials), 1e-9);
        self::assertEqualsWithDelta(66.0, $quantities->netWater, 1e-9);
        // Pores: soil 4 × 0.55 + 2 × 0.9 = 4 L; cap 12 × 0.4 = 4.8 L. Glass 26.91 kg (see the vessel's test).
        self::assertEqualsWithDelta(8.8, $quantities->poreWater, 1e-9);
        self::assertEqualsWithDelta(26.91 + 21.6 + (66 + 8.8) * 0.998, $quantities->fullMass, 1e-9);
        self::assertEqualsWithDelta($quantities->fullMass / 0.2604, $quantities->load, 1e-9);
    }

    public function testBagsAreWhole(): void
    {
        $sand = Quantities::of(Sample::planted())->materials[1];
        self::assertEqualsWithDelta(5.927, $sand->litres, 0.001);
        self::assertSame(1, $sand->bags(10.0));
        self::assertSame(2, $sand->bags(5.0));
        self::assertSame(1, $sand->bags($sand->litres));
        $this->expectException(\InvalidArgumentException::class);
        $sand->bags(0.0);
    }

    /** Two litres of granite, 2.7 kg/L, take two litres of water's place: 5.4 − 2 kg more, water being 1 kg/L (0.998 at 20 °C). */
    public function testStonesWeighMoreThanTheWaterTheyDisplace(): void
    {
        $stones = Sample::edit(Sample::edit(Sample::planted(), ['hardscape.add' => 'granite']), ['hardscape.h1.litres' => '2 L']);
        self::assertEqualsWithDelta(3.4, Quantities::of($stones)->fullMass - Quantities::of(Sample::planted())->fullMass, 0.01);
        self::assertEqualsWithDelta(2.0, Quantities::of(Sample::planted())->netWater - Quantities::of($stones)->netWater, 1e-9);
    }

    public function testVolumesAddUp(): void
    {
        for ($seed = 1; $seed <= 100; ++$seed) {
            $plan = Sample::random($seed);
            $quantities = Quantities::of($plan);
            self::assertEqualsWithDelta(
                $plan->vessel->volumeBelow($plan->waterLine),
                $quantities->soilVolume +
                    $plan->bed->leafVolume($plan->vessel) +
                    $plan->bed->core +
                    $quantities->capVolume +
                    array_sum(
                        array_map(
                            static fn (Laid $l): float => \in_array($l->layer, ['base', 'dressing'], true) ? $l->litres : 0.0,
                            $plan->bed->laid($plan->vessel),
                        ),
                    ) +
                    $plan->displaced() +
                    $quantities->netWater,
                1e-9,
            );
            self::assertGreaterThan(0.0, $quantities->netWater);
        }
    }
}
