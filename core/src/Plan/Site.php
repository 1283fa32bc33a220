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
    /** ppm of carbon dioxide in a room that is lived in, and outdoors. M (450–1200; 420–430). */
    public const ROOM_AIR = 700.0;
    public const OUTDOOR_AIR = 425.0;
    /** mm a year. M (500–900 in temperate lowlands). */
    public const USUAL_RAIN = 600.0;
    /** °C between which a room that is lived in stays, and share of humidity outdoors. C. */
    private const COOLEST_ROOM = 15.0;
    private const WARMEST_ROOM = 24.0;
    public const ROOM_HUMIDITY = 0.5;
    public const OUTDOOR_HUMIDITY = 0.7;

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
     * @param Movement $movement how the water is moved
     * @param float $room        °C of the air; 0 for about that of the water
     * @param float $humidity    share (0–1) of the vapour that the air could hold
     * @param float $carbonDioxide ppm in the air; 0 for what is usual there
     * @param float $altitude    m above the sea
     * @param float $rain        mm a year that fall on the water
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
        public Movement $movement = Movement::Still,
        public float $room = 0.0,
        public float $humidity = self::ROOM_HUMIDITY,
        public float $carbonDioxide = 0.0,
        public float $altitude = 0.0,
        public float $rain = 0.0,
    ) {
    }

    public function withTemperature(float $celsius): self
    {
        /** @phpstan-ignore argument.type (the names and types are those of the constructor) */
        return new self(...[...get_object_vars($this), 'temperature' => $celsius]);
    }

    public function isOutdoors(): bool
    {
        return Aspect::Open === $this->aspect;
    }

    /** ppm of carbon dioxide in the air over the water. */
    public function airCarbonDioxide(): float
    {
        return $this->carbonDioxide > 0 ? $this->carbonDioxide : ($this->isOutdoors() ? self::OUTDOOR_AIR : self::ROOM_AIR);
    }

    /** Share of the pressure at sea level. P: ICAO Standard Atmosphere (Doc 7488). */
    public function pressure(): float
    {
        return (1 - 2.25577e-5 * $this->altitude) ** 5.25588;
    }

    /** °C of the air on a day. */
    public function airOn(int $day): float
    {
        return $this->room > 0 ? $this->room : ($this->isOutdoors() ? $this->temperatureOn($day) : max(self::COOLEST_ROOM, min(self::WARMEST_ROOM, $this->temperatureOn($day) - 1)));
    }

    /** mm that fall on a day. */
    public function rainADay(): float
    {
        return $this->sealed || $this->lid ? 0.0 : $this->rain / 365;
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
