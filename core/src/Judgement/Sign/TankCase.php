<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Sign;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Basis\Unit\Words;
use Olvek\Core\Keeping\Log\ActualPlan;
use Olvek\Core\Keeping\Log\Log;
use Olvek\Core\Keeping\Log\LoggedEvent;
use Olvek\Core\Keeping\Log\TestKit;
use Olvek\Core\Nature\Water\Measure;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Plan\Clump;
use Olvek\Core\Planning\Plan\Group;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\PlannedEvent;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Simulation\Run\Trace;

/** A tank on the day on which somebody asks about signs: what is seen, the plan, the logbook, and a run of both. */
final readonly class TankCase
{
    /** Days for which a reading tells of the water. J. */
    private const READ = 10;
    /** Days before the question that the run is looked at. J. */
    public const WINDOW = 7;
    /** Days ahead that the run goes on, for what is tried. */
    public const AHEAD = 35;

    /**
     * @param Plan                $plan as it has gone so far (ActualPlan)
     * @param Log                 $log  up to the day
     * @param list<Seen>          $seen
     * @param array<string, bool> $told what the keeper says of facts, by their ids
     * @param bool                $guessed whether the plan was made up from a few answers
     */
    private function __construct(
        public Plan $plan,
        public ActualPlan $actual,
        public Log $log,
        public Trace $trace,
        public int $day,
        public array $seen,
        public array $told,
        public TestKit $kit,
        public UnitSystem $units,
        private bool $guessed,
    ) {
    }

    /**
     * @param list<Seen>          $seen
     * @param array<string, bool> $told
     */
    public static function of(
        Plan $plan,
        Log $log,
        int $day,
        array $seen,
        array $told = [],
        ?TestKit $kit = null,
        UnitSystem $units = UnitSystem::Metric,
        bool $guessed = false,
    ): self {
        $log = self::asPlanned($plan, $log->upTo($day), $day);
        $actual = ActualPlan::upTo(
            $plan,
            $log,
            $day,
            static fn (PlannedEvent $e): bool => !$e->kind->happens()->asPlanned,
        );

        return new self(
            $plan,
            $actual,
            $log,
            (new Runner($actual->plan))->run(min(Plan::LAST_DAY, $day + 1 + self::AHEAD), $actual->events),
            $day,
            $seen,
            $told,
            $kit ?? TestKit::of(),
            $units,
            $guessed,
        );
    }

    /** The logbook with what the plan says in its place: whoever never logs who comes has them in as planned. */
    private static function asPlanned(Plan $plan, Log $log, int $day): Log
    {
        $more = [];
        foreach (ActualPlan::unlogged($plan, $log, $day) as $planned) {
            if ($planned->kind->happens()->asPlanned) {
                $more[] = new LoggedEvent($planned->day, $planned->kind, (float) (array_values($planned->values)[0] ?? 0.0), $planned->of);
            }
        }
        foreach ([] === $log->of(EventKind::Stock) ? $plan->groups : [] as $group) {
            if ($group->day <= $day) {
                $more[] = new LoggedEvent($group->day, EventKind::Stock, (float) $group->count, $group->id);
            }
        }

        return $log->with(...$more);
    }

    /** What the run says comes from. */
    public function byRun(): Source
    {
        return $this->guessed ? Source::Guess : Source::Run;
    }

    public function byPlan(): Source
    {
        return $this->guessed ? Source::Told : Source::Planned;
    }

    /**
     * How much there is of something: the newest reading of the last days, or else the run's mean of them.
     *
     * @param string $name as a keeper calls it
     */
    public function level(?Measure $measure, string $column, string $name): Level
    {
        $read = null === $measure ? null : $this->log->latest($measure);
        if (null !== $measure && null !== $read && $read->day > $this->day - self::READ) {
            return new Level(
                $read->value,
                \sprintf('%s read %s on day %d', Words::capital($name), $this->kit->show($measure, $read->value, $this->units), $read->day),
                Source::Read,
                $read->day,
            );
        }
        $mean = $this->mean($column);
        $unit = explode(',', explode(' at ', Trace::COLUMNS[$column])[0])[0];

        return new Level(
            $mean,
            \sprintf(
                'By the run, %s stood at %s on days %d to %d',
                $name,
                null === $measure
                    ? trim(\sprintf('%.2g %s', $mean, $unit))
                    : $this->kit->show($measure, $mean, $this->units),
                max(0, $this->day - self::WINDOW + 1),
                $this->day,
            ),
            $this->byRun(),
            $this->day,
        );
    }

    /** Mean of a column over the last days. */
    public function mean(string $column, int $days = self::WINDOW): float
    {
        return $this->trace->mean($column, max(0, $this->day - $days + 1), $this->day + 1);
    }

    /** @return list<int> clumps that the signs are seen on; all that are in where none is named */
    public function clumps(): array
    {
        $in = array_keys(array_filter($this->plan->clumps, fn (Clump $c): bool => $this->plantedOn($c) <= $this->day));
        $named = $this->named('clump');
        $those = array_values(array_filter($in, fn (int $i): bool => \in_array($this->plan->clumps[$i]->id, $named, true)));

        return [] === $those ? $in : $those;
    }

    /** @return list<int> groups that the signs are seen on; all that are in where none is named */
    public function groups(): array
    {
        $in = array_keys(array_filter(
            $this->plan->groups,
            fn (Group $g): bool => ($this->trace->heads[$this->day][array_search($g, $this->plan->groups, true)] ?? 0.0) > 0
                || null !== $this->cameOn($g),
        ));
        $named = $this->named('group');
        $those = array_values(array_filter($in, fn (int $i): bool => \in_array($this->plan->groups[$i]->id, $named, true)));

        return [] === $those ? $in : $those;
    }

    /** Whether a plant ("clump") or an animal ("group") is named. */
    public function isNamed(string $of): bool
    {
        return [] !== $this->named($of);
    }

    /** Day on which a clump, or more of it, was last planted. */
    public function plantedOn(Clump $clump): int
    {
        $logged = array_filter($this->log->of(EventKind::Plant), static fn (LoggedEvent $e): bool => $e->of === $clump->id);

        return [] === $logged ? $clump->day : max($clump->day, max(array_map(static fn (LoggedEvent $e): int => $e->day, $logged)));
    }

    /** Day on which animals of a group first came; null where they have not. */
    public function cameOn(Group $group): ?int
    {
        $lots = $this->log->of(EventKind::Stock, $group->id);

        return [] === $lots ? null : $lots[0]->day;
    }

    /** @return list<LoggedEvent> of a kind, of the last days */
    public function lately(EventKind $kind, int $days): array
    {
        return array_values(array_filter($this->log->of($kind), fn (LoggedEvent $e): bool => $e->day > $this->day - $days));
    }

    /**
     * @param string $of "clump", "group" or "zone"
     *
     * @return list<string> those that are named with a sign
     */
    public function named(string $of): array
    {
        $named = [];
        foreach ($this->seen as $seen) {
            if (null !== $seen->of && $seen->sign->of() === $of) {
                $named[] = $seen->of;
            }
        }

        return $named;
    }
}
