<?php

declare(strict_types=1);

namespace Olvek\Core\Simulation\Run;

use Olvek\Core\Basis\Unit\MolarMass;
use Olvek\Core\Nature\Light\Daylight;
use Olvek\Core\Nature\Plant\Growth;
use Olvek\Core\Nature\Water\CarbonSpeciation;
use Olvek\Core\Nature\Water\Conductivity;
use Olvek\Core\Planning\Event\Dated;
use Olvek\Core\Planning\Event\Event;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\PlannedEvent;

/**
 * Runs a plan day by day. Split step: daily processes lay out the day's rates, the water goes through its hours,
 * then growth is booked. Deterministic: the same plan, events and parameters give the same trace, bit for bit.
 */
final class Runner
{
    /** Where in a day what changes through it is taken. */
    private const NOON = 0.5;
    /** g of burrowers per m² that turn the whole bed over. J (20–100). */
    private const ALL_TURNED = 50.0;
    /** h of a step at most while there is light (DaySteps). J: halving it moves no margin by 2 % (MassBalanceTest). */
    public const STEP = 1.0;
    /**
     * h of a step where many tanks are compared whose numbers differ by factors. J: it moves no margin by more than they do (EnsembleTest).
     */
    public const COARSE = 2.0;

    private readonly RunConstants $facts;
    /** @var list<Event> what the plan has written into its days */
    private readonly array $planned;
    /** @var array<int, true> days on which something comes */
    private array $arrivals = [];
    /** @var array<int, array{float, float}> */
    private array $suns = [];
    /** What the lamps give in a day whose first one burns for so long: few days differ. */
    private float $lamps = 0.0;
    private float $lampHours = -1.0;
    /** @var array<int, float> °C by day of the run's year */
    private array $celsius = [];
    private readonly DaySteps $steps;
    /** None where no sun falls on the water. */
    private readonly ?Daylight $daylight;

    /** @param Drift|null $drift how the tank's plants and feeding went off what is constant in the plan, month by month */
    public function __construct(
        private readonly Plan $plan,
        Parameters $parameters = new Parameters(),
        private readonly ?Drift $drift = null,
    ) {
        $this->facts = new RunConstants($plan, $parameters);
        $this->steps = new DaySteps();
        $daylight = $plan->site->daylight();
        $this->daylight = $daylight->any() ? $daylight : null;
        foreach ([...$plan->clumps, ...$plan->groups] as $comes) {
            $this->arrivals[$comes->day] = true;
        }
        $this->planned = array_map(static fn (PlannedEvent $e): Event => $e->event(), $plan->events);
    }

    /**
     * @param int         $days      1–1095
     * @param list<Event> $events    beside what the plan itself says
     * @param float       $step      h of a step at most while there is light; below STEP those in the dark are as much shorter
     * @param \Closure(int, State, MassBalance): void|null $watch  called after each day, for tests
     * @param \Closure(int, int, array<string, float>): void|null $hourly called with day, hour and what the water holds
     * @param Pace        $pace      rough: in steps of two hours in the light, and steady days are leapt over
     */
    public function run(
        int $days,
        array $events = [],
        float $step = self::STEP,
        ?\Closure $watch = null,
        ?\Closure $hourly = null,
        ?FlowRecorder $tally = null,
        Pace $pace = Pace::Whole,
    ): Trace {
        $facts = $this->facts;
        $events = [...$this->planned, ...$events];
        $state = new State($facts);
        $books = new MassBalance();
        $conditions = new Conditions($this->plan);
        $processes = new Processes($facts);
        $trace = new Trace();
        $rows = [];
        // The first day is run once for nothing, so that what is foreseen from the day before is there from the start: what plants,
        // algae and mulm learn of it is kept, all else is thrown away.
        $this->day(0, clone $state, new MassBalance(), clone $conditions, $this->planned, $processes, $step);
        $step = Pace::Rough === $pace ? max($step, self::COARSE) : $step;
        $leap = Pace::Rough === $pace ? new Leap($state) : null;
        for ($n = 0; $n < $days; ++$n) {
            $tally?->begin($n, $state);
            $quiet = true === $leap?->isReady() && $this->isQuiet($n, $state, $books, $conditions, $events);
            $day = $this->day($n, $state, $books, $conditions, $events, $processes, $step, $hourly, $tally);
            $rows[] = $this->ended($trace, $state, $books, $processes, $day, $n, $watch);
            $far = $leap?->steady($state, $books, $quiet) ?? 0;
            $last = min($days - 1, $n + $far);
            while ($n < $last && $this->isQuiet($n + 1, $state, $books, $conditions, $events)) {
                $leap?->day($state, $books);
                $rows[] = $this->ended($trace, $state, $books, $processes, $day, ++$n, $watch);
            }
        }
        $trace->fill($rows);

        return $trace;
    }

