<?php

declare(strict_types=1);

namespace Olvek\Core\Plan;

use Olvek\Core\Light\Aspect;
use Olvek\Core\Light\Daylight;

/** Where the tank stands: its warmth, its daylight, and whether it is covered. */
final readonly class Site
{
    /** Day of the year on which it is warmest north of the equator. M: late July. */
    private const WARMEST = 205;

    /**
     * @param float $temperature °C of the water, mean of the year
     * @param float $swing       °C by which midsummer is warmer, and midwinter colder, than that
     * @param int   $filledOn    day of the year (1–365) on which the tank is filled
     * @param float $latitude    degrees, north positive
     * @param float $sky         share (0–1) of the sky that lights the tank
     * @param bool  $lid         covered, so that little dries up and nothing jumps out
     * @param bool  $sealed      closed for good: no air, food or water goes in or out
     * @param float $bears       kg that the support is known to bear; 0 where nobody knows
     * @param float $above       m of free room over the rim
     */
    public function __construct(
        public float $temperature,
        public float $swing = 0.0,
        public int $filledOn = 121,
        public float $latitude = 50.0,
        public Aspect $aspect = Aspect::None,
        public float $sky = 0.2,
        public bool $lid = false,
        public bool $sealed = false,
        public float $bears = 0.0,
        public float $above = 0.5,
    ) {
    }

    public function daylight(): Daylight
    {
        return new Daylight($this->latitude, $this->aspect, $this->sky);
    }

    /** Day of the year, 1–365, so many days after filling. */
    public function dayOfYear(int $day): int
    {
        return ($this->filledOn - 1 + $day) % 365 + 1;
    }

    /** °C of the water on a day after filling. */
    public function temperatureOn(int $day): float
    {
        $turn = 2 * \M_PI * ($this->dayOfYear($day) - self::WARMEST) / 365;

        return $this->temperature + ($this->latitude < 0 ? -1 : 1) * $this->swing * cos($turn);
    }
}
