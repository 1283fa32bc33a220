<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Change;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Nature\Bed\BedZone;
use Olvek\Core\Nature\Bed\Purpose;
use Olvek\Core\Nature\Light\Aspect;
use Olvek\Core\Planning\Plan\FillingMethod;
use Olvek\Core\Planning\Plan\Inoculum;
use Olvek\Core\Planning\Plan\Method;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\StartWay;

/** What each method would lay, light and start with in a plan's vessel. All C, common practice. */
final class Recipe
{
    /** Share of a vessel's height that a deep bed fills at most. J. */
    private const DEEPEST = 0.4;
    /** m: mean depth of all layers of the hill bed and of the deep clay bed, in a vessel that is high enough. C. */
    private const HILL = 0.16;
    private const CLAY = 0.14;
    /** m: mean height of the hill's soil, and the share of it that bags of lava make. J: a bag or two under its back. */
    private const HILL_SOIL = 0.06;
    private const BAGS = 1 / 7;
    /** m: granules at the back; in a vessel taller than that, so much, so that low plants stand nearer the lamp; lava below them. C. */
    private const BACK = 0.06;
    private const TALL = 0.45;
    private const HIGH_BACK = 0.1;
    private const LAVA = 0.02;
    /** L of a vessel to which humus lies so deep, m: 208 L are 55 US gal, 379 L 100 US gal. C. */
    private const HUMUS = [60 => 0.015, 208 => 0.025, 379 => 0.038];
    private const HUMUS_BEYOND = 0.05;

    /** @return list<Change> */
    public static function of(Method $method, Plan $plan, UnitSystem $units = UnitSystem::Metric): array
    {
        $left = array_map(static fn (BedZone $zone): Change => new Remove('zones', $zone->id), $plan->bed->zones);

        return [...$left, ...self::bed($method, $plan)->changes($units), ...self::around($method, $plan, $units)];
    }

    /** What it lays. */
    public static function bed(Method $method, Plan $plan): BedRecipe
    {
        $clay = self::low($plan, self::CLAY);
        $hill = self::low($plan, self::HILL);
        $humus = self::humus($plan);
        $rise = $plan->vessel->height() > self::TALL ? self::HIGH_BACK : self::BACK;
        $granules = self::low($plan, $rise + self::LAVA);

        return match ($method) {
            Method::ThinSoil => new BedRecipe(['bagged-topsoil' => 1.0], [0.025, 0.025], ['fine-gravel' => 1.0], [0.025, 0.025]),
            Method::HumusBed => new BedRecipe(
                ['coir' => 2.0, 'garden-compost' => 1.0, 'garden-loam' => 1.0],
                [$humus, $humus],
                ['coarse-sand' => 1.0],
                [2 * $humus, 2 * $humus],
            ),
            Method::SunnySill => new BedRecipe(
                ['coir' => 1.0, 'garden-compost' => 1.0, 'bagged-topsoil' => 1.0],
                [0.025, 0.025],
                ['coarse-sand' => 1.0],
                [0.05, 0.05],
            ),
            Method::SoilWithGravel => new BedRecipe(
                ['bagged-topsoil' => 1.0, 'fine-gravel' => 1.0],
                [0.025, 0.04],
                ['coarse-sand' => 1.0],
                [0.025, 0.035],
            ),
            Method::DeepClay => new BedRecipe(
                ['baked-clay' => 1.0, 'bagged-topsoil' => 1.0],
                [0.065 * $clay, 0.07 * $clay],
                ['seasoned-gravel' => 1.0],
                [0.065 * $clay, 0.07 * $clay],
            ),
            Method::HillBed => new BedRecipe(
                ['bagged-topsoil' => 1.0],
                [0.04 * $hill, 0.08 * $hill],
                ['coarse-sand' => 1.0],
                [0.04 * $hill, 0.08 * $hill],
            ),
            Method::LeafSandwich => new BedRecipe(['potting-soil' => 1.0], [0.025, 0.04], ['coarse-sand' => 1.0], [0.06, 0.07]),
            Method::BaggedSoil => new BedRecipe(
                ['bagged-topsoil' => 1.0, 'seasoned-gravel' => 1.0],
                [0.025, 0.025],
                ['fine-sand' => 1.0],
                [0.03, 0.03],
            ),
            Method::SlowSwamp => new BedRecipe(['garden-compost' => 1.0], [0.003, 0.005], ['coarse-sand' => 1.0], [0.03, 0.05]),
            Method::LeanBed => new BedRecipe([], [0.0, 0.0], ['coarse-sand' => 1.0, 'fine-gravel' => 1.0], [0.04, 0.06]),
            Method::VoidPlate => new BedRecipe(
                ['baked-clay' => 1.0, 'coarse-sand' => 1.0],
                [0.04, 0.05],
                ['coarse-sand' => 1.0],
                [0.03, 0.03],
            ),
            Method::SealedJar => new BedRecipe(['bagged-topsoil' => 1.0], [0.005, 0.005], ['coarse-sand' => 1.0], [0.02, 0.02]),
            Method::LoadedGranules => new BedRecipe(['planted-granules' => 1.0], [0.03 * $granules, $rise * $granules], [], [0.0, 0.0]),
        };
    }

