<?php

declare(strict_types=1);

namespace Olvek\Core\Simulation\Run;

use Olvek\Core\Basis\Unit\MolarMass;
use Olvek\Core\Nature\Water\Oxygen;
use Olvek\Core\Nature\Water\SourceWater;

/**
 * The bed on a day: soil pools decay, pore water gains, roots and the cap's leak draw on it.
 *
 * dM/dt = Σ pools·k − λM − Σ roots; exact for the day's rates, both sinks sharing what there is.
 *
 * @internal
 */
final readonly class BedDay
{
    /**
     * mg P/L that grains leave in the water, and m/d with which they bind what is more. M: Froelich (1988), Limnol. Oceanogr. 33 (form); J
     * (0.1–0.5; 0.002–0.02).
     */
    private const FREE_PHOSPHATE = 0.3;
    private const BINDING = 0.006;
    /** mg N/L of pore water at which roots feed at half speed. M (0.2–2). */
    private const HALF_PORE = 0.5;
    /** mL of gas (methane and carbon dioxide) per mg C. P: molar volume 24.5 L at 25 °C. */
    private const GAS_PER_CARBON = 24.5 / MolarMass::CARBON;
    /** g C/m²/d rotting, m of bed, and mg N/m²/d of roots' appetite that the sulphide index is measured by. J. */
    private const FOUL_CARBON = 6.0;
    private const DEEP = 0.1;
    private const WELL_ROOTED = 60.0;
    /**
     * mg S/L at which sulphate breathers run at half speed, mg/g of iron that binds half of what they make, and what soils usually hold of
     * it. M (1–10); J.
     */
    private const HALF_SULPHATE = 5.0;
    private const HALF_IRON = 1.0;
    private const USUAL_IRON = 0.15;
    /** d⁻¹ at which the bed pays its debt of oxygen. J (0.01–0.05). */
    private const PAID = 0.02;
    /** pH at which peat and granules take up no more alkalinity, and span above it to where they do fully. M: 5.5–6.5. */
    private const SOUR = 6.0;
    private const SOUR_SPAN = 1.0;
    /**
     * Share of the water's alkalinity that they can take in a day, share of it that goes with calcium and magnesium, and °dH·L of an meq.
     * J; P: DIN 38409-6.
     */
    private const SOFTENED_A_DAY = 0.2;
    private const CALCIUM = 0.8;
    private const DEGREES_PER_EQUIVALENT = 2.804;

    public function __construct(private RunConstants $facts)
    {
    }

    /**
     * @param float $appetite  mg N that roots could take today with plenty
     * @param float $burrowers share (0–1) of the bed that snails and worms turn over
     */
    public function run(State $s, Day $day, MassBalance $books, float $appetite, float $burrowers): void
    {
        $facts = $this->facts;
        $p = $facts->parameters;
        $flush = $s->flushNitrogen * (1 - exp(-$p->flushRate * $day->theta));
        $ready = $s->readyNitrogen * (1 - exp(-$p->readyRate * $day->theta));
        $slow = $s->slowNitrogen * (1 - exp(-$p->slowRate * $day->theta));
        $tabs = $s->tabNitrogen * (1 - exp(-$p->tabRate * $day->theta));
        $s->flushNitrogen -= $flush;
        $s->tabNitrogen -= $tabs;
        $s->readyNitrogen -= $ready;
        $s->slowNitrogen -= $slow;
        $freed = $flush + $tabs + $ready + $slow;
        $leakRate = $day->passing / $facts->holdUp;
        // Exact for the day's rates, the roots' being taken at the middle of the day, which a first guess finds.
        $half = self::HALF_PORE * $facts->holdUp;
        $guess = self::after($s->poreNitrogen, $freed, $leakRate + $appetite / ($half + $s->poreNitrogen));
        $rate = $leakRate + $appetite / ($half + ($s->poreNitrogen + $guess) / 2);
        $after = self::after($s->poreNitrogen, $freed, $rate);
        $left = $rate > 0 ? $s->poreNitrogen + $freed - $after : 0.0;
        $s->poreNitrogen += $freed - $left;
        $day->rooted = $rate > 0 ? max(0.0, $left * (1 - $leakRate / $rate)) : 0.0;
        $day->bedOut = $left;
        $leak = max(0.0, $left - $day->rooted);
        $day->ammoniaIn += $leak;
        $day->ammoniaSteady += $leak;

        self::soften($s, $facts, $books, min(0.5, $leakRate));
        self::bind($s, $day, $facts);

        $quick = $s->quickCarbon * (1 - exp(-$p->quickCarbonRate * $day->theta));
        $old = $s->slowCarbon * (1 - exp(-$p->slowCarbonRate * $day->theta));
        $s->quickCarbon -= $quick;
        $s->slowCarbon -= $old;
        $bubbles = $p->bubbleShare * ($quick + $old);
        $tannin = $p->tanninShare * ($quick + $old);
        $s->tannin += $tannin;
        if (!$facts->sealed) {
            $books->carbon -= $bubbles;
        } elseif ($facts->headspace > 0) {
            $s->headCarbon += $bubbles;
        } else {
            $day->carbonIn += $bubbles;
        }
        $day->bubbles = $bubbles * self::GAS_PER_CARBON;
        $day->sulphide = self::sulphide($facts, $quick + $old, $appetite, $burrowers) * self::sulphur($s, $facts);
        $day->carbonIn += $quick + $old - $bubbles - $tannin;
        $day->rotting += $quick + $old;
        $airless = max(0.0, 1 - $p->aerobicShare - $p->bubbleShare - $p->tanninShare) * ($quick + $old);
        $s->debt += $p->debtShare * $airless * Oxygen::PER_CARBON;
        $paid = self::PAID * $s->debt;
        $s->debt -= $paid;
        $day->oxygenOut += $p->aerobicShare * ($quick + $old) * Oxygen::PER_CARBON + $paid;
    }

    /**
     * How near the bed is to turning foul, 1 being a bed to worry about: rotting soil carbon against what oxygen, roots and
     * burrowers bring down. J throughout: a hand's breadth of rich soil without roots gives about 1, the same well rooted a third.
     */
    private static function sulphide(RunConstants $facts, float $carbon, float $appetite, float $burrowers): float
    {
        $perFloor = $carbon / 1000 / $facts->floor;
        $roots = $appetite / $facts->floor / self::WELL_ROOTED;

        return (($perFloor / self::FOUL_CARBON) * min(2.0, $facts->bedDepth / self::DEEP)) / (1 + 2 * min(1.0, $roots) + $burrowers);
    }

    /**
     * How much of that is sulphide, against ordinary water and soil: by the sulphate there is, and what iron binds. M forms: Holmer &
     * Storkholm (2001), Freshw. Biol. 46; J.
     */
    private static function sulphur(State $s, RunConstants $facts): float
    {
        $sulphate = $s->sulphate / $s->volume;
        $iron = $s->soilIron / max(1e-9, $facts->soilGrams);

        return ((($sulphate / (self::HALF_SULPHATE + $sulphate)) * (self::HALF_SULPHATE + SourceWater::SULPHATE)) /
            SourceWater::SULPHATE /
            (1 + $iron / self::HALF_IRON)) *
            (1 + self::USUAL_IRON / self::HALF_IRON);
    }

    /**
     * Fresh peat and loaded granules take up alkalinity, and calcium with it, until the water that meets them is sour; where it is sourer
     * still, what they took up goes back. M: exchange of humic acids; as fast as ammonium passes the cap (J).
     */
    private static function soften(State $s, RunConstants $facts, MassBalance $books, float $rate): void
    {
        if ($facts->acidity <= 0.0) {
            return;
        }
        $ease = max(-1.0, min(1.0, ($s->pH - self::SOUR) / self::SOUR_SPAN));
        $taken = $ease >= 0
            ? min(
                $rate * $ease * $s->acidity,
                self::SOFTENED_A_DAY * max(0.0, $s->alkalinity),
                $s->hardness / self::DEGREES_PER_EQUIVALENT,
            )
            : $rate * $ease * ($facts->acidity - $s->acidity);
        $s->acidity -= $taken;
        $s->alkalinity -= $taken;
        $degrees = self::CALCIUM * self::DEGREES_PER_EQUIVALENT * $taken;
        $s->calcium -= $s->hardness > 0 ? ($degrees * $s->calcium) / $s->hardness : 0.0;
        $s->hardness -= $degrees;
        $books->charge -= $taken;
        $books->hardness -= $degrees;
    }

    /** Phosphate beyond what grains and rust leave in the water is bound by them. */
    private static function bind(State $s, Day $day, RunConstants $facts): void
    {
        $bound =
            ((self::BINDING * $facts->floor) / $facts->depth / $facts->surface) *
            max(0.0, min($s->phosphorus, $day->phosphorusAtDawn) - self::FREE_PHOSPHATE * $s->volume);
        $s->phosphorus -= $bound;
        $s->soilPhosphorus += $bound;
    }

    /** What a store holds after a day of steady inflow and of loss at a rate (d⁻¹). */
    private static function after(float $store, float $inflow, float $rate): float
    {
        return $rate < 1e-9 ? $store + $inflow : $inflow / $rate + ($store - $inflow / $rate) * exp(-$rate);
    }
}
