<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Light;

use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Basis\Field\YesNo;
use Olvek\Core\Basis\Unit\Dimension;

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
     * @param float $dawn       hours in which it comes up, and in which it goes down, within its day
     * @param float $night      lm of a night light
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
        #[Number('dawn, and dusk, of', Dimension::Duration, 0.0, 6.0, 'hours to come up, and to go down, within its day', decimals: 2)]
        public float $dawn = 0.0,
        #[Number('night light (0: none)', Dimension::LuminousFlux, 0.0, 2000.0, 'lm that burn while the lamp is off', decimals: 0)]
        public float $night = 0.0,
    ) {
    }

    /** Hours at full strength that give as much light as a day of so many: it comes up and goes down evenly. */
    public function full(float $hours): float
    {
        return $hours >= 24 ? $hours : $hours - min($this->dawn, $hours / 2);
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
