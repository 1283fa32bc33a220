<?php

declare(strict_types=1);

namespace Olvek\Core\Tests;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Plan\Plan;

/** Plans for tests: a plain planted box, and random ones from a seed. */
final class Sample
{
    private static ?Catalogue $catalogue = null;

    public static function catalogue(): Catalogue
    {
        return self::$catalogue ??= Catalogue::shipped();
    }

    /** Half a floor of stems and crypts, ten least killifish from day 28. */
    public static function planted(): Plan
    {
        $plan = Plan::starting('Waiting hall', self::catalogue());
        $plan = self::edit($plan, ['plants.add' => 'limnophila-sessiliflora', 'animals.add' => 'heterandria-formosa']);
        $plan = self::edit($plan, ['plants.add' => 'cryptocoryne-wendtii', 'plants.c1.pieces' => '40', 'animals.a1.count' => '10']);

        return self::edit($plan, ['plants.c2.pieces' => '9', 'feeding.grams' => '0.05']);
    }

    /** @param array<string, string> $edits */
    public static function edit(Plan $plan, array $edits, UnitSystem $units = UnitSystem::Metric): Plan
    {
        return (new Editor(self::catalogue()))->apply($plan, $edits, $units)->plan;
    }

    /** Any buildable plan; the same for the same seed. */
    public static function random(int $seed): Plan
    {
        $dice = new \Random\Randomizer(new \Random\Engine\Mt19937($seed));
        $between = static fn (float $low, float $high): float => $low + (($high - $low) * $dice->getInt(0, 1_000_000)) / 1e6;
        $height = $between(0.2, 0.6);
        $catalogue = self::catalogue();
        $edits = [
            'vessel.length' => \sprintf('%.4f m', $between(0.2, 1.5)),
            'vessel.width' => \sprintf('%.4f m', $between(0.2, 0.7)),
            'vessel.height' => \sprintf('%.4f m', $height),
            'waterLine' => \sprintf('%.4f m', $height - 0.02),
            'bed.soil.front' => \sprintf('%.4f m', $between(0, 0.04)),
            'bed.soil.back' => \sprintf('%.4f m', $between(0, 0.04)),
            'bed.cap.front' => \sprintf('%.4f m', $between(0, 0.08)),
            'bed.cap.back' => \sprintf('%.4f m', $between(0, 0.08)),
            'light.lumens' => (string) $dice->getInt(0, 8000),
            'light.hours' => \sprintf('%.2f', $between(0, 24)),
            'water.pH' => \sprintf('%.2f', $between(5.5, 8.8)),
            'site.temperature' => \sprintf('%.1f °C', $between(8, 33)),
            'care.changeShare' => (string) $dice->getInt(0, 100),
            'care.changeEvery' => (string) $dice->getInt(0, 60),
        ];
        $plan = self::edit(Plan::starting("Random $seed", $catalogue), $edits);
        if (0 === $seed % 3) {
            $plan = self::edit($plan, ['vessel.shape' => 'cylinder']);
        }
        for ($n = $dice->getInt(0, 6); $n > 0; --$n) {
            $plan = self::edit($plan, ['plants.add' => self::pick($dice, $catalogue->plants)]);
            $last = $plan->clumps[\count($plan->clumps) - 1]->id;
            $plan = self::edit($plan, ["plants.$last.pieces" => (string) $dice->getInt(1, 60)]);
        }
        for ($n = $dice->getInt(0, 3); $n > 0; --$n) {
            $plan = self::edit($plan, [
                'animals.add' => self::pick($dice, $catalogue->animals),
                'feeding.grams' => \sprintf('%.3f', $between(0, 1)),
            ]);
            $last = $plan->groups[\count($plan->groups) - 1]->id;
            $plan = self::edit($plan, [
                "animals.$last.count" => (string) $dice->getInt(1, 40),
                "animals.$last.day" => (string) $dice->getInt(0, 200),
            ]);
        }
        if (0 !== $seed % 4) {
            return $plan;
        }
        // What a plan may say besides: the lamp's weeks, what lies between, days of planting, planned events.
        $plan = self::edit($plan, [
            'light.pause' => \sprintf('%.2f', $between(0, 24 - $plan->lamp->hours)),
            'light.allDay' => (string) $dice->getInt(0, 30),
            'light.startShare' => (string) $dice->getInt(10, 100),
            'light.stepShare' => (string) $dice->getInt(0, 20),
            'bed.plate' => \sprintf('%.4f m', $between(0, 0.015)),
            'bed.setback' => \sprintf('%.4f m', $between(0, 0.1)),
            'bed.leaves.material' => 'fallen-leaves',
        ]);
        $plan = self::edit($plan, [
            'events.add.change' => (string) $dice->getInt(0, 300),
            'events.add.dose' => (string) $dice->getInt(0, 300),
            'events.add.leaves' => (string) $dice->getInt(0, 300),
            'events.add.holiday' => (string) $dice->getInt(0, 300),
        ]);

        if (0 === $seed % 8) {
            // And where it stands, what lies in it, how it is moved and shut.
            $plan = self::edit($plan, [
                'site.aspect' => ['none', 'south', 'open'][$dice->getInt(0, 2)],
                'site.sky' => (string) $dice->getInt(0, 100),
                'site.swing' => (string) $dice->getInt(0, 5),
                'site.lid' => ['yes', 'no'][$dice->getInt(0, 1)],
                'site.movement' => ['still', 'rippled', 'lively'][$dice->getInt(0, 2)],
                'site.altitude' => (string) $dice->getInt(0, 2500),
                'site.rain' => (string) $dice->getInt(0, 1500),
                'care.gas' => (string) $dice->getInt(0, 20),
                'hardscape.add' => 'tufa',
                'bed.doses.add' => ['limestone', 'root-tab', 'gypsum', 'bone-meal'][$dice->getInt(0, 3)],
                'water.sulphate' => (string) $dice->getInt(0, 200),
                'water.calcium' => (string) $dice->getInt(0, 100),
            ]);
        }
        if (0 === $seed % 16 && 0 !== $seed % 3) {
            // And zones, technique, a second lamp, what stands out of the water.
            $plan = self::edit($plan, [
                'zones.add' => ['rear', 'left-bank', 'terrace', 'raised'][$dice->getInt(0, 3)],
                'bed.setback' => '0',
                'equipment.heating' => ['none', 'room', 'tank'][$dice->getInt(0, 2)],
                'equipment.watts' => (string) $dice->getInt(0, 100),
                'equipment.device' => ['none', 'air-stone', 'internal-filter', 'wave-maker'][$dice->getInt(0, 3)],
                'light.secondLumens' => (string) $dice->getInt(0, 3000),
                'light.secondHours' => (string) $dice->getInt(1, 14),
                'preparation.firstChange' => (string) $dice->getInt(0, 100),
                'preparation.firstChanges' => (string) $dice->getInt(1, 5),
                'bed.base.material' => ['lava', 'baked-clay', 'planted-granules'][$dice->getInt(0, 2)],
                'bed.base.front' => '5 mm',
                'bed.base.back' => '5 mm',
                'hardscape.h1.height' => '40 cm',
                'hardscape.h1.fixing' => 'wadding-and-soda',
                'plants.add' => 'taxiphyllum-barbieri',
            ]);
            $last = $plan->clumps[\count($plan->clumps) - 1]->id;
            $plan = self::edit($plan, ["plants.$last.emersion" => ['emersed', 'wicking'][$dice->getInt(0, 1)]]);
        }
        if (0 === $seed % 24) {
            $plan = self::edit($plan, ['feeding.grams' => '0', 'care.gas' => '0', 'site.sealed' => 'yes']);
        }

        return [] === $plan->clumps
            ? $plan
            : self::edit($plan, ['plants.c1.day' => (string) $dice->getInt(0, 60), 'events.add.trim' => (string) $dice->getInt(0, 300)]);
    }

    /** @param array<mixed> $things */
    public static function pick(\Random\Randomizer $dice, array $things): string
    {
        return (string) array_keys($things)[$dice->getInt(0, \count($things) - 1)];
    }
}
