<?php

declare(strict_types=1);

namespace Olvek\Service\Log;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Keeping\Log\TestKit;
use Olvek\Core\Nature\Water\Measure;

/** Says of a reading that no tank can have which ones are possible. */
final class ReadingRange
{
    /**
     * @param float $value on the measure's base scale
     *
     * @return string|null why the value is refused; null where it is possible
     */
    public static function fault(Measure $measure, float $value, TestKit $kit, UnitSystem $units): ?string
    {
        [$least, $most] = $measure->bounds();

        return $value >= $least && $value <= $most ? null : \sprintf(
            'Outside the possible range: %s is between %s and %s.',
            $measure->label(),
            $kit->show($measure, $least, $units),
            $kit->show($measure, $most, $units),
        );
    }
}
