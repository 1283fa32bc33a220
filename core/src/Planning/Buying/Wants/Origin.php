<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Buying\Wants;

use Olvek\Core\Basis\Supply\Source;

/** Where a thing comes from, by keys that a text can select by: ICU takes no hyphens. */
final class Origin
{
    public static function of(Source $source): string
    {
        return match ($source) {
            Source::Shop => 'shop',
            Source::OwnTank => 'own',
            Source::OnHand => 'hand',
            Source::Found => 'found',
        };
    }
}
