<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Light;

/**
 * Daylight through the year at a latitude, under the open sky or through a window of one aspect.
 *
 * Extraterrestrial radiation and length of day: P Allen, Pereira, Raes & Smith (1998), FAO Irrigation and Drainage Paper 56, eqs 21, 23,
 * 25, 34;
 * photons: P McCree (1972), Agric. Meteorol. 10. How much of it reaches the ground in ordinary weather, and how much of that comes straight
 * from the sun, falls with the sun's height: a low sun shines through more air, and winters are the cloudier season where they are cold.
 */
final readonly class Daylight
{
    /** MJ m⁻² min⁻¹. P: FAO 56. */
    private const SOLAR_CONSTANT = 0.082;
    /**
     * Share of the extraterrestrial radiation that reaches the ground, by the sine of the sun's height at noon: at 50° 0.30 in December,
     * 0.41 in March, 0.48 in June. M: monthly means of stations in temperate lowlands; nowhere over 0.5, J.
     */
    private const CLEAR_LEAST = 0.216;
    private const CLEAR_BY_HEIGHT = 0.295;
    private const CLEAR_MOST = 0.5;
    /** Share of it that comes straight from the sun: a quarter where 0.30 of it reaches the ground, half at 0.48. M (0.2–0.6). */
    private const DIRECT = 0.25;
    private const DIRECT_FROM = 0.30;
    private const DIRECT_SPAN = 0.72;
    /** mol of photons per MJ: 45 % of the energy, 4.57 µmol/J. P: McCree 1972; M. */
    private const PHOTONS = 0.45 * 4.57;
    /** Share of the light that two panes let through. M (0.6–0.8). */
    private const PANES = 0.7;
    /** Share that the ground throws back. M. */
    private const GROUND = 0.2;

    /**
     * @param float $latitude degrees, north positive
     * @param float $sky      share of the sky that the tank sees through its window, or that no wall or tree hides
     */
    public function __construct(public float $latitude, public Aspect $aspect, public float $sky)
    {
    }

    public function any(): bool
    {
        return Aspect::None !== $this->aspect && $this->sky > 0;
    }

    /**
     * Sun's declination in radians on a day of the year, 1–365. P: Spencer (1971), Fourier series representation of the position of the
     * sun, Search 2.
     */
    public static function declination(float $dayOfYear): float
    {
        $turn = (2 * \M_PI * ($dayOfYear - 1)) / 365;

        return 0.006918 -
            0.399912 * cos($turn) +
            0.070257 * sin($turn) -
            0.006758 * cos(2 * $turn) +
            0.000907 * sin(2 * $turn) -
            0.002697 * cos(3 * $turn) +
            0.00148 * sin(3 * $turn);
    }

    /** Hours from sunrise to sunset, the sun's centre on the horizon. */
    public function dayLength(float $dayOfYear): float
    {
        return (24 / \M_PI) * $this->sunsetAngle($dayOfYear);
    }

    /** MJ m⁻² d⁻¹ above the air, on a level plane. */
    public function extraterrestrial(float $dayOfYear): float
    {
        $latitude = deg2rad($this->latitude);
        $declination = self::declination($dayOfYear);
        $sunset = $this->sunsetAngle($dayOfYear);
        $distance = 1 + 0.033 * cos((2 * \M_PI * $dayOfYear) / 365);

        return ((24 * 60) / \M_PI) *
            self::SOLAR_CONSTANT *
            $distance *
            ($sunset * sin($latitude) * sin($declination) + cos($latitude) * cos($declination) * sin($sunset));
    }

    /** mol m⁻² d⁻¹ of photons on the water in ordinary weather. */
    public function dailyIntegral(float $dayOfYear): float
    {
        if (!$this->any()) {
            return 0.0;
        }
        $clear = $this->clearness($dayOfYear);
        $level = $clear * $this->extraterrestrial($dayOfYear) * self::PHOTONS;
        if (Aspect::Open === $this->aspect) {
            return $this->sky * $level;
        }
        // A window: the sun where it stands before the pane, half of the sky, and what the ground throws back.
        $direct = max(0.0, self::DIRECT + ($clear - self::DIRECT_FROM) / self::DIRECT_SPAN);
        $pane = $direct * $this->paneShare($dayOfYear) + (1 - $direct) / 2 + self::GROUND / 2;

        return $this->sky * self::PANES * $level * $pane;
    }

    /** Share of the extraterrestrial radiation that reaches the ground in the ordinary weather of a day of the year. */
    public function clearness(float $dayOfYear): float
    {
        $noon = cos(deg2rad($this->latitude) - self::declination($dayOfYear));

        return min(self::CLEAR_MOST, self::CLEAR_LEAST + self::CLEAR_BY_HEIGHT * max(0.0, $noon));
    }

    /** Sunlight on an upright pane against that on level ground, over a day. */
    private function paneShare(float $dayOfYear): float
    {
        $latitude = deg2rad($this->latitude);
        $declination = self::declination($dayOfYear);
        $azimuth = (float) $this->aspect->azimuth();
        $pane = $level = 0.0;
        for ($hour = 0.25; $hour < 24; $hour += 0.5) {
            $angle = (\M_PI / 12) * ($hour - 12);
            $height = sin($latitude) * sin($declination) + cos($latitude) * cos($declination) * cos($angle);
            if ($height <= 0.02) {
                continue;
            }
            // Sun's direction towards north and east. P: any text of spherical astronomy.
            $north = cos($latitude) * sin($declination) - sin($latitude) * cos($declination) * cos($angle);
            $east = -cos($declination) * sin($angle);
            $level += $height;
            $pane += max(0.0, $north * cos($azimuth) + $east * sin($azimuth));
        }

        return $level > 0 ? $pane / $level : 0.0;
    }

    private function sunsetAngle(float $dayOfYear): float
    {
        return acos(max(-1.0, min(1.0, -tan(deg2rad($this->latitude)) * tan(self::declination($dayOfYear)))));
    }
}
