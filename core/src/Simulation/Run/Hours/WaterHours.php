<?php

declare(strict_types=1);

namespace Olvek\Core\Simulation\Run\Hours;

use Olvek\Core\Nature\Water\CarbonSpeciation;
use Olvek\Core\Nature\Water\GasExchange;
use Olvek\Core\Nature\Water\Oxygen;
use Olvek\Core\Simulation\Run\Air;
use Olvek\Core\Simulation\Run\Day;
use Olvek\Core\Simulation\Run\MassBalance;
use Olvek\Core\Simulation\Run\RunConstants;
use Olvek\Core\Simulation\Run\State;

/**
 * The water through the hours of a day. Each step goes through nitrogen (NitrogenChain) with its colonies (Colonies), carbon
 * (CarbonBalance) with lime (Lime), and oxygen (OxygenBalance); then what is highest and lowest is noted. Stores that are filled and
 * drawn at once share one scheme (Theta).
 *
 * This is the hot loop, some 6,000 steps a simulated year: typed properties, no arrays made on the way but one.
 *
 * @internal
 */
final class WaterHours
{
    private const FORTNIGHT = 14.0;
    /** Share of the exchange that a closed mat of floaters takes away. J. */
    private const UNDER_MAT = 0.5;
    /** Atmospheres at which a clip lid lets gas out, and at which it sucks air in. J. */
    private const VENTS = 1.05;
    private const SUCKS = 0.9;

    // One of each for a run, begun anew each day: to make them anew each day would cost more than a few of their steps.
    private readonly Colonies $colonies;
    private readonly NitrogenChain $nitrogen;
    private readonly Lime $lime;
    private readonly CarbonBalance $carbon;
    private readonly OxygenBalance $oxygen;
    private CarbonSpeciation $speciation;
    private float $celsius = 25.0;
    private float $hydration;
    private float $diffusion;

    public function __construct(private readonly RunConstants $facts)
    {
        $this->colonies = new Colonies($facts);
        $this->nitrogen = new NitrogenChain($facts, $this->colonies);
        $this->lime = new Lime($facts);
        $this->carbon = new CarbonBalance($facts, $this->lime);
        $this->oxygen = new OxygenBalance($facts);
        $this->speciation = CarbonSpeciation::at($this->celsius);
        $this->hydration = GasExchange::hydration($this->celsius);
        $this->diffusion = GasExchange::diffusion($this->celsius);
    }

    /** @param \Closure(int, array<string, float>): void|null $record called at the end of each hour with what the water then holds */
    public function run(State $s, Day $day, MassBalance $books, ?\Closure $record = null): void
    {
        $facts = $this->facts;
        $litres = $s->volume;
        if ($day->celsius !== $this->celsius) {
            $this->celsius = $day->celsius;
            $this->speciation = CarbonSpeciation::at($day->celsius);
            $this->hydration = GasExchange::hydration($day->celsius);
            $this->diffusion = GasExchange::diffusion($day->celsius);
        }
        $speciation = $this->speciation;
        $velocity =
            $facts->parameters->reaeration *
            $facts->exchange *
            GasExchange::warmth($day->celsius) *
            ($facts->plan->site->lid ? GasExchange::UNDER_LID : 1.0);
        $passes = ($velocity * (1 - self::UNDER_MAT * $day->cover) * $facts->surface * 1000) / 24;
        $helped =
            GasExchange::CO2_TO_OXYGEN *
            ($facts->parameters->structure->plainGas
                ? 1.0
                : GasExchange::enhancement(
                    $velocity * GasExchange::CO2_TO_OXYGEN,
                    $s->pH,
                    $speciation,
                    $this->hydration,
                    $this->diffusion,
                ));

        [$colonies, $nitrogen, $lime, $carbon, $oxygen] = [$this->colonies, $this->nitrogen, $this->lime, $this->carbon, $this->oxygen];
        $colonies->begin($s, $day);
        $nitrogen->begin($s, $day, $litres);
        $lime->begin($s, $day, $litres);
        $carbon->begin($s, $day, $speciation, $litres, $passes, $helped);
        $oxygen->begin($s, $day, Oxygen::saturation($day->celsius, $facts->pressure), $litres, $passes);
        $water = null === $record ? null : new HourlyRecord($record, $litres);

        $clock = 0.0;
        foreach ($day->steps as [$hours, $lit]) {
            $water?->before($clock, $nitrogen, $carbon, $oxygen);
            $nitrogen->step(($clock + $hours / 2) / 24, $hours, 0.5 + 0.5 * $lit, $oxygen->oxygen / $litres, $carbon->hydrogen);
            $carbon->step($hours, $lit, $nitrogen->charge);
            $oxygen->step($hours, $carbon->fixed, $nitrogen->takenOxidised, $nitrogen->oxidisedFirst, $nitrogen->oxidisedSecond);
            $nitrogen->observe($carbon->hydrogen);
            $clock += $hours;
            $water?->after($clock, $nitrogen, $carbon, $oxygen);
        }

        $colonies->report($s);
        $nitrogen->report($s, $day);
        $lime->report($s, $books);
        $carbon->report($s, $day, $books);
        $oxygen->report($s, $day, $books);
        $books->nitrogen -= $nitrogen->denitrified;
        $s->meanAmmonia += ($nitrogen->sumAmmonia / 24 / $litres - $s->meanAmmonia) / self::FORTNIGHT;
        if ($facts->sealed && $facts->headspace > 0) {
            self::vent($s, $facts->headspace, $books);
        }
    }

    /** A clip lid lets gas out above one pressure and sucks air in below another; nitrogen stays about as it was. */
    private static function vent(State $s, float $headspace, MassBalance $books): void
    {
        $oxygen = Air::OXYGEN * $headspace;
        $carbon = Air::CARBON * $headspace;
        $pressure = Air::REST + (Air::OXYGEN_SHARE * $s->headOxygen) / $oxygen + (Air::CARBON_SHARE * $s->headCarbon) / $carbon;
        if ($pressure > self::VENTS) {
            $out = 1 - self::VENTS / $pressure;
            $books->oxygen -= $out * $s->headOxygen;
            $books->carbon -= $out * $s->headCarbon;
            $s->headOxygen *= 1 - $out;
            $s->headCarbon *= 1 - $out;
        } elseif ($pressure < self::SUCKS) {
            $in = self::SUCKS - $pressure;
            $books->oxygen += $in * $oxygen;
            $books->carbon += $in * $carbon;
            $s->headOxygen += $in * $oxygen;
            $s->headCarbon += $in * $carbon;
        }
    }
}