    /**
     * @param \Closure(int, State, MassBalance): void|null $watch
     *
     * @return array<string, float> the day's row of the trace
     */
    private function ended(Trace $trace, State $state, MassBalance $books, Processes $processes, Day $day, int $n, ?\Closure $watch): array
    {
        $trace->fed[] = $processes->plants->fed;
        $trace->shortOf[] = $processes->plants->shortOf;
        $trace->clumps[] = $state->biomass;
        $trace->groups[] = $state->animals;
        $trace->heads[] = $state->heads;
        $trace->givenAway[] = $state->givenAway;
        $trace->lit[] = $day->lit;
        $quotas = [];
        foreach ($state->biomass as $i => $grams) {
            $quotas[] = $grams > 0 ? $state->leafNitrogen[$i] / $grams : 0.0;
        }
        $trace->quotas[] = $quotas;
        if (null !== $watch) {
            $watch($n, $state, $books);
        }

        return $this->row($state, $day, $n);
    }

    /**
     * Whether a day goes on as the one before: nothing comes, is done or changes by the calendar.
     *
     * @param list<Event> $events all that the run may bring
     */
    private function isQuiet(int $n, State $state, MassBalance $books, Conditions $conditions, array $events): bool
    {
        $plan = $this->plan;
        $care = $plan->care;
        $programme = $plan->lamp->programme;
        if (
            $n < 2
            || self::changes($n, $conditions)
            || $plan->preparation->changesOn($n)
            || $n === $plan->feedFrom
            || $n === $conditions->awayUntil
            || $n === $conditions->darkUntil
            || $n === $conditions->spellUntil
            || $n <= $programme->allDay
            || (0 === $n % 7 && ($care->fertilises() || $conditions->ramp < 1.0))
            || isset($this->arrivals[$n])
            || (null !== $this->drift && 0 === $n % Drift::STRETCH)
        ) {
            return false;
        }
        $tank = new RunningTank($n, $state, $conditions, $this->facts, $books);
        foreach ($events as $event) {
            if (($event instanceof Dated || $n >= $conditions->awayUntil) && $event->due($n, $tank)) {
                return false;
            }
        }

        return true;
    }

