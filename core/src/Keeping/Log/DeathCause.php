<?php

declare(strict_types=1);

namespace Olvek\Core\Keeping\Log;

/** Of what an animal died, as far as its keeper knows. */
enum DeathCause: string
{
    case Unknown = 'unknown';
    case OldAge = 'old-age';
    case Arrival = 'arrival';
    case Ill = 'ill';
    case Water = 'water';
    case Air = 'air';
    case Heat = 'heat';
    case Moult = 'moult';
    case Eaten = 'eaten';
    case Jumped = 'jumped';
    case Caught = 'caught';

    public function words(): string
    {
        return match ($this) {
            self::Unknown => 'nobody knows of what',
            self::OldAge => 'of old age',
            self::Arrival => 'soon after coming',
            self::Ill => 'ill',
            self::Water => 'of the water',
            self::Air => 'for want of air',
            self::Heat => 'of heat or cold',
            self::Moult => 'in its moult',
            self::Eaten => 'bitten or eaten',
            self::Jumped => 'jumped out',
            self::Caught => 'stuck or crushed',
        };
    }
}