    /** Root tabs of a gram: one for every 100 cm² of floor. C. */
    public static function tabs(Plan $plan): SetDose
    {
        return new SetDose('root-tab', round(max(1.0, 100 * $plan->floor()), 1));
    }

    /** @return list<Change> in bed, light and start, beside the layers */
    private static function around(Method $method, Plan $plan, UnitSystem $units): array
    {
        return match ($method) {
            Method::ThinSoil => [...self::start(StartWay::Dosing), ...self::lit($plan, 8)],
            // 20 g of minerals to a litre of soil.
            Method::HumusBed => [
                new SetDose('mineral-mix', round(20 * $plan->floor() * self::humus($plan) * 1000, 1)),
                ...self::start(StartWay::Plants),
                ...self::lit($plan, 10, 21),
            ],
            Method::SunnySill => [
                ...self::start(StartWay::Waiting),
                new Choose('site.aspect', Aspect::South->value),
                new SetNumber('site.sky', 0.25),
            ],
            Method::SoilWithGravel => [...self::start(StartWay::Bottled), ...self::lit($plan, 8), self::tabs($plan)],
            Method::DeepClay => [...self::start(StartWay::Borrowed), self::seeded(Inoculum::SeasonedBed), ...self::lit($plan, 8)],
            Method::HillBed => [
                new SetNumber('bed.core', round(self::BAGS * 1000 * $plan->floor() * self::HILL_SOIL * self::low($plan, self::HILL), 1)),
                ...self::start(StartWay::Dosing),
                ...self::lit($plan, 8),
                self::pinch($plan, 'gypsum', 12),
                self::pinch($plan, 'epsom-salt', 6),
                self::pinch($plan, 'potassium-sulphate', 6),
            ],
            Method::LeafSandwich => [
                ...BedRecipe::layer('leaves', ['fallen-leaves' => 1.0], [0.013, 0.013], $units),
                ...self::start(StartWay::Plants),
                ...self::lit($plan, 8),
            ],
            Method::BaggedSoil => [
                new Choose('bed.bagged', true),
                ...self::start(StartWay::Bottled),
                self::seeded(Inoculum::SeasonedBed),
                ...self::lit($plan, 9),
            ],
            Method::SlowSwamp => [
                ...self::start(StartWay::Waiting),
                self::seeded(Inoculum::Cuttings),
                ...self::lit($plan, 8),
                ...[] === $plan->groups ? [] : [new SetNumber('feeding.grams', 0.0)],
            ],
            Method::LeanBed => [...self::start(StartWay::Borrowed), ...self::lit($plan, 8)],
            Method::VoidPlate => [
                new SetNumber('bed.plate', 0.02),
                ...self::start(StartWay::Waiting),
                ...self::lit($plan, 9),
                new SetNumber('care.changeEvery', 0),
            ],
            Method::SealedJar => [
                ...self::start(StartWay::Waiting),
                new Choose('site.sealed', true),
                new Choose('preparation.filling', FillingMethod::Sink->value),
            ],
            Method::LoadedGranules => [
                ...BedRecipe::layer('base', ['lava' => 1.0], [self::LAVA, self::LAVA], $units),
                new AddZone(Purpose::Foreground->value),
                ...self::start(StartWay::Bottled),
                new SetNumber('preparation.firstChange', 0.5),
                new SetNumber('preparation.firstChanges', 4),
                ...self::lit($plan, 8),
                new SetNumber('light.startShare', 0.6),
                new SetNumber('light.stepShare', 0.05),
                new Choose('light.held', true),
            ],
        };
    }

    /** @return list<Change> */
    private static function start(StartWay $way): array
    {
        return [new StartBy($way), ...null === $way->inoculum() ? [] : [self::seeded($way->inoculum())]];
    }

    private static function seeded(Inoculum $inoculum): Choose
    {
        return new Choose('start.inoculum', $inoculum->value);
    }

    /** @return list<Change> */
    private static function lit(Plan $plan, float $hours, int $allDay = 0): array
    {
        return $plan->lamp->lumens > 0 ? [new SetNumber('light.hours', $hours), new SetNumber('light.allDay', $allDay)] : [];
    }

    /** Depth of humus by the size of the tank, m. */
    private static function humus(Plan $plan): float
    {
        $litres = $plan->vessel->grossVolume();
        foreach (self::HUMUS as $below => $depth) {
            if ($litres < $below) {
                return $depth;
            }
        }

        return self::HUMUS_BEYOND;
    }

    /** How much of its depth (m) a deep bed keeps in a low vessel. */
    private static function low(Plan $plan, float $depth): float
    {
        return min(1.0, (self::DEEPEST * $plan->vessel->height()) / $depth);
    }

    /** A salt at so many g per m² of floor: a pinch under the cap of a small tank. C; how much, J. */
    private static function pinch(Plan $plan, string $salt, float $perSquareMetre): SetDose
    {
        return new SetDose($salt, round(max(0.1, $perSquareMetre * $plan->floor()), 2));
    }
}
