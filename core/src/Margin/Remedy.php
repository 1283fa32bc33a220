<?php

declare(strict_types=1);

namespace Olvek\Core\Margin;

use Olvek\Core\Animal\Shape;
use Olvek\Core\Plan\Clump;
use Olvek\Core\Plan\Group;
use Olvek\Core\Plan\Inoculum;
use Olvek\Core\Plan\Plan;
use Olvek\Core\Plant\Role;

/** The changes that keepers make when a tank does not hold; each is tried on the plan before it is recommended. The changes C, how much of each J. */
enum Remedy: string
{
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
    case Warmer = 'warmer';
    case Cooler = 'cooler';
    case Limestone = 'limestone';
    case RootTabs = 'root-tabs';
    case Grazers = 'grazers';

    /** @return list<self> what is worth trying for a margin, the usual first */
    public static function against(string $margin): array
    {
        return match ($margin) {
            'ammonia' => [self::FastStems, self::MoreStems, self::Floaters, self::LaterAnimals, self::Sponge, self::LessFood, self::FewerAnimals, self::DeeperCap],
            'nitrite' => [self::LaterAnimals, self::Sponge, self::LaterFood, self::FastStems, self::Floaters, self::LessFood, self::DeeperCap, self::FewerAnimals],
            'nitrate', 'stock' => [self::Floaters, self::HousePlants, self::MoreStems, self::FastStems, self::LessFood, self::FewerAnimals, self::WaterChanges, self::LongerLight],
            'oxygen' => [self::NoFloaters, self::LessFood, self::FewerAnimals, self::ThinnerSoil, self::Cooler, self::LongerLight, self::DeeperCap],
            'ph' => [self::SoftTopUp, self::ShorterLight, self::WaterChanges, self::Limestone, self::Lid, self::MoreSoil, self::Floaters],
            'minerals' => [self::SoftTopUp, self::Lid, self::WaterChanges],
            'mass' => [self::StrongerLamp, self::LongerLight, self::NoFloaters, self::MoreSoil, self::RootTabs, self::MoreFood],
            'waters' => [self::SoftTopUp, self::WaterChanges, self::Limestone],
            'planted' => [self::MoreStems, self::FastStems],
            'light' => [self::StrongerLamp, self::LongerLight, self::NoFloaters, self::ShorterLight],
            'fed' => [self::MoreFood, self::MoreSoil, self::RootTabs, self::WaterChanges, self::ShorterLight, self::NoFloaters],
            'carbon' => [self::ShorterLight, self::MoreSoil, self::WeakerLamp, self::MoreFood, self::Floaters],
            'algae' => [self::ShorterLight, self::WeakerLamp, self::FastStems, self::Floaters, self::Grazers, self::LessFood],
            'cap' => [self::DeeperCap, self::ThinnerSoil],
            'bed' => [self::ThinnerSoil, self::MoreStems, self::FastStems],
            'soil' => [self::RootTabs, self::MoreSoil, self::MoreFood],
            'room' => [self::FewerAnimals, self::LargerGroup],
            'temperature' => [self::Warmer, self::Cooler],
            'losses' => [self::LaterAnimals, self::MoreFood, self::FewerAnimals, self::LessFood, self::Sponge, self::Cooler, self::Warmer],
            default => [],
        };
    }

