<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin;

use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Nature\Animal\AnimalShape;
use Olvek\Core\Nature\Bed\Layer;
use Olvek\Core\Nature\Plant\PlantRole;
use Olvek\Core\Planning\Change\AddClump;
use Olvek\Core\Planning\Change\AddDose;
use Olvek\Core\Planning\Change\AddGroup;
use Olvek\Core\Planning\Change\Change;
use Olvek\Core\Planning\Change\Choose;
use Olvek\Core\Planning\Change\LayMix;
use Olvek\Core\Planning\Change\Remove;
use Olvek\Core\Planning\Change\SetDose;
use Olvek\Core\Planning\Change\SetLamp;
use Olvek\Core\Planning\Change\SetNumber;
use Olvek\Core\Planning\Change\TakeWater;
use Olvek\Core\Planning\Plan\Clump;
use Olvek\Core\Planning\Plan\Device;
use Olvek\Core\Planning\Plan\Group;
use Olvek\Core\Planning\Plan\Heating;
use Olvek\Core\Planning\Plan\Inoculum;
use Olvek\Core\Planning\Plan\Plan;

/**
 * The changes that keepers make when a tank does not hold; each is tried on the plan before it is recommended. The changes C, how much of
 * each J.
 */
enum Remedy: string
{
    /** °dH below which water is soft already. J. */
    private const SOFT = 4.0;

    case MoreStems = 'more-stems';
    case FastStems = 'fast-stems';
    case Floaters = 'floaters';
    case NoFloaters = 'no-floaters';
    case HousePlants = 'house-plants';
    case LessFood = 'less-food';
    case MoreFood = 'more-food';
    case FewerAnimals = 'fewer-animals';
    case LaterAnimals = 'later-animals';
    case LaterFood = 'later-food';
    case LargerGroup = 'larger-group';
    case DeeperCap = 'deeper-cap';
    case ThinnerSoil = 'thinner-soil';
    case MoreSoil = 'more-soil';
    case LongerLight = 'longer-light';
    case ShorterLight = 'shorter-light';
    case StrongerLamp = 'stronger-lamp';
    case WeakerLamp = 'weaker-lamp';
    case Sponge = 'sponge';
    case WaterChanges = 'water-changes';
    case Lid = 'lid';
    case SoftTopUp = 'soft-top-up';
    case MixedWater = 'mixed-water';
    case Warmer = 'warmer';
    case Cooler = 'cooler';
    case Limestone = 'limestone';
    case RootTabs = 'root-tabs';
    case Grazers = 'grazers';
    case AirStone = 'air-stone';

