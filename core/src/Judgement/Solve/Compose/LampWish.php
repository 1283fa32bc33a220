<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Solve\Compose;

/** Which lamp a wish has. */
enum LampWish: string
{
    case None = 'none';
    case Mine = 'mine';
    case Suggest = 'suggest';

    public function words(): string
    {
        return match ($this) {
            self::None => 'none: daylight alone',
            self::Mine => 'the one that I have',
            self::Suggest => 'suggest one',
        };
    }
}