    /**
     * What it would change in a plan, as words and edits; null where it does not apply.
     *
     * @return array{string, array<string, string>}|null
     */
    public function on(Plan $plan): ?array
    {
        return match ($this) {
            self::MoreStems => self::pieces($plan, static fn (Clump $c): bool => \in_array($c->kind->role, [Role::FastStem, Role::SlowStem, Role::Rosette, Role::Runner, Role::Carpet], true), 1.6),
            self::FastStems => self::newClump($plan, 'hygrophila-polysperma', 'a bunch of fast stems'),
            self::Floaters => self::newClump($plan, 'salvinia-natans', 'floaters'),
            self::HousePlants => self::newClump($plan, 'epipremnum-aureum', 'house plants with their roots in the water'),
            self::NoFloaters => self::without($plan),
            self::LessFood => self::food($plan, 0.5, 'feed half as much'),
            self::MoreFood => self::food($plan, 2.0, 'feed twice as much'),
            self::FewerAnimals => self::animals($plan),
            self::LargerGroup => self::group($plan),
            self::LaterAnimals => self::later($plan),
            self::LaterFood => $plan->feed->grams > 0 ? ['start feeding two weeks later', ['feeding.fromDay' => (string) (max($plan->feedFrom, $plan->firstAnimals() ?? 0) + 14)]] : null,
            self::DeeperCap => null === $plan->bed->cap ? null : ['lay the cap 1.5 cm deeper', ['bed.cap.front' => self::metres($plan->bed->cap->front + 0.015), 'bed.cap.back' => self::metres($plan->bed->cap->back + 0.015)]],
            self::ThinnerSoil => self::soil($plan, 0.6, 'lay the soil thinner'),
            self::MoreSoil => null === $plan->bed->soil ? ['lay topsoil under the cap', ['bed.soil.material' => 'bagged-topsoil']] : self::soil($plan, 1.5, 'lay the soil half as deep again'),
            self::LongerLight => $plan->lamp->hours > 12 ? null : ['light for two hours more', ['light.hours' => \sprintf('%.2f', $plan->lamp->hours + 2)]],
            self::ShorterLight => $plan->lamp->hours < 5 ? null : ['light for two hours less', ['light.hours' => \sprintf('%.2f', $plan->lamp->hours - 2)]],
            self::StrongerLamp => $plan->lamp->lumens > 0 ? ['a lamp half as strong again', ['light.lumens' => \sprintf('%.0f', $plan->lamp->lumens * 1.5)]] : ['a lamp of 2000 lm', ['light.lumens' => '2000', 'light.hours' => '8']],
            self::WeakerLamp => $plan->lamp->lumens > 0 ? ['dim the lamp by a third', ['light.lumens' => \sprintf('%.0f', $plan->lamp->lumens * 0.67)]] : null,
            self::Sponge => Inoculum::Sponge === $plan->inoculum ? null : ['bring a sponge from a running tank', ['start.inoculum' => Inoculum::Sponge->value]],
            self::WaterChanges => $plan->site->sealed ? null : ['change a quarter of the water every two weeks', ['care.changeShare' => '25', 'care.changeEvery' => '14']],
            self::Lid => $plan->site->lid || $plan->site->sealed ? null : ['put a lid on', ['site.lid' => 'yes']],
            self::SoftTopUp => $plan->site->sealed ? null : ['top up with reverse osmosis or rain water', ['topUp.kind' => 'reverse-osmosis']],
            self::Warmer => ['keep it 2 °C warmer', ['site.temperature' => \sprintf('%.1f °C', $plan->site->temperature + 2)]],
            self::Cooler => ['keep it 2 °C cooler', ['site.temperature' => \sprintf('%.1f °C', $plan->site->temperature - 2)]],
            self::Limestone => self::dose($plan, 'limestone', 'mix crushed limestone into the soil'),
            self::RootTabs => self::dose($plan, 'root-tab', 'press root tabs into the soil'),
            self::Grazers => self::grazers($plan),
        };
    }

    private static function metres(float $metres): string
    {
        return \sprintf('%.4f m', $metres);
    }

    /**
     * @param \Closure(Clump): bool $which
     *
     * @return array{string, array<string, string>}|null
     */
    private static function pieces(Plan $plan, \Closure $which, float $factor): ?array
    {
        $edits = [];
        foreach (array_filter($plan->clumps, $which) as $clump) {
            $edits["plants.$clump->id.pieces"] = (string) min(5000, (int) ceil($clump->pieces * $factor));
        }

        return [] === $edits ? null : ['plant more of what is rooted', $edits];
    }

