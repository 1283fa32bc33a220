<?php

declare(strict_types=1);

namespace Olvek\Page\Palette;

/** What palettes there are. */
enum ListName: string
{
    case Plants = 'plants';
    case Animals = 'animals';
    case Hardscape = 'hardscape';
    case Lamps = 'lamps';
    case Soils = 'soils';
    case Caps = 'caps';

    public function words(): string
    {
        return match ($this) {
            self::Plants => 'Plants',
            self::Animals => 'Animals',
            self::Hardscape => 'Stone and wood',
            self::Lamps => 'Lamps',
            self::Soils => 'Soils',
            self::Caps => 'Caps: sand and gravel',
        };
    }

    /** The stage of the Bench that it belongs to. */
    public function stage(): string
    {
        return match ($this) {
            self::Lamps => 'light',
            self::Soils, self::Caps => 'bed',
            default => $this->value,
        };
    }

    /** Whether its things are added to a plan; else one of them is chosen. */
    public function adds(): bool
    {
        return match ($this) {
            self::Plants, self::Animals, self::Hardscape => true,
            self::Lamps, self::Soils, self::Caps => false,
        };
    }
}
