<?php

declare(strict_types=1);

namespace Olvek\Core\Keeping\Log;

use Olvek\Core\Nature\Water\Measure;

/** What the last tests of a tank read that animals are not put into: ammonia and nitrite are to read 0 first. C. */
final class Poison
{
    private const KILLS = [Measure::Ammonia, Measure::Nitrite];

    /** @return list<Reading> the last reading of each, up to a day, where it is more than the palest step of a test counts as nothing */
    public static function in(Log $log, int $day): array
    {
        $found = [];
        foreach (self::KILLS as $measure) {
            $last = $log->upTo($day)->latest($measure);
            if (null !== $last && $last->value > $measure->nothingBelow()) {
                $found[] = $last;
            }
        }

        return $found;
    }
}