    /** @return array{string, array<string, string>} */
    private static function newClump(Plan $plan, string $kind, string $words): array
    {
        foreach ($plan->clumps as $clump) {
            if ($clump->kind->id === $kind) {
                return ["more $words", ["plants.$clump->id.pieces" => (string) min(5000, (int) ceil($clump->pieces * 1.6))]];
            }
        }

        return ["add $words", ['plants.add' => $kind]];
    }

    /** @return array{string, array<string, string>}|null */
    private static function without(Plan $plan): ?array
    {
        $edits = [];
        foreach ($plan->clumps as $clump) {
            if ($clump->kind->role->coversSurface()) {
                $edits["plants.$clump->id.remove"] = '1';
            }
        }

        return [] === $edits ? null : ['leave the floaters out', $edits];
    }

    /** @return array{string, array<string, string>}|null */
    private static function food(Plan $plan, float $factor, string $words): ?array
    {
        if ([] === $plan->groups || $plan->site->sealed) {
            return null;
        }
        $grams = $plan->feed->grams > 0 ? $plan->feed->grams * $factor : ($factor > 1 ? self::firstFood($plan) : 0.0);

        return $grams <= 0 ? null : [$plan->feed->grams > 0 ? $words : 'start feeding a little', ['feeding.grams' => \sprintf('%.4f', min(1000.0, $grams))]];
    }

    /** g a day: what the kinds usually eat. */
    private static function firstFood(Plan $plan): float
    {
        return array_sum(array_map(static fn (Group $g): float => Shape::Fish === $g->kind->shape ? $g->biomass() * $g->kind->food->value : 0.0, $plan->groups));
    }

    /** @return array{string, array<string, string>}|null */
    private static function animals(Plan $plan): ?array
    {
        $largest = null;
        foreach ($plan->groups as $group) {
            if (null === $largest || $group->biomass() > $largest->biomass()) {
                $largest = $group;
            }
        }

        return null === $largest || $largest->count < 2 ? null : [\sprintf('half as many of %s', $largest->kind->common), ["animals.$largest->id.count" => (string) intdiv($largest->count, 2)]];
    }

    /** @return array{string, array<string, string>}|null */
    private static function group(Plan $plan): ?array
    {
        foreach ($plan->groups as $group) {
            if ($group->count < $group->kind->group->value) {
                return [\sprintf('keep %d of %s', (int) $group->kind->group->value, $group->kind->common), ["animals.$group->id.count" => (string) (int) $group->kind->group->value]];
            }
        }

        return null;
    }

    /** @return array{string, array<string, string>}|null */
    private static function later(Plan $plan): ?array
    {
        $edits = [];
        foreach ($plan->groups as $group) {
            $edits["animals.$group->id.day"] = (string) min(1095, $group->day + 21);
        }

        return [] === $edits ? null : ['let all animals come three weeks later', $edits];
    }

    /** @return array{string, array<string, string>}|null */
    private static function soil(Plan $plan, float $factor, string $words): ?array
    {
        $soil = $plan->bed->soil;

        return null === $soil ? null : [$words, ['bed.soil.front' => self::metres($soil->front * $factor), 'bed.soil.back' => self::metres($soil->back * $factor)]];
    }

    /** @return array{string, array<string, string>} */
    private static function dose(Plan $plan, string $amendment, string $words): array
    {
        foreach ($plan->bed->doses as $dose) {
            if ($dose->amendment->id === $amendment) {
                return [$words.', twice as much', ["bed.doses.$amendment" => \sprintf('%.2f g', 2 * $dose->grams)]];
            }
        }

        return [$words, ['bed.doses.add' => $amendment]];
    }

    /** @return array{string, array<string, string>}|null */
    private static function grazers(Plan $plan): ?array
    {
        foreach ($plan->groups as $group) {
            if (Shape::Snail === $group->kind->shape) {
                return null;
            }
        }

        return ['add ramshorn snails', ['animals.add' => 'planorbella-duryi']];
    }
}
