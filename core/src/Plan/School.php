<?php

declare(strict_types=1);

namespace Olvek\Core\Plan;

/**
 * A way of starting a tank, as the trade teaches it: a recipe for bed, light and start, scaled to a vessel. All C, common practice;
 * where schools disagree, the model says of each what it comes to in this tank.
 */
enum School: string
{
    case ThinSoil = 'thin-soil';
    case HumusBed = 'humus-bed';
    case SunnySill = 'sunny-sill';
    case SoilWithGravel = 'soil-with-gravel';
    case DeepClay = 'deep-clay';
    case HillBed = 'hill-bed';
    case LeafSandwich = 'leaf-sandwich';
    case BaggedSoil = 'bagged-soil';
    case SlowSwamp = 'slow-swamp';
    case LeanBed = 'lean-bed';
    case VoidPlate = 'void-plate';
    case SealedJar = 'sealed-jar';

    /** Share of a vessel's height that a deep bed takes up at most. J. */
    private const DEEPEST = 0.4;

    public function words(): string
    {
        return match ($this) {
            self::ThinSoil => 'Thin soil, equal cap',
            self::HumusBed => 'Humus bed, double cap',
            self::SunnySill => 'Sunny-sill bed',
            self::SoilWithGravel => 'Soil blended with gravel',
            self::DeepClay => 'Deep clay and soil',
            self::HillBed => 'Hill bed',
            self::LeafSandwich => 'Leaf sandwich',
            self::BaggedSoil => 'Bagged soil',
            self::SlowSwamp => 'Slow swamp',
            self::LeanBed => 'Lean inert bed',
            self::VoidPlate => 'Void-plate bed',
            self::SealedJar => 'Sealed jar',
        };
    }

    /** Why its keepers do it so. */
    public function reasons(): string
    {
        return match ($this) {
            self::ThinSoil => 'Little soil cannot go foul and is quickly rooted through; the tank waits four weeks without fish and is tested by a dose of ammonia.',
            self::HumusBed => 'Humus breathes carbon dioxide for years; a cap twice as deep keeps it down, and light day and night lets plants take hold before algae do. Few fish come at once, unfed, because heavy planting takes their waste.',
            self::SunnySill => 'Daylight costs nothing; coarse sand clears at once; snails and small fauna eat the algae that the sun brings.',
            self::SoilWithGravel => 'Gravel keeps the soil from packing and rotting; root tabs feed what the blend lacks; bottled bacteria and water changes carry the first fish.',
            self::DeepClay => 'A deep bed denitrifies, baked clay takes up ammonium, and gravel from a running tank brings its bacteria.',
            self::HillBed => 'Depth where heavy root feeders stand, a pinch of salts for soft water, and fish only when a full dose of ammonia is gone in a day.',
            self::LeafSandwich => 'Leaves feed small fauna and hold the soil under a deep cap.',
            self::BaggedSoil => 'Soil tied into mesh can be lifted out and never clouds the water; house plants do the work.',
            self::SlowSwamp => 'Litter and wood feed it; nothing is fed while they last; plants grow out of the water.',
            self::LeanBed => 'Nothing in the bed, so nothing can leak: what settles builds it up, and floaters are what carries waste out.',
            self::VoidPlate => 'Water moves slowly through clay under the sand, and roots of house plants reach down to it; no changes in the first half-year.',
            self::SealedJar => 'What grows breathes what rots: closed for good, opened only to trim, never with a fish.',
        };
    }

    /**
     * The edits that turn a plan's bed, light and start into this school's, typed in metric units.
     *
     * @return array<string, string>
     */
    public function edits(Plan $plan): array
    {
        return match ($this) {
            self::ThinSoil => [...self::bed('bagged-topsoil 1', 2.5, 2.5, 'fine-gravel 1', 2.5, 2.5), ...self::start(StartWay::Dosing), ...self::lit($plan, 8)],
            self::HumusBed => [...self::humus($plan), ...self::start(StartWay::Plants), ...self::lit($plan, 10, 21)],
            self::SunnySill => [...self::bed('coir 1, garden-compost 1, bagged-topsoil 1', 2.5, 2.5, 'coarse-sand 1', 5, 5), ...self::start(StartWay::Waiting), 'site.aspect' => 'south', 'site.sky' => '25'],
            self::SoilWithGravel => [...self::bed('bagged-topsoil 1, fine-gravel 1', 2.5, 4, 'coarse-sand 1', 2.5, 3.5), ...self::start(StartWay::Bottled), ...self::lit($plan, 8), 'bed.doses.root-tab' => self::tabs($plan)],
            self::DeepClay => [...self::bed('baked-clay 1, bagged-topsoil 1', 6.5 * self::low($plan, 14), 7 * self::low($plan, 14), 'seasoned-gravel 1', 6.5 * self::low($plan, 14), 7 * self::low($plan, 14)), ...self::start(StartWay::Borrowed), 'start.inoculum' => Inoculum::SeasonedBed->value, ...self::lit($plan, 8)],
            self::HillBed => [...self::bed('bagged-topsoil 1', 4 * self::low($plan, 16), 8 * self::low($plan, 16), 'coarse-sand 1', 4 * self::low($plan, 16), 8 * self::low($plan, 16)), 'bed.core' => self::hill($plan), ...self::start(StartWay::Dosing), ...self::lit($plan, 8), 'bed.doses.gypsum' => self::pinch($plan, 12), 'bed.doses.epsom-salt' => self::pinch($plan, 6), 'bed.doses.potassium-sulphate' => self::pinch($plan, 6)],
            self::LeafSandwich => [...self::bed('potting-soil 1', 2.5, 4, 'coarse-sand 1', 6, 7), 'bed.leaves.mix' => 'fallen-leaves 1', 'bed.leaves.front' => '1.3 cm', 'bed.leaves.back' => '1.3 cm', ...self::start(StartWay::Plants), ...self::lit($plan, 8)],
            self::BaggedSoil => [...self::bed('bagged-topsoil 1, seasoned-gravel 1', 2.5, 2.5, 'fine-sand 1', 3, 3), 'bed.bagged' => 'yes', ...self::start(StartWay::Bottled), 'start.inoculum' => Inoculum::SeasonedBed->value, ...self::lit($plan, 9)],
            self::SlowSwamp => [...self::bed('garden-compost 1', 0.3, 0.5, 'coarse-sand 1', 3, 5), ...self::start(StartWay::Waiting), 'start.inoculum' => Inoculum::Cuttings->value, ...self::lit($plan, 8), ...([] === $plan->groups ? [] : ['feeding.grams' => '0'])],
            self::LeanBed => ['bed.soil.material' => 'none', 'bed.cap.mix' => 'coarse-sand 1, fine-gravel 1', 'bed.cap.front' => '4 cm', 'bed.cap.back' => '6 cm', ...self::plain(), ...self::start(StartWay::Borrowed), ...self::lit($plan, 8)],
            self::VoidPlate => [...self::bed('baked-clay 1, coarse-sand 1', 4, 5, 'coarse-sand 1', 3, 3), 'bed.plate' => '2 cm', ...self::start(StartWay::Waiting), ...self::lit($plan, 9), 'care.changeEvery' => '0'],
            self::SealedJar => [...self::bed('bagged-topsoil 1', 0.5, 0.5, 'coarse-sand 1', 2, 2), ...self::start(StartWay::Waiting), 'site.sealed' => 'yes'],
        };
    }

