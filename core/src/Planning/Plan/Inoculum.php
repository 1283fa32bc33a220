<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Plan;

use Olvek\Core\Basis\Field\Worded;
use Olvek\Core\Nature\Water\Nitrification;

/** Where the first bacteria come from. */
enum Inoculum: string implements Worded
{
    case Nothing = 'nothing';
    case Cuttings = 'cuttings';
    case Bottled = 'bottled';
    case Sponge = 'sponge';
    case SeasonedBed = 'seasoned-bed';

    /** Share (0–1) of a mature film on day 0. J: ranges a third to three times the value. */
    public function share(): float
    {
        return match ($this) {
            self::Nothing => Nitrification::BARE_START,
            self::Cuttings => 0.002,
            self::Bottled => 0.005,
            self::Sponge => 0.1,
            self::SeasonedBed => 0.2,
        };
    }

    public function words(): string
    {
        return match ($this) {
            self::Nothing => 'nothing: dust and patience',
            self::Cuttings => 'cuttings from a running tank',
            self::Bottled => 'bottled bacteria',
            self::Sponge => 'a sponge from a running tank',
            self::SeasonedBed => 'gravel from a running tank',
        };
    }
}
