<?php

declare(strict_types=1);

namespace Olvek\Core\Run;

use Olvek\Core\Water\Oxygen;

/**
 * Evaporation, top-up, water changes.
 *
 * @internal
 */
final class WaterKeeping
{
    /** J/kg latent heat, and the pool formula w = A (p_w − p_a)(0.089 + 0.0782 v)/Y. P: ASHRAE Handbook, HVAC Applications, Natatoriums; M. */
    private const LATENT = 2330.0;
    private const STILL_AIR = 0.089;
    /** Share of the formula for a still, unused surface under a lamp. J (0.2–0.6). */
    private const QUIET = 0.35;
    /** kPa of vapour in room air: 50 % at 21 °C. J. */
    private const ROOM_VAPOUR = 1.24;

    /** Litres that leave in a day. */
    public static function evaporation(Facts $facts, float $celsius): float
    {
        // Magnus form. P: Alduchov & Eskridge (1996), J. Appl. Meteorol. 35.
        $vapour = 0.61094 * exp(17.625 * $celsius / (243.04 + $celsius));
        $kilograms = $facts->surface * max(0.0, $vapour - self::ROOM_VAPOUR) * self::STILL_AIR / self::LATENT * 86400;

        return $facts->parameters->evaporation * self::QUIET * $kilograms;
    }

    /** Water leaves as vapour and is made up with source water; minerals stay and come. */
    public static function topUp(State $s, Facts $facts, Books $books, float $celsius): void
    {
        $litres = min(0.2 * $s->volume, self::evaporation($facts, $celsius));
        $s->volume -= $litres;
        self::pour($s, $facts, $books, $litres);
    }

    /** A share of the water goes out with all that is in it, and source water comes in. */
    public static function change(State $s, Facts $facts, Books $books, float $share): void
    {
        $books->add(-$share * ($s->ammonia + $s->nitrite + $s->nitrate), -$share * $s->phosphorus, -$share * $s->potassium, -$share * $s->iron, -$share * $s->carbon);
        $books->oxygen -= $share * $s->oxygen;
        $litres = $share * $s->volume;
        foreach (['volume', 'ammonia', 'nitrite', 'nitrate', 'phosphorus', 'potassium', 'iron', 'carbon', 'oxygen', 'alkalinity', 'hardness'] as $store) {
            $s->$store *= 1 - $share;
        }
        self::pour($s, $facts, $books, $litres);
    }

    private static function pour(State $s, Facts $facts, Books $books, float $litres): void
    {
        $water = $facts->plan->water;
        $oxygen = Oxygen::saturation($facts->plan->site->temperature) * $litres;
        $carbon = State::sourceCarbon($facts) * $litres;
        $s->volume += $litres;
        $s->nitrate += $water->nitrate * $litres;
        $s->phosphorus += State::SOURCE_PHOSPHORUS * $litres;
        $s->potassium += State::SOURCE_POTASSIUM * $litres;
        $s->iron += State::SOURCE_IRON * $litres;
        $s->carbon += $carbon;
        $s->oxygen += $oxygen;
        $s->alkalinity += $facts->sourceAlkalinity * $litres;
        $s->hardness += $water->gh * $litres;
        $books->add($water->nitrate * $litres, State::SOURCE_PHOSPHORUS * $litres, State::SOURCE_POTASSIUM * $litres, State::SOURCE_IRON * $litres, $carbon);
        $books->oxygen += $oxygen;
    }
}
