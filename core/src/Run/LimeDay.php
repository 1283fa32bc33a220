<?php

declare(strict_types=1);

namespace Olvek\Core\Run;

use Olvek\Core\Water\Calcite;

/**
 * Lime on a day: calcite in the bed and in stones dissolves as far as the water is hungry for it.
 *
 * dL/dt = −k·(L + L_stone)·(1 − Ω) + k_p·(1 − 20/Ω)·least of alkalinity, calcium and carbon, Ω the saturation of calcite: it settles out again
 * only well beyond saturation, since phosphate and humus hold it up, and by the hour (WaterHours), since that is an affair of lamp light. Each mol brings or takes two equivalents of alkalinity, one mol of
 * carbon and one of hardness.
 *
 * @internal
 */
final class LimeDay
{
    /** g/mol of calcite, mg C, meq and °dH·L that one gram brings. P: atomic masses; DIN 38409-6. */
    private const MOLAR = 100.087;
    public const CARBON_PER_GRAM = 12011.0 / self::MOLAR;
    public const ALKALINITY_PER_GRAM = 2000.0 / self::MOLAR;
    public const HARDNESS_PER_GRAM = 1000.0 / 17.848;
    /** Saturation from which calcite falls on leaves and glass, and share of what could that does so in a day. M: House (1987), 5–20, by activities; without them 1.5 times as much; J (0.01–0.1). */
    public const SETTLES_FROM = 20.0;
    public const SETTLING = 0.03;
    /** g of calcite within reach of the water per m² of limestone. J (100–1000). */
    public const STONE_REACH = 300.0;
    /** m² of grains that the water sees per m² of a bed whose upper layer is lime. J (3–20): a few millimetres of sand. */
    public const GRAINS = 10.0;

    public static function run(State $s, Day $day, Facts $facts, Books $books): void
    {
        $saturation = Calcite::saturation($s->pH, $s->alkalinity / $s->volume, $s->hardness / $s->volume, $day->celsius);
        $hunger = max(0.0, 1 - $saturation);
        if (0.0 === $hunger || ($s->lime <= 0 && $facts->stoneLime <= 0)) {
            return;
        }
        $rate = $facts->parameters->limeRate * $hunger;
        $bed = $s->lime * (1 - exp(-$rate * $facts->limeSpeed));
        // Stone outlasts the tank: what it gives comes from outside the books.
        $stone = $facts->stoneLime * $rate;
        $s->lime -= $bed;
        $books->carbon += $stone * self::CARBON_PER_GRAM;
        $s->carbon += ($bed + $stone) * self::CARBON_PER_GRAM;
        $s->alkalinity += ($bed + $stone) * self::ALKALINITY_PER_GRAM;
        $s->hardness += ($bed + $stone) * self::HARDNESS_PER_GRAM;
    }
}
