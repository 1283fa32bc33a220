<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Reference;

use Olvek\Core\Nature\Bed\Bed;
use Olvek\Core\Nature\Bed\Layer;
use Olvek\Core\Nature\Bed\Mix;
use Olvek\Core\Nature\Bed\Release;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\TestCase;

/** The leak through the cap against its published parts and against a general-purpose integration of the same balance. */
final class DiffusionTest extends TestCase
{
    /** Li & Gregory's 25 °C and the line through other temperatures (M) meet; a third slower in a cool tub. */
    public function testWarmthSpeedsIt(): void
    {
        self::assertEqualsWithDelta(1.0, Release::diffusionAgainst25(25.0), 1e-12);
        self::assertEqualsWithDelta(Release::DIFFUSION, (9.5 + 0.413 * 25) * 1e-6 * 1e-4 * 86400, 0.02e-4, 'cm²/s to m²/d');
        self::assertEqualsWithDelta(0.69, Release::diffusionAgainst25(10.0), 0.005);
    }

    /** Boudreau (1996): θ² = 1 − ln φ²; φ = 0.4 gives 2.83, φ = 1 (free water) gives 1. */
    public function testTortuosity(): void
    {
        self::assertEqualsWithDelta(2.8326, Release::tortuosity(0.4), 1e-4);
        self::assertEqualsWithDelta(1.0, Release::tortuosity(1.0), 1e-12);
    }

    /**
     * The run's daily steps against small explicit ones written out from the balance itself, all numbers of the example worked by hand: box
     * 0.5 × 0.4 m inside, loam 2.5 cm, sand 4 cm, nothing planted, 25 °C.
     */
    public function testLeakIsTheSolutionOfItsBalance(): void
    {
        $catalogue = Catalogue::shipped();
        $bed = new Bed(
            new Layer(Mix::pure($catalogue->materials['garden-loam']), 0.025, 0.025),
            new Layer(Mix::pure($catalogue->materials['coarse-sand']), 0.04, 0.04),
        );
        // 5 L of loam at 1.1 kg/L: 5.5 kg; flush 30 mg/kg = 165 mg, 60 % of it nitrate, of the rest 3 % go at filling (cap 1.6 × soil);
        // 1500 mg/kg in all, of which 17 % × (1 − 9/27) are ready (C:N of 12 + 1.5 g/kg).
        $flush = 165.0 * 0.4 * 0.97;
        $ready = 8250.0 * 0.17 * (1 - 9 / 27);
        $slow = 8250.0 - $ready;
        // Hold-up 5 L × 0.5 × 20 = 50 L; conductance 0.4 × 1.7e-4 / 2.8326 / 0.04 m × 0.2 m² × 1000 = 0.12003 L/d.
        $conductance = ((0.4 * 1.7e-4) / (1 - 2 * log(0.4)) / 0.04) * 0.2 * 1000;
        self::assertEqualsWithDelta(0.12003, $conductance, 1e-5);
        $pore = $leaked = 0.0;
        $step = 0.001;
        for ($n = 0; $n < 90_000; ++$n) {
            $day = $n * $step;
            $stirring = $day < 21 ? 6.0 : ($day < 60 ? 3.0 : 1.5);
            $freed = 0.05 * $flush + 0.004 * $ready + 0.0001 * $slow;
            $leaked += $day >= 89 ? (($step * $conductance * $stirring) / 50.0) * $pore : 0.0;
            $pore += $step * ($freed - (($conductance * $stirring) / 50.0) * $pore);
            $flush -= $step * 0.05 * $flush;
            $ready -= $step * 0.004 * $ready;
            $slow -= $step * 0.0001 * $slow;
        }

        $plan = Sample::edit(Plan::starting('Bed', $catalogue), [
            'vessel.length' => '0.512 m',
            'vessel.width' => '0.412 m',
            'vessel.height' => '0.36 m',
            'vessel.glass' => '0.006 m',
            'waterLine' => '0.34 m',
            'site.temperature' => '25 °C',
            'light.hours' => '0',
        ]);
        self::assertEqualsWithDelta($leaked, (new Runner($plan->withBed($bed)))->run(90)->columns['leak'][89], 2e-3 * $leaked);
    }
}
