<?php

declare(strict_types=1);

namespace Olvek\Core\Light;

/** When a lamp burns and how bright, over the day and over the first weeks. */
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
        public float $on = 10.0,
        public float $pause = 0.0,
        public int $allDay = 0,
        public float $startShare = 1.0,
        public float $stepShare = 0.0,
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
