<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Plan;

use Olvek\Core\Basis\Field\Worded;

/** How a clump is set. */
enum PlantingMethod: string implements Worded
{
    case Right = 'right';
    /** Down into raw soil, or with the rhizome buried. */
    case Deep = 'deep';

    public function words(): string
    {
        return match ($this) {
            self::Right => 'at its right depth',
            self::Deep => 'too deep',
        };
    }
}
