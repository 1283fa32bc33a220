<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Sign\Facts;

use Olvek\Core\Judgement\Sign\Finding;
use Olvek\Core\Judgement\Sign\Source;
use Olvek\Core\Judgement\Sign\TankCase;

/** How old the tank is. */
final class PastFacts
{
    /** Days: C, the first six weeks are those of a new tank; it takes as long again to be an old one. J. */
    private const NEW = [42, 84];
    private const FIRST = [4, 10];

    /** @return list<Finding> */
    public static function of(TankCase $case): array
    {
        $words = "It was filled $case->day days ago";

        return [
            new Finding('new-tank', 1 - Finding::ramp((float) $case->day, ...self::NEW), $words, Source::Logged, $case->day),
            new Finding('first-days', 1 - Finding::ramp((float) $case->day, ...self::FIRST), $words, Source::Logged, $case->day),
        ];
    }
}
