<?php

declare(strict_types=1);

namespace Olvek\Core\Plan;

/**
 * A method of setting up a tank, as the trade teaches it: a recipe for bed, light and start (Change\Recipe), scaled to a vessel. All C,
 * common practice; where methods disagree, the model says of each what it comes to in this tank.
 */
enum Method: string
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
    case LoadedGranules = 'loaded-granules';

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
            self::LoadedGranules => 'Loaded granules',
        };
    }

    /** Why its keepers do it so. */
    public function reasons(): string
    {
        return match ($this) {
            self::ThinSoil => 'Little soil cannot go foul and is quickly rooted through; the tank waits four weeks without fish and is '
                .'tested by a dose of ammonia.',
            self::HumusBed => 'Humus breathes carbon dioxide for years; a cap twice as deep keeps it down, and light day and night lets '
                .'plants take hold before algae do. Few fish come at once, unfed, because heavy planting takes their waste.',
            self::SunnySill => 'Daylight costs nothing; coarse sand clears at once; snails and small fauna eat the algae that the sun '
                .'brings.',
            self::SoilWithGravel => 'Gravel keeps the soil from packing and rotting; root tabs feed what the blend lacks; bottled '
                .'bacteria and water changes carry the first fish.',
            self::DeepClay => 'A deep bed denitrifies, baked clay absorbs ammonium, and gravel from a running tank brings its bacteria.',
            self::HillBed => 'Depth where heavy root feeders stand, a pinch of salts for soft water, and fish only when a full dose of '
                .'ammonia is gone in a day.',
            self::LeafSandwich => 'Leaves feed small fauna and hold the soil under a deep cap.',
            self::BaggedSoil => 'Soil tied into mesh can be lifted out and never clouds the water; house plants do the work.',
            self::SlowSwamp => 'Litter and wood feed it; nothing is fed while they last; plants grow out of the water.',
            self::LeanBed => 'Nothing in the bed, so nothing can leak: what settles builds it up, and floaters are what carries waste out.',
            self::VoidPlate => 'Water moves slowly through clay under the sand, and roots of house plants reach down to it; no changes in '
                .'the first half-year.',
            self::SealedJar => 'What grows breathes what rots: permanently sealed, opened only to trim, never with a fish.',
            self::LoadedGranules => 'Granules loaded with nutrients feed roots without a cap, and take up hardness. For weeks they give '
                .'ammonia: bottled bacteria, large changes and a dim lamp carry the start; shrimp come when both readings are 0.',
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
            self::VoidPlate, self::LoadedGranules => 21,
            self::SealedJar => null,
        };
    }
}
