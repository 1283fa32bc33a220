<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Plan;

use Olvek\Core\Basis\Field\Worded;

/** How a clump was grown before it came: leaves made in air are lost under water. */
enum Grown: string implements Worded
{
    case Unknown = 'unknown';
    case Air = 'air';
    case Water = 'water';

    public function words(): string
    {
        return match ($this) {
            self::Unknown => 'nobody knows',
            self::Air => 'grown in air: pots of a nursery',
            self::Water => 'grown under water: from a running tank',
        };
    }

    /** Share of what the kind loses when grown in air that it loses. J (1; 0.2–1; 0.05–0.3). */
    public function melt(): float
    {
        return match ($this) {
            self::Air => 1.0,
            self::Unknown => 0.35,
            self::Water => 0.1,
        };
    }
}
