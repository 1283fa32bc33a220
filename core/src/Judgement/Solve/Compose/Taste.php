<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Solve\Compose;

use Olvek\Core\Nature\Plant\PlantRole;
use Olvek\Core\Planning\Plan\Method;

/** What a tank is to be like: each of the three plans that are composed follows one. The planting of each C, how much of each role J. */
enum Taste: string
{
    case LeastWork = 'least-work';
    case LeastMoney = 'least-money';
    case Jungle = 'jungle';

    public function words(): string
    {
        return match ($this) {
            self::LeastWork => 'Little work',
            self::LeastMoney => 'Little money',
            self::Jungle => 'A jungle',
        };
    }

    /** What a plan of it is like, in a sentence. */
    public function character(): string
    {
        return match ($this) {
            self::LeastWork => 'Slow kinds that are seldom cut, with just enough fast ones for the start.',
            self::LeastMoney => 'A few fast kinds in numbers, such as keepers give away, and nothing that needs a plug but the lamp.',
            self::Jungle => 'Many kinds in layers, up to the surface and over it: much to look at, and to cut.',
        };
    }

    /**
     * Methods that suit it, the most fitting first.
     *
     * @return non-empty-list<Method>
     */
    public function methods(): array
    {
        return match ($this) {
            self::LeastWork => [Method::HumusBed, Method::BaggedSoil, Method::ThinSoil, Method::LeanBed, Method::SlowSwamp],
            self::LeastMoney => [Method::SunnySill, Method::ThinSoil, Method::LeanBed, Method::SoilWithGravel, Method::HumusBed],
            self::Jungle => [Method::SoilWithGravel, Method::LeafSandwich, Method::HillBed, Method::DeepClay, Method::ThinSoil],
        };
    }

    /**
     * What is planted: by role, share of the floor (of the surface, for floaters), or pieces where that is 0.
     *
     * @return list<array{PlantRole, float}>
     */
    public function planting(): array
    {
        return match ($this) {
            self::LeastWork => [
                [PlantRole::FastStem, 0.14],
                [PlantRole::Rosette, 0.24],
                [PlantRole::Runner, 0.14],
                [PlantRole::Epiphyte, 0.0],
                [PlantRole::Moss, 0.0],
                [PlantRole::Floater, 0.06],
                [PlantRole::HousePlant, 0.0],
            ],
            self::LeastMoney => [
                [PlantRole::FastStem, 0.3],
                [PlantRole::Runner, 0.16],
                [PlantRole::Rosette, 0.06],
                [PlantRole::FloatingStem, 0.08],
                [PlantRole::Floater, 0.06],
            ],
            self::Jungle => [
                [PlantRole::FastStem, 0.18],
                [PlantRole::FastStem, 0.12],
                [PlantRole::Rosette, 0.14],
                [PlantRole::Runner, 0.12],
                [PlantRole::SlowStem, 0.1],
                [PlantRole::Carpet, 0.1],
                [PlantRole::Epiphyte, 0.0],
                [PlantRole::Floater, 0.05],
                [PlantRole::HousePlant, 0.0],
            ],
        };
    }

    /**
     * Kinds that its keepers take first, by role; others follow as they suit.
     *
     * @return list<string> ids in the catalogue
     */
    public function favourites(): array
    {
        return match ($this) {
            self::LeastWork => [
                'hygrophila-difformis', 'egeria-densa', 'cryptocoryne-wendtii', 'cryptocoryne-beckettii', 'sagittaria-subulata',
                'vallisneria-nana', 'anubias-nana', 'microsorum-pteropus', 'taxiphyllum-barbieri', 'limnobium-laevigatum',
                'salvinia-natans', 'hydrocharis-morsus-ranae', 'epipremnum-aureum',
            ],
            self::LeastMoney => [
                'hygrophila-polysperma', 'elodea-canadensis', 'vallisneria-spiralis', 'ceratophyllum-demersum', 'lemna-minor',
                'salvinia-natans', 'cryptocoryne-wendtii', 'aponogeton-crispus',
            ],
            self::Jungle => [
                'limnophila-sessiliflora', 'hygrophila-corymbosa', 'egeria-densa', 'myriophyllum-spicatum', 'echinodorus-grisebachii',
                'cryptocoryne-crispatula', 'vallisneria-americana', 'sagittaria-subulata', 'ludwigia-repens', 'lysimachia-nummularia',
                'hydrocotyle-tripartita', 'marsilea-hirsuta', 'nymphaea-pygmaea', 'bolbitis-heudelotii',
                'limnobium-laevigatum', 'salvinia-auriculata', 'hydrocharis-morsus-ranae', 'syngonium-podophyllum',
            ],
        };
    }

    /** µmol/m²/s on the water of the lamp that it suggests. C: moderate light without CO2; how much, J. */
    public function light(): float
    {
        return match ($this) {
            self::LeastWork => 70.0,
            self::LeastMoney => 75.0,
            self::Jungle => 100.0,
        };
    }
}
