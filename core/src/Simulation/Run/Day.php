<?php

declare(strict_types=1);

namespace Olvek\Core\Simulation\Run;

/**
 * One day's rates, laid out by the daily processes for the hours, and what the hours report back.
 *
 * @internal
 */
final class Day
{
    public float $celsius = 25.0;
    /** Factor of growth and decay at this temperature against 25 °C. */
    public float $theta = 1.0;
    /** Factor on the growth of all plants: what nobody knows of this month. */
    public float $vigour = 1.0;
    public float $lightHours = 8.0;
    /** Hours of dark in the middle of them. */
    public float $pause = 0.0;
    /** @var list<array{float, float}> the day's steps: hours, and share (0–1) of them that is lit */
    public array $steps = [];
    /** Hours for which the lamp is on, and share of its full strength. */
    public float $lampHours = 0.0;
    public float $lampShare = 0.0;
    /** PPFD on the water, µmol/m²/s. */
    public float $surfaceLight = 0.0;
    /** L that dry up. */
    public float $evaporated = 0.0;
    /** Share of the surface under floaters; above 1 they lie in layers. */
    public float $mat = 0.0;
    public float $cover = 0.0;
    /** m² of leaf under water on which bacteria settle. */
    public float $leafArea = 0.0;
    /** mg C of all that rots that day. */
    public float $rotting = 0.0;

    /** @var array<int, float> m² that each clump covers; none for what floats */
    public array $areas = [];
    /** @var array<int, float> PPFD within each clump */
    public array $light = [];
    /** @var array<int, float> share of its greatest growth that light and hours allow each clump */
    public array $lit = [];
    /** PPFD where algae sit. */
    public float $algaeLight = 0.0;
    /** Mean PPFD through the water under the floaters, for what drifts. */
    public float $driftLight = 0.0;

    /** mg N a day that reaches the water as ammonia: excretion, rot, leak. */
    public float $ammoniaIn = 0.0;
    /** Part of it that comes steadily, and by how much that part rises over the day. */
    public float $ammoniaSteady = 0.0;
    public float $ammoniaRise = 0.0;
    /** mg C a day breathed into the water, and mg O2 a day drawn from it, night and day alike. */
    public float $carbonIn = 0.0;
    public float $oxygenOut = 0.0;

    /** mg N a light hour that clumps could take from the water, all together; by night half. */
    public float $plantAppetite = 0.0;
    public float $algaeAppetite = 0.0;
    /**
     * mg C a light hour that could be fixed with plenty of CO2, by node of half saturation (Carbon::NODES): by those on free CO2 only,
     * and by those that use bicarbonate too; and by algae.
     *
     * @var array{float, float, float, float}
     */
    public array $fixFree = [0.0, 0.0, 0.0, 0.0];
    /** @var array{float, float, float, float} */
    public array $fixBicarbonate = [0.0, 0.0, 0.0, 0.0];
    public float $fixAlgae = 0.0;
    // Reported by the hours.
    public float $plantNitrogen = 0.0;
    public float $algaeNitrogen = 0.0;
    /** @var array{float, float, float, float} shares (0–1) of the potential fixation that CO2 allowed, by node */
    public array $freeShare = [0.0, 0.0, 0.0, 0.0];
    /** @var array{float, float, float, float} the same for those that use bicarbonate */
    public array $bicarbonateShare = [0.0, 0.0, 0.0, 0.0];
    public float $algaeShare = 0.0;
    public float $leastOxygen = \INF;
    public float $mostAmmonia = 0.0;
    public float $mostNitrite = 0.0;
    public float $leastPH = 14.0;
    public float $mostPH = 0.0;
    public float $meanCarbonDioxide = 0.0;
    public float $mostCarbonDioxide = 0.0;
    /** mg NH3-N/L, the day's highest. */
    public float $mostUnionised = 0.0;
    /** mg N that plants and algae took as ammonium, that was oxidised to nitrite and to nitrate, and that left as gas. */
    public float $ammoniumTaken = 0.0;
    public float $oxidisedFirst = 0.0;
    public float $oxidisedSecond = 0.0;
    public float $denitrified = 0.0;

    /** mg P that the water held at daybreak, and that leaves take from it. */
    public float $phosphorusAtDawn = 0.0;
    public float $phosphorusDrawn = 0.0;
    /** mg Fe that the water held at daybreak. */
    public float $ironAtDawn = 0.0;
    /** @var array<int, float> g dry of each alga, mean of the day */
    public array $algaeMean = [0.0, 0.0, 0.0];
    /** mg Fe that leaves take from it. */
    public float $ironDrawn = 0.0;

    // Reported by the daily processes.
    /** mg N in the food given; what roots took from the bed; and what left it in all, into roots and water. */
    public float $food = 0.0;
    public float $rooted = 0.0;
    /** mg N that plants kept, over what they shed; and what they would keep were nitrogen ample. */
    public float $exported = 0.0;
    public float $exportable = 0.0;
    public float $bedOut = 0.0;
    /** L of pore water that pass the cap. */
    public float $passing = 0.0;
    /** mg N that roots would have to bring for leaves to grow as light allows, at the usual 25 mg/g. */
    public float $rootNeed = 0.0;
    /** mL of gas that the bed lets go. */
    public float $bubbles = 0.0;
    /** Index: 1 where the bed may turn foul. */
    public float $sulphide = 0.0;
    public float $deaths = 0.0;
}
