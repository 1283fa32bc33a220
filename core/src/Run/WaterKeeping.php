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
    /** Share of the formula for a still, unused surface: so an open tank loses about a centimetre a week, C. J (0.15–0.4). */
    private const QUIET = 0.25;
    /** Share that still leaves under a lid. J (0.1–0.3). */
    private const UNDER_LID = 0.2;
    private const DRY = 0.1;
    /** kPa of vapour in room air: 50 % at 21 °C. J. */
    private const ROOM_VAPOUR = 1.24;

    /** Litres that leave in a day. */
    public static function evaporation(Facts $facts, float $celsius): float
    {
        // Magnus form. P: Alduchov & Eskridge (1996), J. Appl. Meteorol. 35.
        $vapour = 0.61094 * exp(17.625 * $celsius / (243.04 + $celsius));
        $kilograms = $facts->surface * max(0.0, $vapour - self::ROOM_VAPOUR) * self::STILL_AIR / self::LATENT * 86400;

        return $facts->sealed ? 0.0 : $facts->parameters->evaporation * self::QUIET * $kilograms * ($facts->plan->site->lid ? self::UNDER_LID : 1.0);
    }

    /** Water leaves as vapour; what was dissolved in it stays. At a tenth of its volume a tank counts as dry and loses no more. */
    public static function evaporate(State $s, Facts $facts, float $celsius): void
    {
        $s->volume -= min(0.2 * $s->volume, self::evaporation($facts, $celsius), max(0.0, $s->volume - self::DRY * $facts->volume));
    }

    /** What has dried up is made up, and brings its minerals. */
    public static function topUp(State $s, Facts $facts, Books $books, PouredWater $water): void
    {
        self::pour($s, $facts, $books, max(0.0, $facts->volume - $s->volume), $water);
    }

    /** A share of the water goes out with all that is in it, and other water comes in. */
    public static function change(State $s, Facts $facts, Books $books, float $share, PouredWater $water): void
    {
        $drift = Alga::Drift->value;
        $grams = $share * $s->algae[$drift];
        $p = $facts->parameters;
        $books->add(-$share * ($s->ammonia + $s->nitrite + $s->nitrate + $s->algaeNitrogen[$drift]), -$share * $s->phosphorus - $grams * $p->leafPhosphorus,
            -$share * $s->potassium - $grams * $p->leafPotassium, -$share * $s->iron - $grams * $p->leafIron, -$share * ($s->carbon + $s->tannin) - $grams * $p->leafCarbon);
        $books->oxygen -= $share * $s->oxygen;
        $litres = $share * $s->volume;
        foreach (['volume', 'ammonia', 'nitrite', 'nitrate', 'phosphorus', 'potassium', 'iron', 'carbon', 'oxygen', 'alkalinity', 'hardness', 'tannin', 'silicon'] as $store) {
            $s->$store *= 1 - $share;
        }
        $s->algae[$drift] -= $grams;
        $s->algaeNitrogen[$drift] *= 1 - $share;
        self::pour($s, $facts, $books, $litres, $water);
    }

    private static function pour(State $s, Facts $facts, Books $books, float $litres, PouredWater $water): void
    {
        $oxygen = Oxygen::saturation($facts->plan->site->temperature) * $litres;
        $carbon = $water->carbon * $litres;
        $minerals = $water->minerals * $litres;
        $s->volume += $litres;
        $s->nitrate += $water->nitrate * $litres;
        $s->phosphorus += State::SOURCE_PHOSPHORUS * $minerals;
        $s->potassium += State::SOURCE_POTASSIUM * $minerals;
        $s->iron += State::SOURCE_IRON * $minerals;
        $s->silicon += State::SOURCE_SILICON * $minerals;
        $s->carbon += $carbon;
        $s->oxygen += $oxygen;
        $s->alkalinity += $water->alkalinity * $litres;
        $s->hardness += $water->hardness * $litres;
        $books->add($water->nitrate * $litres, State::SOURCE_PHOSPHORUS * $minerals, State::SOURCE_POTASSIUM * $minerals, State::SOURCE_IRON * $minerals, $carbon);
        $books->oxygen += $oxygen;
    }
}