    /**
     * What it would change in a plan, as words and changes; null where it does not apply.
     *
     * @return array{string, list<Change>}|null
     */
    public function on(Plan $plan, UnitSystem $units = UnitSystem::Metric): ?array
    {
        return match ($this) {
            self::MoreStems => self::pieces(
                $plan,
                static fn (Clump $c): bool => \in_array(
                    $c->kind->role,
                    [PlantRole::FastStem, PlantRole::SlowStem, PlantRole::Rosette, PlantRole::Runner, PlantRole::Carpet],
                    true,
                ),
                1.6,
            ),
            self::FastStems => self::newClump($plan, 'hygrophila-polysperma', 'a bunch of fast stems'),
            self::Floaters => self::newClump($plan, 'salvinia-natans', 'floaters'),
            self::HousePlants => self::newClump($plan, 'epipremnum-aureum', 'house plants with their roots in the water'),
            self::NoFloaters => self::without($plan),
            self::LessFood => self::food($plan, 0.5, 'feed half as much'),
            self::MoreFood => self::food($plan, 2.0, 'feed twice as much'),
            self::FewerAnimals => self::animals($plan),
            self::LargerGroup => self::group($plan),
            self::LaterAnimals => self::later($plan),
            self::LaterFood => $plan->feed->grams > 0
                ? [
                    'start feeding two weeks later',
                    [new SetNumber('feeding.fromDay', max($plan->feedFrom, $plan->firstAnimals() ?? 0) + 14)],
                ]
                : null,
            self::DeeperCap => null === $plan->bed->cap
                ? null
                : self::cap($plan->bed->cap, UnitSystem::Us === $units ? 0.0127 : 0.015, $units),
            self::ThinnerSoil => self::soil($plan, 0.6, 'lay the soil thinner'),
            self::MoreSoil => null === $plan->bed->soil
                ? ['lay topsoil under the cap', [LayMix::pure('soil', 'bagged-topsoil')]]
                : self::soil($plan, 1.5, 'lay the soil half as deep again'),
            self::LongerLight => $plan->lamp->hours > 12
                ? null
                : ['light for two hours more', [new SetNumber('light.hours', $plan->lamp->hours + 2)]],
            self::ShorterLight => $plan->lamp->hours < 5
                ? null
                : ['light for two hours less', [new SetNumber('light.hours', $plan->lamp->hours - 2)]],
            self::StrongerLamp => $plan->lamp->lumens > 0
                ? ['a lamp half as strong again', [SetLamp::lumens(round($plan->lamp->lumens * 1.5))]]
                : ['a lamp of 2000 lm', [SetLamp::lumens(2000.0), new SetNumber('light.hours', 8.0)]],
            self::WeakerLamp => $plan->lamp->lumens > 0
                ? ['dim the lamp by a third', [SetLamp::lumens(round($plan->lamp->lumens * 0.67))]]
                : null,
            self::Sponge => Inoculum::Sponge === $plan->inoculum
                ? null
                : ['bring a sponge from a running tank', [new Choose('start.inoculum', Inoculum::Sponge->value)]],
            self::WaterChanges => $plan->site->sealed
                ? null
                : [
                    'change a quarter of the water every two weeks',
                    [new SetNumber('care.changeShare', 0.25), new SetNumber('care.changeEvery', 14)],
                ],
            self::Lid => $plan->site->lid || $plan->site->sealed ? null : ['put a lid on', [new Choose('site.lid', true)]],
            self::SoftTopUp => $plan->site->sealed
                ? null
                : ['top up with reverse osmosis or rain water', [new TakeWater(TakeWater::TOP_UP, 'reverse-osmosis')]],
            self::MixedWater => self::mixed($plan),
            self::Warmer => self::warmer($plan, $units),
            self::Cooler => [
                'keep it '.$units->show(Dimension::TemperatureDifference, 2.0, 0).' cooler',
                [new SetNumber('site.temperature', $plan->site->temperature - 2)],
            ],
            self::Limestone => self::dose($plan, 'limestone', 'mix crushed limestone into the soil'),
            self::RootTabs => self::dose($plan, 'root-tab', 'press root tabs into the soil'),
            self::Grazers => self::grazers($plan),
            self::AirStone => Device::None !== $plan->equipment->device || $plan->site->sealed || $plan->site->isOutdoors()
                ? null
                : ['run an air stone', [new Choose('equipment.device', Device::AirStone->value)]],
        };
    }

    /**
     * Half of the water without anything in it: rain, or what reverse osmosis gives; topped up with such alone.
     *
     * @return array{string, list<Change>}|null
     */
    private static function mixed(Plan $plan): ?array
    {
        $water = $plan->water;

        return $plan->site->sealed || $water->gh < self::SOFT ? null : [
            'mix the water half and half with rain or reverse osmosis water, and top up with that',
            [
                new SetNumber('water.gh', round($water->gh / 2, 2)),
                new SetNumber('water.kh', round($water->kh / 2, 2)),
                new SetNumber('water.nitrate', round($water->nitrate / 2, 3)),
                new TakeWater(TakeWater::TOP_UP, 'reverse-osmosis'),
            ],
        ];
    }

    /**
     * A heater where one can hang, set to what the neediest wants; else a warmer place.
     *
     * @return array{string, list<Change>}
     */
    private static function warmer(Plan $plan, UnitSystem $units): array
    {
        $coolest = max([
            $plan->coldest() + 1,
            ...array_map(static fn (Clump|Group $thing): float => $thing->kind->coolest->value, [...$plan->clumps, ...$plan->groups]),
        ]);
        $target = min(30.0, ceil($coolest + 1));

        return match (true) {
            $plan->equipment->heats() => [
                'heat it to '.$units->show(Dimension::Temperature, $target, 0),
                [new SetNumber('equipment.target', $target), new SetNumber('equipment.watts', 0.0)],
            ],
            $plan->site->sealed || $plan->site->isOutdoors() => [
                'keep it '.$units->show(Dimension::TemperatureDifference, 2.0, 0).' warmer',
                [new SetNumber('site.temperature', $plan->site->temperature + 2)],
            ],
            default => [
                'fit a heater, set to '.$units->show(Dimension::Temperature, $target, 0),
                [new Choose('equipment.heating', Heating::Tank->value), new SetNumber('equipment.target', $target)],
            ],
        };
    }

    /** @return array{string, list<Change>} */
    private static function cap(Layer $cap, float $metres, UnitSystem $units): array
    {
        return [
            \sprintf('lay the cap %s deeper', $units->show(Dimension::Length, $metres)),
            [new SetNumber('bed.cap.front', $cap->front + $metres), new SetNumber('bed.cap.back', $cap->back + $metres)],
        ];
    }