    /**
     * Runs one day.
     *
     * @param list<Event>                                        $events all that the run may bring
     * @param \Closure(int, int, array<string, float>): void|null $hourly
     */
    private function day(
        int $n,
        State $state,
        MassBalance $books,
        Conditions $conditions,
        array $events,
        Processes $processes,
        float $step,
        ?\Closure $hourly = null,
        ?FlowRecorder $tally = null,
    ): Day {
        $facts = $this->facts;
        $plants = $processes->plants;
        $algae = $processes->algae;
        $tank = new RunningTank($n, $state, $conditions, $facts, $books);
        $this->arrive($tank, $n);
        foreach ($events as $event) {
            // Rules are the keeper's own doing: nobody there, nobody thins.
            if (($event instanceof Dated || $n >= $conditions->awayUntil) && $event->due($n, $tank)) {
                $event->happen($n, $tank);
            }
        }
        $care = $this->plan->care;
        if ($n > 0 && self::changes($n, $conditions)) {
            WaterKeeping::change($state, $facts, $books, $conditions->changeShare, $conditions->change);
        }
        if ($this->plan->preparation->changesOn($n)) {
            WaterKeeping::change($state, $facts, $books, $this->plan->preparation->firstChange, $conditions->change);
        }
        if ($n > 0 && 0 === $n % 7 && $care->fertilises() && $n >= $conditions->awayUntil) {
            $tank->fertilise($care->nitrogen, $care->phosphorus, $care->potassium, $care->iron);
        }
        $plants->dawn($state, $n + self::NOON);
        $algae->dawn($state, $books);
        $tally?->mark('care', $state, null);
        if ($n > 0 && 0 === $n % 7) {
            $conditions->ramp = $this->plan->lamp->programme->next(
                $conditions->ramp,
                $conditions->algaeSeen ?? $state->algae[Alga::Film->value] / $facts->litSurface > Alga::SHOWS,
            );
            $conditions->algaeSeen = null;
        }
        $day = $this->conditionsOf($conditions, $n);
        $day->algaeMean = $algae->mean;
        $day->steps = $this->steps->of($day->lightHours, $day->pause, $step);
        $processes->light->fall($state, $day, $plants->mean);
        $day->evaporated = WaterKeeping::evaporation($facts, $day->celsius, $n);
        WaterKeeping::evaporate($state, $facts, $day->evaporated);
        WaterKeeping::rain($state, $facts, $books);
        if ($n >= $conditions->awayUntil) {
            WaterKeeping::topUp($state, $facts, $books, $conditions->topUp);
        }
        $tally?->mark('top-up', $state, null);
        $day->ironAtDawn = $state->iron;
        $day->phosphorusAtDawn = $state->phosphorus;
        $processes->mulm->run($state, $day);
        $processes->tannin->run($state, $day, $books, $n + self::NOON);
        $tally?->mark('rotting', $state, $day);
        $fed = $n >= $this->plan->feedFrom && $n >= $conditions->awayUntil && array_sum($state->animals) > 0;
        $food = $fed ? $conditions->food : 0.0;
        if (null !== $this->drift) {
            $day->vigour = $this->drift->growth($n);
            $food *= $this->drift->food($n);
        }
        $processes->animals->run($state, $day, $books, $food, $conditions->protein, $tally);
        $plants->breathe($state, $day, $books);
        $algae->breathe($state, $day);
        $tally?->mark('leaves', $state, $day);
        if ($care->trickle > 0) {
            $carbon = $care->trickle / CarbonSpeciation::CO2_PER_CARBON;
            $day->carbonIn += $carbon;
            $books->carbon += $carbon;
        }
        $burrowers = $this->burrowers($state);
        $day->passing = $facts->passing($day->celsius, $n, $burrowers);
        $processes->leach->run($state, $day, $books);
        $tally?->mark('leak', $state, $day, to: 'air');
        $processes->bed->run($state, $day, $books, $plants->prepare($state, $day, $n + self::NOON), $burrowers);
        $algae->prepare($state, $day);
        // What rots and leaks rises or falls steadily: half of the change is over at noon.
        $day->ammoniaRise = max(-$day->ammoniaSteady, min($day->ammoniaSteady, $day->ammoniaSteady - $conditions->ammoniaSteady));
        $conditions->ammoniaSteady = $day->ammoniaSteady;
        $tally?->mark('leak', $state, $day, to: 'plants');
        $processes->hours->run(
            $state,
            $day,
            $books,
            null === $hourly
                ? null
                : static function (int $hour, array $water) use ($hourly, $n): void {
                    /** @var array<string, float> $water */
                    $hourly($n, $hour, $water);
                },
        );
        $tally?->hours($day);
        $plants->settle($state, $day, $books, $n);
        $algae->settle($state, $day, $n + self::NOON);
        $processes->vitality->run($state, $day);
        $processes->mulm->settle($state, $day);
        $tally?->falling($state, $day);
        $tally?->end($state);

        return $day;
    }

