<?php

declare(strict_types=1);

namespace Olvek\Core\Basis\Supply;

use Olvek\Core\Basis\Field\Worded;

/** Where a thing comes from: only what is bought stands on the shopping list with a price. */
enum Source: string implements Worded
{
    case Shop = 'shop';
    case OwnTank = 'own-tank';
    case OnHand = 'on-hand';
    case Found = 'found';

    public function words(): string
    {
        return match ($this) {
            self::Shop => 'bought',
            self::OwnTank => 'from another tank of mine',
            self::OnHand => 'on hand',
            self::Found => 'found, or given',
        };
    }

    public function isBought(): bool
    {
        return self::Shop === $this;
    }
}
