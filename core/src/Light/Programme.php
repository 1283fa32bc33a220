<?php

declare(strict_types=1);

namespace Olvek\Core\Light;

use Olvek\Core\Field\Number;
use Olvek\Core\Field\YesNo;
use Olvek\Core\Unit\Dimension;

/** When a lamp is on and how bright, over the day and over the first weeks. */
final readonly class Programme
{
    /**
     * @param float $on         hour of the day (0–24) at which it goes on
     * @param float $pause      hours of dark that split its day in the middle; 0 for one stretch
     * @param int   $allDay     first days through which it burns day and night
     * @param float $startShare share (0–1) of its strength in the first week
     * @param float $stepShare  share by which it rises each week
     * @param bool  $held       true where it goes back a step whenever algae show
     */
    public function __construct(
        #[Number('lights on at', Dimension::Duration, 0.0, 24.0, 'hour of the day at which it goes on', unit: '', clock: true)]
        public float $on = 10.0,
        #[Number('midday break', Dimension::Duration, 0.0, 24.0, 'hours of dark in the middle of its day', decimals: 2)]
        public float $pause = 0.0,
        #[Number('first days of light round the clock', Dimension::Count, 0, 60, 'first days with light day and night', decimals: 0)]
        public int $allDay = 0,
        #[Number('starting strength', Dimension::Share, 0.05, 1.0, 'of its strength, in the first week', decimals: 0)]
        public float $startShare = 1.0,
        #[Number('weekly increase', Dimension::Share, 0.0, 1.0, 'by which it rises each week', decimals: 0)]
        public float $stepShare = 0.0,
        #[YesNo('when algae show', 'back a step, or wait', 'go on all the same', 'goes back a step whenever algae show')]
        public bool $held = true,
    ) {
    }

    /** Strength of the next week after a week at this one. */
    public function next(float $share, bool $algaeShow): float
    {
        return $this->held && $algaeShow ? max($this->startShare, $share - $this->stepShare) : min(1.0, $share + $this->stepShare);
    }

    /**
     * Stretches of light on the clock, each from and to in hours after midnight; a stretch may run past 24.
     *
     * @param float $hours of light in all
     *
     * @return list<array{float, float}>
     */
    public function stretches(float $hours): array
    {
        if ($hours <= 0) {
            return [];
        }
        if ($this->pause <= 0 || $hours >= 24) {
            return [[$this->on, $this->on + $hours]];
        }
        $half = $this->on + $hours / 2;

        return [[$this->on, $half], [$half + $this->pause, $this->on + $hours + $this->pause]];
    }
}