    /** Day on which its first animals come; null where none ever do. */
    public function firstAnimals(): ?int
    {
        return match ($this) {
            self::ThinSoil => 28,
            self::HumusBed, self::DeepClay => 2,
            self::SunnySill, self::BaggedSoil, self::LeafSandwich => 14,
            self::SoilWithGravel => 7,
            self::HillBed => 35,
            self::SlowSwamp => 28,
            self::LeanBed => 3,
            self::VoidPlate => 21,
            self::SealedJar => null,
        };
    }

    /** @return array<string, string> depths in cm */
    private static function bed(string $soil, float $soilFront, float $soilBack, string $cap, float $capFront, float $capBack): array
    {
        return [
            ...self::plain(), 'bed.soil.mix' => $soil, 'bed.soil.front' => \sprintf('%.2f cm', $soilFront), 'bed.soil.back' => \sprintf('%.2f cm', $soilBack),
            'bed.cap.mix' => $cap, 'bed.cap.front' => \sprintf('%.2f cm', $capFront), 'bed.cap.back' => \sprintf('%.2f cm', $capBack),
        ];
    }

    /** @return array<string, string> */
    private static function start(StartWay $way): array
    {
        return ['start.way' => $way->value, ...(null === $way->inoculum() ? [] : ['start.inoculum' => $way->inoculum()->value])];
    }

    /** @return array<string, string> */
    private static function lit(Plan $plan, float $hours, int $allDay = 0): array
    {
        return $plan->lamp->lumens > 0 ? ['light.hours' => (string) $hours, 'light.allDay' => (string) $allDay] : [];
    }

    /**
     * Humus by the size of the tank: at most 2.5 cm below 208 L (55 US gal), 3.8 cm to 379 L (100 US gal), 5 cm above; sand twice as deep.
     *
     * @return array<string, string>
     */
    private static function humus(Plan $plan): array
    {
        $litres = $plan->vessel->grossVolume();
        $depth = match (true) {
            $litres < 60 => 1.5,
            $litres < 208 => 2.5,
            $litres <= 379 => 3.8,
            default => 5.0,
        };
        $soil = $plan->floor() * $depth * 10;

        return [...self::bed('coir 2, garden-compost 1, garden-loam 1', $depth, $depth, 'coarse-sand 1', 2 * $depth, 2 * $depth), 'bed.doses.mineral-mix' => \sprintf('%.1f g', 20 * $soil)];
    }

    /**
     * What another school may have left behind.
     *
     * @return array<string, string>
     */
    private static function plain(): array
    {
        return ['bed.leaves.material' => 'none', 'bed.plate' => '0', 'bed.core' => '0', 'bed.setback' => '0', 'bed.bagged' => 'no'];
    }

    /** Bags of lava for a seventh of the hill, whose mean depth of 6 cm is 60 L to the square metre. J: a bag or two under its back. */
    private static function hill(Plan $plan): string
    {
        return \sprintf('%.1f L', $plan->floor() * 60 * self::low($plan, 16) / 7);
    }

    /** How much of its depth (cm) a deep bed keeps in a low vessel: two fifths of the height are its most. J. */
    private static function low(Plan $plan, float $centimetres): float
    {
        return min(1.0, self::DEEPEST * 100 * $plan->vessel->height() / $centimetres);
    }

    /** Grams of a salt, typed, at so many per m² of floor: a pinch under the cap of a small tank. C; how much, J. */
    private static function pinch(Plan $plan, float $perSquareMetre): string
    {
        return \sprintf('%.2f g', max(0.1, $perSquareMetre * $plan->floor()));
    }

    /** Grams of root tabs, typed: one of a gram for every 100 cm² of floor. C. */
    public static function tabs(Plan $plan): string
    {
        return \sprintf('%.1f g', max(1.0, $plan->floor() * 100));
    }
}
