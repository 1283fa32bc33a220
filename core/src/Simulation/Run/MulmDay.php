<?php

declare(strict_types=1);

namespace Olvek\Core\Simulation\Run;

use Olvek\Core\Nature\Water\Oxygen;

/**
 * What lies on the bed rots: nitrogen to ammonia, carbon to CO2 against oxygen, the rest back to the water. Three stores at three
 * speeds: left food and the dead within days, droppings within weeks, leaves over months.
 *
 * dM/dt = what falls − k·θ·M, for each store.
 *
 * @internal
 */
final class MulmDay
{
    /** d⁻¹ at which dissolved iron leaves oxygen-rich water. M: Stumm & Lee (1961), Ind. Eng. Chem. 53: hours without humus (0.3–3). */
    private const RUST = 1.0;
    /** mg C/L of tannin that halves it. M (0.3–3). */
    private const HOLDING = 1.0;
    /** Share of rotting carbon that goes into the water as tannin. J (0–0.05): leaves and droppings give little. */
    private const TANNIN = 0.01;
    /** Share of a store that rots in a day at most. J: a guard. */
    private const IN_A_DAY = 0.7;

    /** Learns the day's mean of each store, so that what falls today rots today too. */
    private readonly DayMean $foreseen;

    public function __construct(private readonly RunConstants $facts)
    {
        $this->foreseen = new DayMean();
    }

    public function run(State $s, Day $day): void
    {
        $p = $this->facts->parameters;
        $means = $this->foreseen->means(self::amounts($s));
        $at = 0;
        foreach ([[$s->scraps, $p->scrapDecay], [$s->droppings, $p->droppingDecay], [$s->litter, $p->mulmDecay]] as [$store, $rate]) {
            $rate *= $day->theta;
            $carbon = $rate * $means[$at];
            $carbon = $carbon < self::IN_A_DAY * $store->carbon ? $carbon : self::IN_A_DAY * $store->carbon;
            $nitrogen = $rate * $means[$at + 1];
            $nitrogen = $nitrogen < self::IN_A_DAY * $store->nitrogen ? $nitrogen : self::IN_A_DAY * $store->nitrogen;
            $phosphorus = $rate * $means[$at + 2];
            $phosphorus = $phosphorus < self::IN_A_DAY * $store->phosphorus ? $phosphorus : self::IN_A_DAY * $store->phosphorus;
            $potassium = $rate * $means[$at + 3];
            $potassium = $potassium < self::IN_A_DAY * $store->potassium ? $potassium : self::IN_A_DAY * $store->potassium;
            $iron = $rate * $means[$at + 4];
            $iron = $iron < self::IN_A_DAY * $store->iron ? $iron : self::IN_A_DAY * $store->iron;
            $at += 5;
            $store->carbon -= $carbon;
            $store->nitrogen -= $nitrogen;
            $store->phosphorus -= $phosphorus;
            $store->potassium -= $potassium;
            $store->iron -= $iron;
            $day->ammoniaIn += $nitrogen;
            $day->ammoniaSteady += $nitrogen;
            $tannin = self::TANNIN * $carbon;
            $s->tannin += $tannin;
            $day->carbonIn += $carbon - $tannin;
            $day->rotting += $carbon;
            $day->oxygenOut += ($carbon - $tannin) * Oxygen::PER_CARBON;
            $s->phosphorus += $phosphorus;
            $s->potassium += $potassium;
            $s->iron += $iron;
        }
    }

    /** Iron rusts, and what lies there at the day's end is remembered. */
    public function settle(State $s, Day $day): void
    {
        self::rust($s, $day->ironAtDawn);
        $this->foreseen->learn(self::amounts($s));
    }

    /** @return list<float> mg of carbon, nitrogen, phosphorus, potassium and iron in each store, one after another */
    private static function amounts(State $s): array
    {
        [$scraps, $droppings, $litter] = [$s->scraps, $s->droppings, $s->litter];

        return [
            $scraps->carbon, $scraps->nitrogen, $scraps->phosphorus, $scraps->potassium, $scraps->iron,
            $droppings->carbon, $droppings->nitrogen, $droppings->phosphorus, $droppings->potassium, $droppings->iron,
            $litter->carbon, $litter->nitrogen, $litter->phosphorus, $litter->potassium, $litter->iron,
        ];
    }

    /**
     * mg of iron in the water, mean of a day that began with so much, brings the rest of what is there now steadily, and loses so much to
     * leaves.
     */
    public static function ironMean(State $s, float $atDawn, float $drawn = 0.0): float
    {
        $rate = self::rusting($s);
        $steady = ($s->iron - $atDawn - $drawn) / $rate;

        return max(0.0, $steady + (($atDawn - $steady) * (1 - exp(-$rate))) / $rate);
    }

    /** Iron that no humus holds rusts and settles: exact for what was there at dawn and what the day brought and took steadily. */
    private static function rust(State $s, float $atDawn): void
    {
        $rate = self::rusting($s);
        $left = exp(-$rate);
        $held = max(0.0, (($s->iron - $atDawn) * (1 - $left)) / $rate + $atDawn * $left);
        $rust = max(0.0, $s->iron - $held);
        $s->iron -= $rust;
        $s->litter->iron += $rust;
    }

    /** d⁻¹. */
    public static function rusting(State $s): float
    {
        return self::RUST / (1 + $s->tannin / $s->volume / self::HOLDING);
    }
}
