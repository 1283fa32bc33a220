<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Light;

use Olvek\Core\Basis\Field\Worded;

/** Which sky a tank sees. */
enum Aspect: string implements Worded
{
    case None = 'none';
    case North = 'north';
    case East = 'east';
    case South = 'south';
    case West = 'west';
    case Open = 'open';

    public function words(): string
    {
        return match ($this) {
            self::None => 'no daylight',
            self::North => 'a north window',
            self::East => 'an east window',
            self::South => 'a south window',
            self::West => 'a west window',
            self::Open => 'the open sky',
        };
    }

    /** Radians from the north, clockwise, of the window's outward normal; null without a window. */
    public function azimuth(): ?float
    {
        return match ($this) {
            self::North => 0.0,
            self::East => \M_PI_2,
            self::South => \M_PI,
            self::West => 1.5 * \M_PI,
            self::None, self::Open => null,
        };
    }
}
