<?php

declare(strict_types=1);

namespace Olvek\Core\Simulation\Run\Hours;

use Olvek\Core\Basis\Unit\MolarMass;
use Olvek\Core\Nature\Water\Calcite;
use Olvek\Core\Simulation\Run\Day;
use Olvek\Core\Simulation\Run\MassBalance;
use Olvek\Core\Simulation\Run\RunConstants;
use Olvek\Core\Simulation\Run\State;

/**
 * Lime through the hours: what lies in the bed and in stones dissolves as far as the water is hungry for it, and falls out again in hard
 * water whose carbon plants draw.
 *
 *     dL/dt = −k·(L + L_stone)·(1 − Ω)  where Ω < 1,   +k_s·(1 − 20/Ω)·least of alkalinity, calcium and carbon  where Ω > 20
 *
 * with Ω the saturation of calcite. It settles only well beyond saturation, since phosphate and humus hold it up. Each mol brings or takes
 * two equivalents of alkalinity, one mol of carbon and one of hardness. Stone outlasts the tank: what it gives comes from outside the
 * books.
 *
 * @internal
 */
final class Lime
{
    /** g/mol of calcite, mg C, meq and °dH·L that one gram brings. P: atomic masses; DIN 38409-6. */
    private const MOLAR = 100.087;
    public const CARBON_PER_GRAM = 12011.0 / self::MOLAR;
    public const ALKALINITY_PER_GRAM = 2000.0 / self::MOLAR;
    public const HARDNESS_PER_GRAM = 1000.0 / MolarMass::CARBONATE_PER_DEGREE;
    /**
     * Saturation from which calcite falls on leaves and glass, and share of what could that does so in a day. M: House (1987), 5–20, by
     * activities; without them 1.5 times as much; J (0.01–0.1).
     */
    private const SETTLES_FROM = 20.0;
    private const SETTLING = 0.03;
    /** g of calcite within reach of the water per m² of limestone. J (100–1000). */
    public const STONE_REACH = 300.0;
    /** m² of grains that the water sees per m² of a bed whose upper layer is lime. J (3–20): a few millimetres of sand. */
    public const GRAINS = 10.0;

    /** °dH · L in the water, and what of it is calcium. */
    private float $hardness = 0.0;
    private float $calciumHardness = 0.0;
    /** g in the bed. */
    private float $bed = 0.0;
    /** g that stones gave. */
    private float $stone = 0.0;
    private Calcite $calcite;
    private float $celsius = 25.0;
    private float $litres = 1.0;
    private readonly float $bedSpeed;
    private readonly float $stoneSpeed;
    private readonly float $settling;

    public function __construct(RunConstants $facts)
    {
        $this->calcite = Calcite::at($this->celsius);
        $rate = $facts->parameters->limeRate / 24;
        $this->bedSpeed = $rate * $facts->limeSpeed;
        $this->stoneSpeed = $rate * $facts->stoneLime;
        $this->settling = self::SETTLING / 24;
    }

    public function begin(State $s, Day $day, float $litres): void
    {
        $this->litres = $litres;
        $this->hardness = $s->hardness;
        $this->calciumHardness = $s->calcium;
        $this->bed = $s->lime;
        $this->stone = 0.0;
        if ($day->celsius !== $this->celsius) {
            $this->celsius = $day->celsius;
            $this->calcite = Calcite::at($day->celsius);
        }
    }

    /**
     * g of calcite that dissolve; below 0 what settles.
     *
     * @param float $hours      of the step
     * @param float $hydrogen   mol/L
     * @param float $alkalinity meq in the water
     * @param float $carbon     mg C in the water
     */
    public function step(float $hours, float $hydrogen, float $alkalinity, float $carbon): float
    {
        $omega = $this->calcite->saturation($hydrogen, $alkalinity / $this->litres, $this->calciumHardness / $this->litres);
        if ($omega > self::SETTLES_FROM) {
            $grams =
                -$hours *
                $this->settling *
                (1 - self::SETTLES_FROM / $omega) *
                min(
                    $alkalinity / self::ALKALINITY_PER_GRAM,
                    $this->calciumHardness / self::HARDNESS_PER_GRAM,
                    $carbon / self::CARBON_PER_GRAM,
                );
            $this->bed -= $grams;
        } elseif ($omega < 1) {
            $bed = $hours * $this->bedSpeed * (1 - $omega) * $this->bed;
            $stone = $hours * $this->stoneSpeed * (1 - $omega);
            $this->bed -= $bed;
            $this->stone += $stone;
            $grams = $bed + $stone;
        } else {
            return 0.0;
        }
        $this->hardness += $grams * self::HARDNESS_PER_GRAM;
        $this->calciumHardness += $grams * self::HARDNESS_PER_GRAM;

        return $grams;
    }

    /** Hands the day's sums on. */
    public function report(State $s, MassBalance $books): void
    {
        $s->hardness = $this->hardness;
        $s->calcium = $this->calciumHardness;
        $s->lime = $this->bed;
        $books->carbon += $this->stone * self::CARBON_PER_GRAM;
        $books->charge += $this->stone * self::ALKALINITY_PER_GRAM;
        $books->hardness += $this->stone * self::HARDNESS_PER_GRAM;
    }
}
