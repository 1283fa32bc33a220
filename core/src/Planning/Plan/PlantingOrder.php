<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Plan;

use Olvek\Core\Basis\Field\Worded;

/** When the plants go in. C. */
enum PlantingOrder: string implements Worded
{
    case PartFilled = 'part-filled';
    case Damp = 'damp';

    public function words(): string
    {
        return match ($this) {
            self::PartFilled => 'all of them in a little water, then filled',
            self::Damp => 'low ones into damp sand; tall stems once it is full',
        };
    }
}
