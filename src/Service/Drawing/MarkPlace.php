<?php

declare(strict_types=1);

namespace Olvek\Service\Drawing;

use Olvek\Core\Judgement\Margin\Harm\HarmId;

/** Where in a tank something is seen. */
enum MarkPlace
{
    case Animals;
    case Plants;
    case Pane;
    case Water;
    case Bed;
    case Support;

    public static function ofHarm(HarmId $harm): self
    {
        return match ($harm) {
            HarmId::Company, HarmId::Losses, HarmId::Waters, HarmId::Minerals, HarmId::Temperature, HarmId::Room => self::Animals,
            HarmId::Empty, HarmId::Plants => self::Plants,
            HarmId::Look => self::Pane,
            HarmId::Water, HarmId::Nitrate => self::Water,
            HarmId::Bed => self::Bed,
            HarmId::Breakage => self::Support,
        };
    }

    /** @param string $ahead id of what will be seen (Forecast) */
    public static function ofAhead(string $ahead): self
    {
        return match ($ahead) {
            'water', 'group', 'room' => self::Animals,
            'melt', 'pale-tips', 'hunger', 'fades', 'runners' => self::Plants,
            'dust', 'film' => self::Pane,
            'gas' => self::Bed,
            default => self::Water,
        };
    }
}
