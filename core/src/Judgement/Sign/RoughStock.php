<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Sign;

/** Who lives in a tank without a plan, and how they are fed. */
enum RoughStock: string
{
    case Nobody = 'nobody';
    case Few = 'few';
    case Many = 'many';
    case Overfed = 'overfed';

    public function words(): string
    {
        return match ($this) {
            self::Nobody => 'nobody yet',
            self::Few => 'a few, fed little',
            self::Many => 'many, fed as they need',
            self::Overfed => 'many, fed richly',
        };
    }
}
