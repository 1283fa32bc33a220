<?php

declare(strict_types=1);

namespace Olvek\Core\Margin;

use Olvek\Core\Animal\Mulm;
use Olvek\Core\Bed\Release;
use Olvek\Core\Plan\Clump;
use Olvek\Core\Plan\Plan;
use Olvek\Core\Plant\Growth;
use Olvek\Core\Run\Parameters;
use Olvek\Core\Water\Ammonia;
use Olvek\Core\Water\AmmoniaCriterion;
use Olvek\Core\Water\Carbonate;
use Olvek\Core\Water\Nitrification;

/**
 * Draws up the nitrogen ledger of a chosen day, as if that day's supply and appetite lasted: ammonia settles where
 * uptake meets supply, nitrate where uptake, denitrification and changes meet nitrification.
 *
 * Plants are held at their planted mass (less melt), growth being trimmed away: the cautious case.
 */
final readonly class Account
{
    /** mg NH3-N/L. P: EIFAC (1970), Report on ammonia and inland fisheries, Technical Paper 11: 0.025 mg NH3/L. */
    public const SAFE_UNIONISED = 0.025 / 1.2159;
    /** mg TAN-N/L that common drop tests just show. C: with animals in, ammonia should read 0. */
    public const TEST_SHOWS = 0.25;
    /** mg TAN-N/L at which the account stops when nothing holds ammonia back. J. */
    private const CEILING = 8.0;
    /** mg CO2/L that a breathing soil adds to the air's share, mean of the light hours. J (1–6). */
    private const BED_CO2 = 2.0;
    /** Soil per free water at which it adds that much; less soil adds less. J. */
    private const BREATHING_SHARE = 0.1;

    private Release $release;
    private float $factor;
    private float $net;
    private float $co2;
    private float $surface;
    private float $unionised;
    public float $safe;

    public function __construct(private Plan $plan)
    {
        $celsius = $plan->site->temperature;
        $this->factor = Growth::temperatureFactor($celsius);
        $this->release = new Release($plan->bed, $plan->vessel, $this->factor);
        $this->net = $plan->netWater();
        $this->co2 = Carbonate::co2AtEquilibrium($celsius)
            + self::BED_CO2 * min(1.0, $plan->bed->soilVolume($plan->vessel) / $this->net / self::BREATHING_SHARE);
        $this->surface = $plan->wettedSurface();
        $this->unionised = Ammonia::unionisedShare($plan->water->pH, $celsius);
        $this->safe = min(self::TEST_SHOWS, self::SAFE_UNIONISED / $this->unionised, AmmoniaCriterion::chronic($plan->water->pH, $celsius));
    }

    /** mg TAN-N/L that filling alone pushes into the water. */
    public function firstFlush(): float
    {
        return $this->release->atFilling() / $this->net;
    }

    public function release(): Release
    {
        return $this->release;
    }

    public function onDay(float $day): Ledger
    {
        $feed = $this->plan->feed;
        $fed = $day >= $this->plan->feedFrom && null !== $this->plan->firstAnimals() && $day >= $this->plan->firstAnimals() && $feed->grams > 0;
        $light = ClumpLight::onDay($this->plan, $day);
        $flows = [];
        if ($fed) {
            $flows[] = new Flow('food', 'animals', $feed->nitrogen(), 'food');
            $flows[] = new Flow('animals', 'ammonia', $feed->ammonia(), 'excretion');
            $flows[] = new Flow('animals', 'mulm', $feed->faeces(), 'faeces');
        }
        $rot = $this->fromMulm($day, $fed);
        $flows = [...$flows, ...$this->melting($day), new Flow('mulm', 'ammonia', $rot, 'rotting')];
        $supply = ($fed ? $feed->ammonia() : 0.0) + $rot;

        $appetites = [];
        $fromBed = 0.0;
        $freed = $this->release->freed($day);
        foreach ($this->plan->clumps as $clump) {
            $appetite = $this->appetite($clump, $light->clumps[$clump->id], $day);
            $root = null === $this->plan->bed->soil ? 0.0 : $appetite * $clump->kind->rootShare->value * Growth::rooted($day);
            $root = min($root, max(0.0, $freed - $fromBed));
            $fromBed += $root;
            $flows[] = new Flow('soil', 'plants', $root, $clump->id);
            $appetites[$clump->id] = $appetite - $root;
        }
        // What roots take cannot leak; they draw on the same pore water in proportion.
        $leak = $this->release->leak($day) * ($freed > 0 ? max(0.0, 1 - $fromBed / $freed) : 1.0);
        $flows[] = new Flow('soil', 'ammonia', $leak, 'leak');
        $supply += $leak;

        $hunger = array_sum($appetites);
        $film = Nitrification::greatestRate($this->surface, Nitrification::maturity($day, $this->plan->inoculum->share(), $this->plan->site->temperature), $this->plan->site->temperature, $this->plan->water->pH);
        $uptake = static fn (float $c): float => $hunger * $c / (Growth::HALF_SATURATION_AMMONIUM + $c);
        $oxidised = static fn (float $c): float => $film * $c / (Nitrification::HALF_SATURATION + $c);
        $drained = fn (float $c): float => $this->plan->care->dailyShare() * $this->net * $c;
        $ammonia = self::meeting(static fn (float $c): float => $uptake($c) + $oxidised($c) + $drained($c), $supply, self::CEILING);
        foreach ($appetites as $id => $appetite) {
            $flows[] = new Flow('ammonia', 'plants', $appetite * $ammonia / (Growth::HALF_SATURATION_AMMONIUM + $ammonia), (string) $id);
        }
        $made = $oxidised($ammonia);
        $flows[] = new Flow('ammonia', 'nitrate', $made, 'bacteria');
        $flows[] = new Flow('ammonia', 'drain', $drained($ammonia), 'water change');

        $tap = $this->plan->care->dailyShare() * $this->net * $this->plan->water->nitrate;
        $left = ($hunger - $uptake($ammonia)) * Growth::AMMONIUM_FIRST / (Growth::AMMONIUM_FIRST + $ammonia);
        $denitrification = (new Parameters())->denitrification;
        $denitrified = fn (float $n): float => $denitrification * $this->factor * $this->plan->vessel->areaAt(0.0) * 1000 * $n;
        $eaten = static fn (float $n): float => $left * $n / (Growth::HALF_SATURATION_NITRATE + $n);
        $nitrate = self::meeting(static fn (float $n): float => $eaten($n) + $denitrified($n) + $drained($n), $made + $tap, 1e4);
        $flows[] = new Flow('tap', 'nitrate', $tap, 'water change');
        $flows[] = new Flow('nitrate', 'plants', $eaten($nitrate), 'nitrate');
        $flows[] = new Flow('nitrate', 'air', $denitrified($nitrate), 'denitrification');
        $flows[] = new Flow('nitrate', 'drain', $drained($nitrate), 'water change');

        return new Ledger(
            $day,
            array_values(array_filter($flows, static fn (Flow $f): bool => $f->amount > 0)),
            $ammonia,
            $nitrate,
            $supply,
            $uptake($this->safe) + $oxidised($this->safe),
            $this->safe,
            $this->unionised,
            $ammonia < self::CEILING * (1 - 1e-9),
        );
    }

    /** mg N/d that a clump would take up with plenty around it. */
    private function appetite(Clump $clump, float $photonFluxDensity, float $day): float
    {
        return Growth::rate($clump->kind, $photonFluxDensity, $this->plan->lamp->hours, $this->co2, $this->plan->site->temperature)
            * $clump->biomass() * Growth::shareAlive($clump->kind, $day) * Growth::LEAF_NITROGEN;
    }

    /** @return list<Flow> leaves lost on a day of the melt, evenly over its span */
    private function melting(float $day): array
    {
        if ($day < Growth::MELT_FROM || $day >= Growth::MELT_TO) {
            return [];
        }

        return array_map(static fn (Clump $c): Flow => new Flow('plants', 'mulm', self::meltPerDay($c), $c->id), $this->plan->clumps);
    }

    private static function meltPerDay(Clump $clump): float
    {
        return $clump->biomass() * $clump->kind->melt->value * Growth::LEAF_NITROGEN / (Growth::MELT_TO - Growth::MELT_FROM);
    }

    private function fromMulm(float $day, bool $fed): float
    {
        $melt = array_sum(array_map(self::meltPerDay(...), $this->plan->clumps));
        $rot = Mulm::freed($melt, Growth::MELT_FROM, Growth::MELT_TO, $day, $this->factor);
        if ($fed) {
            $start = (float) max($this->plan->feedFrom, $this->plan->firstAnimals() ?? 0);
            $rot += Mulm::freed($this->plan->feed->faeces(), $start, \INF, $day, $this->factor);
        }

        return $rot;
    }

    /**
     * The concentration at which a rising removal meets the supply, by bisection to 1e-12 relative of the ceiling.
     *
     * @param \Closure(float): float $removal
     */
    private static function meeting(\Closure $removal, float $supply, float $ceiling): float
    {
        if ($removal($ceiling) <= $supply) {
            return $ceiling;
        }
        $low = 0.0;
        $high = $ceiling;
        for ($i = 0; $i < 60; ++$i) {
            $middle = ($low + $high) / 2;
            if ($removal($middle) < $supply) {
                $low = $middle;
            } else {
                $high = $middle;
            }
        }

        return ($low + $high) / 2;
    }
}
