<?php

declare(strict_types=1);

namespace Olvek\Core\Simulation\Run;

/**
 * Evaporation, top-up, water changes.
 *
 * @internal
 */
final class WaterKeeping
{
    /**
     * kJ/kg latent heat, and the pool formula w = A (p_w − p_a)(0.089 + 0.0782 v)/Y. P: ASHRAE Handbook, HVAC Applications, Natatoriums; M.
     */
    private const LATENT = 2330.0;
    private const STILL_AIR = 0.089;
    /**
     * Share of the formula for a still, unused surface below a rim: so an open tank loses one to two centimetres a week, C. J after Shah
     * (2014) for undisturbed pools (0.2–0.6).
     */
    private const QUIET = 0.35;
    /** Share that still leaves under a lid. J (0.1–0.3). */
    public const UNDER_LID = 0.2;
    private const DRY = 0.1;
    /**
     * mm/d per kPa under the open sky at a metre of wind a second: 0.35 (1 + 0.54 u) per mm of mercury. P: Penman (1948), Proc. R. Soc. A
     * 193.
     */
    private const OUTDOORS = 0.35 * (1 + 0.54 * 1.0) * 7.50062;

    /** Litres that leave in a day. */
    public static function evaporation(RunConstants $facts, float $celsius, int $day): float
    {
        if ($facts->sealed) {
            return 0.0;
        }
        $short = self::vapour($celsius) - $facts->plan->site->humidity * self::vapour($facts->plan->airOn($day));
        if ($short <= 0.0) {
            return 0.0;
        }
        $litres = $facts->outdoors
            ? self::OUTDOORS * $short * $facts->surface
            : ((self::QUIET * $facts->surface * $short * self::STILL_AIR) / self::LATENT) * 86400;

        return $facts->drying * $litres;
    }

    /** kPa of vapour over water. P, Magnus form: Alduchov & Eskridge (1996), J. Appl. Meteorol. 35. */
    private static function vapour(float $celsius): float
    {
        return 0.61094 * exp((17.625 * $celsius) / (243.04 + $celsius));
    }

    /** What rains in beyond the water line runs over, with all that is in it. */
    public static function rain(State $s, RunConstants $facts, MassBalance $books): void
    {
        $litres = $facts->rainADay;
        if ($litres <= 0) {
            return;
        }
        $over = $s->volume + $litres - $facts->volume;
        if ($over > 0) {
            self::change($s, $facts, $books, min(0.9, $over / ($s->volume + $over)), null);
        }
        self::pour($s, $facts, $books, $litres, $facts->rain);
    }

    /** Water leaves as vapour; what was dissolved in it stays. At a tenth of its volume a tank counts as dry and loses no more. */
    public static function evaporate(State $s, RunConstants $facts, float $litres): void
    {
        $most = $s->volume - self::DRY * $facts->volume;
        $most = $most < 0.2 * $s->volume ? $most : 0.2 * $s->volume;
        if ($most > 0.0) {
            $s->volume -= $litres < $most ? $litres : $most;
        }
    }

    /** What has dried up is made up, and brings its minerals. */
    public static function topUp(State $s, RunConstants $facts, MassBalance $books, SourceContents $water): void
    {
        if ($facts->volume > $s->volume) {
            self::pour($s, $facts, $books, $facts->volume - $s->volume, $water);
        }
    }

    /** A share of the water goes out with all that is in it, and other water comes in; none where none is given. */
    public static function change(State $s, RunConstants $facts, MassBalance $books, float $share, ?SourceContents $water): void
    {
        $before = $books->nitrogen;
        $drift = Alga::Drift->value;
        $grams = $share * $s->algae[$drift];
        $p = $facts->parameters;
        $books->add(
            -$share * ($s->ammonia + $s->nitrite + $s->nitrate + $s->algaeNitrogen[$drift]),
            -$share * $s->phosphorus - $grams * $p->leafPhosphorus,
            -$share * $s->potassium - $grams * $p->leafPotassium,
            -$share * $s->iron - $grams * $p->leafIron,
            -$share * ($s->carbon + $s->tannin) - $grams * $p->leafCarbon,
        );
        $books->oxygen -= $share * $s->oxygen;
        $books->charge -= $share * ($s->alkalinity + MassBalance::nitrogenCharge($s));
        $books->hardness -= $share * $s->hardness;
        $litres = $share * $s->volume;
        foreach (
            [
                'volume',
                'ammonia',
                'nitrite',
                'nitrate',
                'phosphorus',
                'potassium',
                'iron',
                'carbon',
                'oxygen',
                'alkalinity',
                'hardness',
                'calcium',
                'sodium',
                'chloride',
                'sulphate',
                'tannin',
                'silicon',
            ] as $store
        ) {
            $s->$store *= 1 - $share;
        }
        $s->algae[$drift] -= $grams;
        $s->algaeNitrogen[$drift] *= 1 - $share;
        if (null !== $water) {
            self::pour($s, $facts, $books, $litres, $water);
        }
        $books->changedNitrogen += $books->nitrogen - $before;
    }

    private static function pour(State $s, RunConstants $facts, MassBalance $books, float $litres, SourceContents $water): void
    {
        $oxygen = $facts->pouredOxygen * $litres;
        $carbon = $water->carbon * $litres;
        $minerals = $water->minerals * $litres;
        $s->volume += $litres;
        $s->nitrate += $water->nitrate * $litres;
        $s->phosphorus += $water->phosphorus * $litres;
        $s->potassium += State::SOURCE_POTASSIUM * $minerals;
        $s->iron += State::SOURCE_IRON * $minerals;
        $s->silicon += State::SOURCE_SILICON * $minerals;
        $s->carbon += $carbon;
        $s->oxygen += $oxygen;
        $s->alkalinity += $water->alkalinity * $litres;
        $s->hardness += $water->hardness * $litres;
        $s->sodium += $water->sodium * $litres;
        $s->calcium += $water->calcium * $litres;
        $s->chloride += $water->chloride * $litres;
        $s->sulphate += $water->sulphate * $litres;
        $books->add(
            $water->nitrate * $litres,
            $water->phosphorus * $litres,
            State::SOURCE_POTASSIUM * $minerals,
            State::SOURCE_IRON * $minerals,
            $carbon,
        );
        $books->oxygen += $oxygen;
        $books->charge += $water->alkalinity * $litres;
        $books->salt($water->nitrate * $litres);
        $books->hardness += $water->hardness * $litres;
    }
}
