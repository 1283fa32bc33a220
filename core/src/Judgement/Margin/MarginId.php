<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin;

/**
 * Every margin, in the order in which they are judged: by voice, and in each in the order of the trade: water, plants, bed, animals.
 * All there is to say of one stands on its criterion.
 */
enum MarginId: string
{
    case Ammonia = 'ammonia';
    case Nitrite = 'nitrite';
    case Nitrate = 'nitrate';
    case Oxygen = 'oxygen';
    case PH = 'ph';
    case Minerals = 'minerals';
    case Mass = 'mass';
    case Light = 'light';
    case Fed = 'fed';
    case Carbon = 'carbon';
    case Algae = 'algae';
    case Bed = 'bed';
    case Soil = 'soil';
    case Stock = 'stock';
    case Room = 'room';
    case Waters = 'waters';
    case Temperature = 'temperature';
    case Losses = 'losses';
    case Planted = 'planted';
    case Cap = 'cap';

    /** @return class-string<Criterion> */
    public function criterion(): string
    {
        return match ($this) {
            self::Ammonia => AmmoniaMargin::class,
            self::Nitrite => Nitrite::class,
            self::Nitrate => Nitrate::class,
            self::Oxygen => DawnOxygen::class,
            self::PH => PhDrift::class,
            self::Minerals => MineralCreep::class,
            self::Mass => KeptMass::class,
            self::Light => LitClumps::class,
            self::Fed => FedPlants::class,
            self::Carbon => CarbonSupply::class,
            self::Algae => Algae::class,
            self::Bed => BedHealth::class,
            self::Soil => SoilLife::class,
            self::Stock => StockBalance::class,
            self::Room => Room::class,
            self::Waters => KindWater::class,
            self::Temperature => Warmth::class,
            self::Losses => Losses::class,
            self::Planted => PlantedShare::class,
            self::Cap => CapOverSoil::class,
        };
    }

    /** What its criterion says of it. */
    public function about(): Judges
    {
        /** @var array<string, Judges> $about */
        static $about = [];

        return $about[$this->value] ??= (new \ReflectionClass($this->criterion()))->getAttributes(Judges::class)[0]->newInstance();
    }
}
