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

    public static function run(State $s, Day $day, Parameters $p): void
    {
        $share = 1 - exp(-$p->mulmDecay * $day->theta);
        $day->ammoniaIn += $share * $s->mulmNitrogen;
        $day->carbonIn += $share * $s->mulmCarbon;
        $day->oxygenOut += $share * $s->mulmCarbon * WaterHours::OXYGEN_PER_CARBON;
        $s->phosphorus += $share * $s->mulmPhosphorus;
        $s->potassium += $share * $s->mulmPotassium;
        $s->iron += $share * $s->mulmIron;
        // Iron that no humus holds rusts and settles.
        $rust = (1 - exp(-self::RUST)) * $s->iron;
        $s->iron -= $rust;
        $keep = 1 - $share;
        $s->mulmNitrogen *= $keep;
        $s->mulmCarbon *= $keep;
        $s->mulmPhosphorus *= $keep;
        $s->mulmPotassium *= $keep;
        $s->mulmIron = $s->mulmIron * $keep + $rust;
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
