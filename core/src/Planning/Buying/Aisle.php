<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Buying;

/** Where in a shop, or in whose hands, something is found. */
enum Aisle: string
{
    case Vessel = 'vessel';
    case Bed = 'bed';
    case Hardscape = 'hardscape';
    case Plants = 'plants';
    case Animals = 'animals';
    case Light = 'light';
    case Equipment = 'equipment';
    case Water = 'water';
    case Start = 'start';
    case Tools = 'tools';

    public function words(): string
    {
        return match ($this) {
            self::Vessel => 'Vessel and stand',
            self::Bed => 'Into the bed',
            self::Hardscape => 'Stone and wood',
            self::Plants => 'Plants',
            self::Animals => 'Animals and food',
            self::Light => 'Light',
            self::Equipment => 'Heat and flow',
            self::Water => 'Water',
            self::Start => 'For the start',
            self::Tools => 'Tools',
        };
    }
}
