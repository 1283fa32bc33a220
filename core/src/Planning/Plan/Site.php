<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Plan;

use Olvek\Core\Basis\Field\Fields;
use Olvek\Core\Basis\Field\InvalidValue;
use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Basis\Field\OneOf;
use Olvek\Core\Basis\Field\YesNo;
use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\Unit;
use Olvek\Core\Nature\Light\Aspect;
use Olvek\Core\Nature\Light\Daylight;

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
    /** °C between a tank that nobody heats and the air over it. J. */
    public const BELOW_AIR = 1.0;
    public const ROOM_HUMIDITY = 0.5;
    public const OUTDOOR_HUMIDITY = 0.7;

    /**
     * @param float $temperature °C of the water where nothing heats it, mean of the year
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
        #[Number('water temperature', Dimension::Temperature, 2.0, 38.0, '°C of the water where nothing heats it, mean of the year')]
        public float $temperature,
        #[Number(
            'summer warmer by',
            Dimension::TemperatureDifference,
            0.0,
            20.0,
            '°C by which midsummer is warmer and midwinter colder',
        ),]
        public float $swing = 0.0,
        #[Number('fill date, day of the year', Dimension::Count, 1, 365, 'day of the year on which it is filled', decimals: 0),]
        public int $filledOn = 121,
        #[Number('latitude, degrees north', Dimension::Count, -70.0, 70.0, 'degrees, north positive', when: 'seesDaylight'),]
        public float $latitude = 50.0,
        #[OneOf('daylight from', 'which sky lights it')] public Aspect $aspect = Aspect::None,
        #[Number(
            'share of the sky it sees',
            Dimension::Share,
            0.0,
            1.0,
            'share of that sky which it sees',
            decimals: 0,
            when: 'seesDaylight',
        ),]
        public float $sky = 0.2,
        #[YesNo('lid', 'a lid', 'open', 'covered, so that little dries up and nothing jumps out')] public bool $lid = false,
        #[YesNo('permanently sealed', 'sealed', 'no', 'nothing goes in or out; nothing may be fed')] public bool $sealed = false,
        #[Number(
            'stand’s load limit (0: unknown)',
            Dimension::Mass,
            0.0,
            20000.0,
            'kg that the stand may carry; 0 where nobody knows',
            decimals: 0,
            metric: Unit::Kilogram,
            us: Unit::Pound,
            perBase: 0.001,
        ),]
        public float $bears = 0.0,
        #[Number('clearance above the rim', Dimension::Length, 0.0, 10.0, 'm of free room over the rim', decimals: 2),]
        public float $above = 0.5,
        #[OneOf('water movement', 'how the water is moved')] public Movement $movement = Movement::Still,
        #[Number(
            'air temperature (0: about the water’s)',
            Dimension::Temperature,
            5.0,
            40.0,
            '°C of the air; 0: about that of the water',
            orZero: true,
        ),]
        public float $room = 0.0,
        #[Number(
            'air humidity',
            Dimension::Share,
            0.0,
            1.0,
            'share of the vapour that the air could hold; 0.5 in a room, 0.7 under the open sky where left out',
            decimals: 0,
        ),]
        public float $humidity = self::ROOM_HUMIDITY,
        #[Number(
            'CO₂ in the air, ppm (0: usual)',
            Dimension::Count,
            200.0,
            5000.0,
            'ppm in the air; 0: what is usual there, 700 in a room and 425 outdoors',
            decimals: 0,
            orZero: true,
        ),]
        public float $carbonDioxide = 0.0,
        #[Number(
            'altitude',
            Dimension::Length,
            -400.0,
            5000.0,
            'm above the sea',
            decimals: 0,
            metric: Unit::Metre,
            us: Unit::Foot,
        ),]
        public float $altitude = 0.0,
        #[Number(
            'rain, mm a year',
            Dimension::Count,
            0.0,
            5000.0,
            'mm a year that fall on the water; none in a room, 600 under the open sky where left out',
            decimals: 0,
            when: 'isOutdoors',
        ),]
        public float $rain = 0.0,
    ) {
        InvalidValue::unlessSound($this);
    }

    public function withTemperature(float $celsius): self
    {
        return Fields::with($this, ['temperature' => $celsius]);
    }

    /** The same, filled on a day of the year (1–365). */
    public function filledOnDay(int $day): self
    {
        return Fields::with($this, ['filledOn' => max(1, min(365, $day))]);
    }

    public function seesDaylight(): bool
    {
        return Aspect::None !== $this->aspect;
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
        return $this->room > 0
            ? $this->room
            : ($this->isOutdoors()
                ? $this->temperatureOn($day)
                : max(self::COOLEST_ROOM, min(self::WARMEST_ROOM, $this->temperatureOn($day) - self::BELOW_AIR)));
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
        return (($this->filledOn - 1 + $day) % 365) + 1;
    }

    /** °C of the water on a day after filling. */
    public function temperatureOn(int $day): float
    {
        $turn = (2 * \M_PI * ($this->dayOfYear($day) - self::WARMEST)) / 365;

        return $this->temperature + ($this->latitude < 0 ? -1 : 1) * $this->swing * cos($turn);
    }
}
