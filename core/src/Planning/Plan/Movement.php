<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Plan;

use Olvek\Core\Basis\Field\Worded;

/** How much the water is moved: by nothing but fish and warmth, by a little pump or bubbler, by a filter's strong outflow. */
enum Movement: string implements Worded
{
    case Still = 'still';
    case Rippled = 'rippled';
    case Lively = 'lively';

    public function words(): string
    {
        return match ($this) {
            self::Still => 'still',
            self::Rippled => 'rippled: a small pump or bubbler',
            self::Lively => 'lively: a filter’s outflow or an air stone',
        };
    }

    /** Times the exchange of gases with the air of still water. M: still 0.3–1, rippled 1–2, stirred 3–6 m/d. */
    public function exchange(): float
    {
        return match ($this) {
            self::Still => 1.0,
            self::Rippled => 1.7,
            self::Lively => 4.5,
        };
    }
}
