<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Light;

/**
 * Daylight through the year at a latitude, under the open sky or through a window of one aspect.
 *
 * Extraterrestrial radiation and length of day: P Allen, Pereira, Raes & Smith (1998), FAO Irrigation and Drainage Paper 56, eqs 21, 23,
 * 25, 34;
 * share that reaches the ground in ordinary weather: the same, eq 35 with half the bright hours (M); photons: P McCree (1972), Agric.
 * Meteorol. 10.
 */
final readonly class Daylight
{
    /** MJ m⁻² min⁻¹. P: FAO 56. */
    private const SOLAR_CONSTANT = 0.082;
    /**
     * Share of the extraterrestrial radiation that reaches the ground: 0.25 + 0.50 · n/N, with n/N about 0.45. P form, M share of bright
     * hours.
     */
    private const CLOUDED = 0.475;
    /** Share of it that comes straight from the sun, over a day. M (0.3–0.6). */
    private const DIRECT = 0.45;
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
        $level = self::CLOUDED * $this->extraterrestrial($dayOfYear) * self::PHOTONS;
        if (Aspect::Open === $this->aspect) {
            return $this->sky * $level;
        }
        // A window: the sun where it stands before the pane, half of the sky, and what the ground throws back.
        $pane = self::DIRECT * $this->paneShare($dayOfYear) + (1 - self::DIRECT) / 2 + self::GROUND / 2;

        return $this->sky * self::PANES * $level * $pane;
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
