<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Plan;

use Olvek\Core\Basis\Field\Worded;

/** Whether a plant that could stand under water stands above it. */
enum Emersion: string implements Worded
{
    case Under = 'under';
    case Emersed = 'emersed';
    case Wicking = 'wicking';

    public function words(): string
    {
        return match ($this) {
            self::Under => 'under water',
            self::Emersed => 'above water, its roots in it',
            self::Wicking => 'on wood above water, kept wet by a wick',
        };
    }

    /** Factor on growth: what a wick and a mist bring is less than roots in water. J (0.3–0.7). */
    public function thrives(): float
    {
        return self::Wicking === $this ? 0.5 : 1.0;
    }

    /** Share of its leaves that hangs over the water and shades it. J, as a marsh plant's; a moss on a stump hardly. */
    public function overWater(): float
    {
        return self::Wicking === $this ? 0.1 : 0.5;
    }
}