    /**
     * What stays the same through its runs.
     *
     * @api
     */
    public function facts(): RunConstants
    {
        return $this->facts;
    }

    /** Whether water is changed on a day, as it is from time to time. */
    private static function changes(int $n, Conditions $conditions): bool
    {
        return $conditions->changeEvery > 0 && 0 === $n % $conditions->changeEvery && $conditions->changeShare > 0;
    }

    /** What the plan has come on a day: clumps after the first day, which the state begins with, and groups. */
    private function arrive(RunningTank $tank, int $n): void
    {
        if (!isset($this->arrivals[$n])) {
            return;
        }
        foreach ($this->plan->clumps as $clump) {
            if ($n > 0 && $clump->day === $n) {
                $tank->plant($clump->id, $clump->pieces);
            }
        }
        foreach ($this->plan->groups as $group) {
            if ($group->day === $n) {
                $tank->stock($group->id, $group->count);
            }
        }
    }

    /** What the lamps give the water in a day whose first lamp burns for so many hours. */
    private function daily(float $hours): float
    {
        if ($hours !== $this->lampHours) {
            $this->lampHours = $hours;
            $this->lamps = $this->plan->lamp->daily($this->facts->surface, $hours);
        }

        return $this->lamps;
    }

    /** °C of a day: as the plan has it, kept for each day of the year, since a season comes again and again. */
    private function warmth(int $n): float
    {
        return $this->celsius[$n % 365] ??= $this->plan->temperatureOn($n % 365);
    }

    /** The day's warmth and light. */
    private function conditionsOf(Conditions $conditions, int $n): Day
    {
        $day = new Day();
        $day->celsius = $this->warmth($n) + $conditions->warmer + ($n < $conditions->spellUntil ? $conditions->spell : 0.0);
        $day->theta = Growth::temperatureFactor($day->celsius);
        $programme = $this->plan->lamp->programme;
        $lamp = match (true) {
            $n < $conditions->darkUntil => 0.0,
            $n < $programme->allDay => 24.0,
            default => $conditions->lightHours,
        };
        $share = $conditions->lightShare * $conditions->ramp;
        $photons = $n < $conditions->darkUntil ? 0.0 : $share * $this->daily($lamp);
        $day->lampHours = $photons > 0 ? $this->plan->lamp->burning($lamp) : 0.0;
        $day->lampShare = $photons > 0 ? $share : 0.0;
        [$sun, $daylight] = $this->sun($n);
        // Lamp and sun together are spread evenly over the longer of their days.
        $day->lightHours = max($day->lampHours, $sun);
        // Where the sun shines too, it fills a pause of the lamp.
        $day->pause = 0.0 === $sun && $day->lampHours > 0 ? min($programme->pause, 24 - $day->lampHours) : 0.0;
        $day->surfaceLight = $day->lightHours > 0 ? ($photons + ($daylight * 1e6) / 3600) / $day->lightHours : 0.0;

        return $day;
    }

    /** @return array{float, float} hours of daylight and mol/m² on the water, of the week that a day is in */
    private function sun(int $n): array
    {
        $daylight = $this->daylight;
        if (null === $daylight) {
            return [0.0, 0.0];
        }
        $week = intdiv($this->plan->site->dayOfYear($n), 7);

        return $this->suns[$week] ??= [$daylight->dayLength(7.0 * $week + 3), $daylight->dailyIntegral(7.0 * $week + 3)];
    }

    /** Share (0–1) of the bed that snails and worms turn over: all of it at 50 g/m². J. */
    private function burrowers(State $s): float
    {
        $grams = 0.0;
        foreach ($this->plan->groups as $i => $group) {
            $grams += $group->kind->burrows ? $s->animals[$i] : 0.0;
        }

        return min(1.0, $grams / self::ALL_TURNED / $this->facts->floor);
    }

