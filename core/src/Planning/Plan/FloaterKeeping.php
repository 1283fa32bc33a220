<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Plan;

use Olvek\Core\Basis\Field\Worded;

/** What keeps floaters from closing the surface. C. */
enum FloaterKeeping: string implements Worded
{
    case Free = 'free';
    case Ring = 'ring';
    case Aside = 'aside';

    public function words(): string
    {
        return match ($this) {
            self::Free => 'drift where they like',
            self::Ring => 'kept in a ring or behind a line',
            self::Aside => 'moved aside each morning, to the other side the next day',
        };
    }
}
