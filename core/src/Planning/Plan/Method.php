<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Plan;

use Olvek\Core\Basis\Unit\CaseAttribute;

/**
 * A method of setting up a tank, as the trade teaches it: a recipe for bed, light and start (Change\Recipe), scaled to a vessel. All C,
 * common practice; where methods disagree, the model says of each what it comes to in this tank.
 */
enum Method: string
{
    #[Lays(
        'Thin soil, equal cap',
        'Little soil cannot go foul and is quickly rooted through; the tank waits four weeks without fish and is tested '
            .'by a dose of ammonia.',
        firstAnimals: 28,
    )]
    case ThinSoil = 'thin-soil';

    #[Lays(
        'Humus bed, double cap',
        'Humus breathes carbon dioxide for years; a cap twice as deep keeps it down, and light day and night lets plants '
            .'take hold before algae do. Few fish come at once, unfed, because heavy planting takes their waste.',
        firstAnimals: 2,
    )]
    case HumusBed = 'humus-bed';

    #[Lays(
        'Sunny-sill bed',
        'Daylight costs nothing; coarse sand clears at once; snails and small fauna eat the algae that the sun brings.',
        firstAnimals: 14,
        isLittered: true,
    )]
    case SunnySill = 'sunny-sill';

    #[Lays(
        'Soil blended with gravel',
        'Gravel keeps the soil from packing and rotting; root tabs feed what the blend lacks; bottled bacteria and water '
            .'changes carry the first fish.',
        firstAnimals: 7,
    )]
    case SoilWithGravel = 'soil-with-gravel';

    #[Lays(
        'Deep clay and soil',
        'A deep bed denitrifies, baked clay absorbs ammonium, and gravel from a running tank brings its bacteria.',
        firstAnimals: 2,
    )]
    case DeepClay = 'deep-clay';

    #[Lays(
        'Hill bed',
        'Depth where heavy root feeders stand, a pinch of salts for soft water, and fish only when a full dose of ammonia '
            .'is gone in a day.',
        firstAnimals: 35,
    )]
    case HillBed = 'hill-bed';

    #[Lays(
        'Leaf sandwich',
        'Leaves feed small fauna and hold the soil under a deep cap.',
        firstAnimals: 14,
    )]
    case LeafSandwich = 'leaf-sandwich';

    #[Lays(
        'Bagged soil',
        'Soil tied into mesh can be lifted out and never clouds the water; house plants do the work.',
        firstAnimals: 14,
    )]
    case BaggedSoil = 'bagged-soil';

    #[Lays(
        'Slow swamp',
        'Litter and wood feed it; nothing is fed while they last; plants grow out of the water.',
        firstAnimals: 28,
        isLittered: true,
    )]
    case SlowSwamp = 'slow-swamp';

    #[Lays(
        'Lean inert bed',
        'Nothing in the bed, so nothing can leak: what settles builds it up, and floaters are what carries waste out.',
        firstAnimals: 3,
    )]
    case LeanBed = 'lean-bed';

    #[Lays(
        'Void-plate bed',
        'Water moves slowly through clay under the sand, and roots of house plants reach down to it; no changes in the '
            .'first half-year.',
        firstAnimals: 21,
        isLittered: true,
    )]
    case VoidPlate = 'void-plate';

    #[Lays(
        'Sealed jar',
        'What grows breathes what rots: permanently sealed, opened only to trim, never with a fish.',
        firstAnimals: null,
    )]
    case SealedJar = 'sealed-jar';

    #[Lays(
        'Loaded granules',
        'Granules loaded with nutrients feed roots without a cap, and take up hardness. For weeks they give ammonia: '
            .'bottled bacteria, large changes and a dim lamp carry the start; shrimp come when both readings are 0.',
        firstAnimals: 21,
    )]
    case LoadedGranules = 'loaded-granules';

    private function lays(): Lays
    {
        return CaseAttribute::of($this, Lays::class) ?? throw new \LogicException("$this->value is not described");
    }

    public function words(): string
    {
        return $this->lays()->words;
    }

    /** Why its keepers do it so. */
    public function reasons(): string
    {
        return $this->lays()->reasons;
    }

    /** Day on which its first animals come; null where none ever do. */
    public function firstAnimals(): ?int
    {
        return $this->lays()->firstAnimals;
    }

    /** Whether dead leaves are laid in again as they rot. */
    public function isLittered(): bool
    {
        return $this->lays()->isLittered;
    }
}