    /** µS/cm of what is dissolved. Of alkalinity all is counted as bicarbonate, which it is below pH 9. */
    private function conductivity(State $s): float
    {
        return Conductivity::of(
            $s->calcium * Conductivity::MILLIMOL_PER_DEGREE / $s->volume,
            ($s->hardness - $s->calcium) * Conductivity::MILLIMOL_PER_DEGREE / $s->volume,
            $s->sodium / MolarMass::SODIUM / $s->volume,
            $s->potassium / MolarMass::POTASSIUM / $s->volume,
            max(0.0, $s->alkalinity) / $s->volume,
            $s->chloride / MolarMass::CHLORIDE / $s->volume,
            $s->sulphate / MolarMass::SULPHUR / $s->volume,
            $s->nitrate / MolarMass::NITROGEN / $s->volume,
        );
    }

    /** @return array<string, float> by column of the trace */
    private function row(State $s, Day $day, int $n): array
    {
        $v = $s->volume;
        $facts = $this->facts;

        return [
            'day' => (float) $n,
            'temperature' => $day->celsius,
            'volume' => $v,
            'ammonia' => $day->mostAmmonia,
            'nitrite' => $day->mostNitrite,
            'nitrate' => $s->nitrate / $v,
            'oxygen' => $day->leastOxygen,
            'pH' => $s->pH,
            'pHLeast' => $day->leastPH,
            'pHMost' => $day->mostPH,
            'carbonDioxide' => $day->meanCarbonDioxide,
            'carbonDioxideMost' => $day->mostCarbonDioxide,
            'phosphate' => $s->phosphorus / $v,
            'potassium' => $s->potassium / $v,
            'iron' => $s->iron / $v,
            'carbonateHardness' => $facts->degreesPerMilliequivalent * $s->alkalinity / $v,
            'generalHardness' => $s->hardness / $v,
            'conductivity' => $this->conductivity($s),
            'unionised' => $day->mostUnionised,
            'tannin' => $s->tannin / $v,
            'light' => ($day->surfaceLight * $day->lightHours * 3600) / 1e6,
            'greenWater' => (1000 * $s->algae[Alga::Drift->value]) / $v,
            'diatoms' => $s->algae[Alga::Diatom->value] / $facts->litSurface,
            'heads' => array_sum($s->heads),
            'deaths' => $day->deaths,
            'sulphide' => $day->sulphide,
            'bubbles' => $day->bubbles,
            'soilReady' => $s->readyNitrogen + $s->tabNitrogen + $s->flushNitrogen + $s->poreNitrogen + $s->soilNitrate,
            'soilNitrogen' => $s->slowNitrogen + $s->readyNitrogen + $s->tabNitrogen
                + $s->flushNitrogen + $s->poreNitrogen + $s->soilNitrate,
            'soilPotassium' => $s->soilPotassium,
            'soilIron' => $s->soilIron,
            'lampHours' => $day->lampHours,
            'lampShare' => $day->lampShare,
            'food' => $day->food,
            'supply' => $day->ammoniaIn,
            'taken' => $day->plantNitrogen,
            'rooted' => $day->rooted,
            'exported' => $day->exported,
            'exportable' => $day->exportable,
            'rootNeed' => $day->rootNeed,
            'denitrified' => $day->denitrified,
            'evaporated' => $day->evaporated,
            'leak' => $day->bedOut,
            'plants' => array_sum($s->biomass),
            'cover' => $day->cover,
            'algae' => $s->algae[Alga::Film->value] / $facts->litSurface,
            'animals' => array_sum($s->animals),
            'mulm' => ($s->scraps->carbon + $s->droppings->carbon + $s->litter->carbon) / 1000,
            'ammoniaOxidisers' => $s->ammoniaOxidisers / $facts->filmMost,
            'nitriteOxidisers' => $s->nitriteOxidisers /
                (($facts->filmMost * $facts->parameters->ammoniaOxidiserRate) / $facts->parameters->nitriteOxidiserRate),
        ];
    }
}
