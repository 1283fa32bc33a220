<?php

declare(strict_types=1);

namespace Olvek\Core\Run;

use Olvek\Core\Plan\Plan;
use Olvek\Core\Plant\Growth;
use Olvek\Core\Run\Event\Event;
use Olvek\Core\Unit\Unit;

/**
 * Runs a plan day by day. Split step: daily processes lay out the day's rates, the water goes through its hours,
 * then growth is booked. Deterministic: the same plan, events and parameters give the same trace, bit for bit.
 */
final class Runner
{
    private readonly Facts $facts;

    public function __construct(private readonly Plan $plan, Parameters $parameters = new Parameters())
    {
        $this->facts = new Facts($plan, $parameters);
    }

    /**
     * @param int         $days      1–1095
     * @param list<Event> $events    beside what the plan itself says
     * @param int         $hourSteps steps in an hour
     * @param \Closure(int, State, Books): void|null $watch called after each day, for tests
     */
    public function run(int $days, array $events = [], int $hourSteps = 1, ?\Closure $watch = null): Trace
    {
        $facts = $this->facts;
        $state = new State($facts);
        $books = new Books();
        $conditions = new Conditions($this->plan);
        $light = new DayLight($facts);
        $plants = new PlantDay($facts);
        $trace = new Trace();
        for ($n = 0; $n < $days; ++$n) {
            $this->arrive($state, $books, $n);
            foreach ($events as $event) {
                if ($event->due($n, $state, $facts)) {
                    $event->happen($n, $state, $conditions, $facts, $books);
                }
            }
            $care = $this->plan->care;
            if ($care->changeEvery > 0 && $n > 0 && 0 === $n % $care->changeEvery && $care->changeShare > 0) {
                WaterKeeping::change($state, $facts, $books, $care->changeShare);
            }
            $day = $this->day($conditions, $n);
            $light->fall($state, $day);
            MulmDay::run($state, $day, $facts->parameters);
            $fed = $n >= $this->plan->feedFrom && $n >= $conditions->awayUntil && array_sum($state->animals) > 0;
            AnimalDay::run($state, $day, $facts, $books, $fed ? $conditions->food : 0.0, $conditions->protein);
            $plants->breathe($state, $day, $books);
            $pore = $state->poreNitrogen + $state->flushNitrogen + $state->slowNitrogen;
            $fromRoots = BedDay::run($state, $day, $facts, $books, $n, $plants->prepare($state, $day, $n));
            $leak = $pore - $state->poreNitrogen - $state->flushNitrogen - $state->slowNitrogen;
            WaterHours::run($state, $day, $facts, $books, $hourSteps);
            $plants->settle($state, $day, $books, $n, $fromRoots);
            WaterKeeping::topUp($state, $facts, $books, $day->celsius);
            $this->note($trace, $state, $day, $n, $leak);
            if (null !== $watch) {
                $watch($n, $state, $books);
            }
        }

        return $trace;
    }

    public function facts(): Facts
    {
        return $this->facts;
    }

    private function arrive(State $s, Books $books, int $n): void
    {
        foreach ($this->plan->groups as $i => $group) {
            if ($group->day === $n) {
                $grams = $group->biomass();
                $s->animals[$i] += $grams;
                $books->add($grams * Books::ANIMAL_NITROGEN, $grams * Books::ANIMAL_PHOSPHORUS, $grams * Books::ANIMAL_POTASSIUM, $grams * Books::ANIMAL_IRON, $grams * Books::ANIMAL_CARBON);
            }
        }
    }

    private function day(Conditions $conditions, int $n): Day
    {
        $day = new Day();
        $day->celsius = $conditions->celsius + ($n < $conditions->spellUntil ? $conditions->spell : 0.0);
        $day->theta = Growth::temperatureFactor($day->celsius);
        $day->lightHours = $n < $conditions->darkUntil ? 0.0 : $conditions->lightHours;
        $day->surfaceLight = $day->lightHours > 0 ? $this->facts->lampAtSurface * $conditions->lightShare : 0.0;

        return $day;
    }

    private function note(Trace $trace, State $s, Day $day, int $n, float $leak): void
    {
        $v = $s->volume;
        $facts = $this->facts;
        $trace->add([
            'day' => (float) $n, 'temperature' => $day->celsius, 'volume' => $v, 'ammonia' => $day->mostAmmonia, 'nitrite' => $day->mostNitrite, 'nitrate' => $s->nitrate / $v,
            'oxygen' => $day->leastOxygen, 'pH' => $s->pH, 'pHLeast' => $day->leastPH, 'pHMost' => $day->mostPH, 'carbonDioxide' => $day->meanCarbonDioxide,
            'phosphate' => $s->phosphorus / $v, 'potassium' => $s->potassium / $v, 'iron' => $s->iron / $v,
            'carbonateHardness' => Unit::MilliequivalentPerLitre->convertTo(Unit::GermanDegree, $s->alkalinity / $v), 'generalHardness' => $s->hardness / $v,
            'leak' => $leak, 'plants' => array_sum($s->biomass), 'cover' => $day->cover, 'algae' => $s->algae / $facts->litSurface, 'animals' => array_sum($s->animals), 'mulm' => $s->mulmCarbon / 1000,
            'ammoniaOxidisers' => $s->ammoniaOxidisers / $facts->filmMost,
            'nitriteOxidisers' => $s->nitriteOxidisers / ($facts->filmMost * $facts->parameters->ammoniaOxidiserRate / $facts->parameters->nitriteOxidiserRate),
        ]);
        $trace->clumps[] = $s->biomass;
        $trace->quotas[] = array_map(static fn (float $n, float $b): float => $b > 0 ? $n / $b : 0.0, $s->leafNitrogen, $s->biomass);
    }
}