    /**
     * @param \Closure(Clump): bool $which
     *
     * @return array{string, list<Change>}|null
     */
    private static function pieces(Plan $plan, \Closure $which, float $factor): ?array
    {
        $changes = [];
        foreach (array_filter($plan->clumps, $which) as $clump) {
            $changes[] = new SetNumber("plants.$clump->id.pieces", min(Clump::MOST_PIECES, (int) ceil($clump->pieces * $factor)));
        }

        return [] === $changes ? null : ['plant more of what is rooted', $changes];
    }

    /** @return array{string, list<Change>} */
    private static function newClump(Plan $plan, string $kind, string $words): array
    {
        foreach ($plan->clumps as $clump) {
            if ($clump->kind->id === $kind) {
                return [
                    "more $words",
                    [new SetNumber("plants.$clump->id.pieces", min(Clump::MOST_PIECES, (int) ceil($clump->pieces * 1.6)))],
                ];
            }
        }

        return ["add $words", [new AddClump($kind)]];
    }

    /** @return array{string, list<Change>}|null */
    private static function without(Plan $plan): ?array
    {
        $changes = [];
        foreach ($plan->clumps as $clump) {
            if ($clump->kind->role->coversSurface()) {
                $changes[] = new Remove('plants', $clump->id);
            }
        }

        return [] === $changes ? null : ['leave the floaters out', $changes];
    }

    /** @return array{string, list<Change>}|null */
    private static function food(Plan $plan, float $factor, string $words): ?array
    {
        if ([] === $plan->groups || $plan->site->sealed) {
            return null;
        }
        $grams = $plan->feed->grams > 0 ? $plan->feed->grams * $factor : ($factor > 1 ? self::firstFood($plan) : 0.0);

        return $grams <= 0
            ? null
            : [$plan->feed->grams > 0 ? $words : 'start feeding a little', [new SetNumber('feeding.grams', round(min(1000.0, $grams), 4))]];
    }

    /** g a day: what the kinds usually eat. */
    private static function firstFood(Plan $plan): float
    {
        return array_sum(
            array_map(
                static fn (Group $g): float => AnimalShape::Fish === $g->kind->shape ? $g->biomass() * $g->kind->food->value : 0.0,
                $plan->groups,
            ),
        );
    }

    /** @return array{string, list<Change>}|null */
    private static function animals(Plan $plan): ?array
    {
        $largest = null;
        foreach ($plan->groups as $group) {
            if (null === $largest || $group->biomass() > $largest->biomass()) {
                $largest = $group;
            }
        }

        return null === $largest || $largest->count < 2
            ? null
            : [
                \sprintf('half as many of %s', $largest->kind->common),
                [new SetNumber("animals.$largest->id.count", intdiv($largest->count, 2))],
            ];
    }

    /** @return array{string, list<Change>}|null */
    private static function group(Plan $plan): ?array
    {
        foreach ($plan->groups as $group) {
            if ($group->count < $group->kind->group->value) {
                return [
                    \sprintf('keep %d of %s', (int) $group->kind->group->value, $group->kind->common),
                    [new SetNumber("animals.$group->id.count", (int) $group->kind->group->value)],
                ];
            }
        }

        return null;
    }

    /** @return array{string, list<Change>}|null */
    private static function later(Plan $plan): ?array
    {
        $changes = [];
        foreach ($plan->groups as $group) {
            $changes[] = new SetNumber("animals.$group->id.day", min(Plan::LAST_DAY, $group->day + 21));
        }

        return [] === $changes ? null : ['let all animals come three weeks later', $changes];
    }

    /** @return array{string, list<Change>}|null */
    private static function soil(Plan $plan, float $factor, string $words): ?array
    {
        $soil = $plan->bed->soil;

        return null === $soil
            ? null
            : [$words, [new SetNumber('bed.soil.front', $soil->front * $factor), new SetNumber('bed.soil.back', $soil->back * $factor)]];
    }

    /** @return array{string, list<Change>} */
    private static function dose(Plan $plan, string $amendment, string $words): array
    {
        foreach ($plan->bed->doses as $dose) {
            if ($dose->amendment->id === $amendment) {
                return [$words.', twice as much', [new SetDose($amendment, 2 * $dose->grams)]];
            }
        }

        return [$words, [new AddDose($amendment)]];
    }

    /** @return array{string, list<Change>}|null */
    private static function grazers(Plan $plan): ?array
    {
        foreach ($plan->groups as $group) {
            if (AnimalShape::Snail === $group->kind->shape) {
                return null;
            }
        }

        return ['add ramshorn snails', [new AddGroup('planorbella-duryi')]];
    }
}
