<?php

declare(strict_types=1);

namespace Olvek\Core\Run;

/**
 * Mulm rots: nitrogen to ammonia, carbon to CO2 against oxygen, the rest back to the water.
 *
 * @internal
 */
final class MulmDay
{
    /** d⁻¹ at which dissolved iron leaves oxygen-rich water. M (0.05–1, the slower the browner the water). */
    private const RUST = 0.1;
    /** mg C/L of tannin that halves it. J. */
    private const HOLDING = 3.0;
    /** Share of rotting carbon that goes into the water as tannin. J (0–0.05): leaves and droppings give little. */
    private const TANNIN = 0.01;

    /** @param Foreseen $foreseen learns the day's mean of each pool, so that what falls today rots today too */
    public static function run(State $s, Day $day, Parameters $p, Foreseen $foreseen): void
    {
        $rate = $p->mulmDecay * $day->theta;
        [$carbon, $nitrogen, $phosphorus, $potassium, $iron] = array_map(static fn (float $mean, float $held): float => min($rate * $mean, 0.5 * $held), $foreseen->means(self::pools($s)), self::pools($s));
        $day->ammoniaIn += $nitrogen;
        $day->ammoniaSteady += $nitrogen;
        $tannin = self::TANNIN * $carbon;
        $s->tannin += $tannin;
        $day->carbonIn += $carbon - $tannin;
        $day->oxygenOut += ($carbon - $tannin) * WaterHours::OXYGEN_PER_CARBON;
        $s->phosphorus += $phosphorus;
        $s->potassium += $potassium;
        $s->iron += $iron;
        $s->mulmCarbon -= $carbon;
        $s->mulmNitrogen -= $nitrogen;
        $s->mulmPhosphorus -= $phosphorus;
        $s->mulmPotassium -= $potassium;
        $s->mulmIron -= $iron;
    }

    /** @return list<float> mg of carbon, nitrogen, phosphorus, potassium and iron */
    public static function pools(State $s): array
    {
        return [$s->mulmCarbon, $s->mulmNitrogen, $s->mulmPhosphorus, $s->mulmPotassium, $s->mulmIron];
    }

    /** Iron that no humus holds rusts and settles: a day's share of what the water held on the mean of its begin and end. */
    public static function rust(State $s, float $before): void
    {
        $share = 1 - exp(-self::RUST / (1 + $s->tannin / $s->volume / self::HOLDING));
        $rust = min($s->iron, $share * ($before + $s->iron) / 2);
        $s->iron -= $rust;
        $s->mulmIron += $rust;
    }

    /** Dead leaf falls: g dry with its mg N. */
    public static function leaf(State $s, Parameters $p, float $grams, float $nitrogen): void
    {
        $s->mulmNitrogen += $nitrogen;
        $s->mulmCarbon += $grams * $p->leafCarbon;
        $s->mulmPhosphorus += $grams * $p->leafPhosphorus;
        $s->mulmPotassium += $grams * $p->leafPotassium;
        $s->mulmIron += $grams * $p->leafIron;
    }

    /** An animal dies: g wet. */
    public static function carcass(State $s, float $grams): void
    {
        $s->mulmNitrogen += $grams * Books::ANIMAL_NITROGEN;
        $s->mulmCarbon += $grams * Books::ANIMAL_CARBON;
        $s->mulmPhosphorus += $grams * Books::ANIMAL_PHOSPHORUS;
        $s->mulmPotassium += $grams * Books::ANIMAL_POTASSIUM;
        $s->mulmIron += $grams * Books::ANIMAL_IRON;
    }
}
