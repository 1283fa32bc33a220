<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Solve;

use Olvek\Core\Basis\TimeLimit\OutOfTime;
use Olvek\Core\Basis\TimeLimit\TimeLimit;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Judgement\Margin\Asked;
use Olvek\Core\Judgement\Margin\Harm\Harm;
use Olvek\Core\Judgement\Margin\Harm\HarmId;
use Olvek\Core\Judgement\Margin\Judge;
use Olvek\Core\Judgement\Margin\Judgement;
use Olvek\Core\Judgement\Margin\MarginState;
use Olvek\Core\Planning\Change\Change;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Event\Event;
use Olvek\Core\Planning\Plan\InvalidPlan;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Pace;

/** Tries plans for a question and counts the years that it runs, while somebody waits and as many as may be. */
final class Trial
{
    public int $runs = 0;
    /** Why the plan's rules last forbade an edit, and what to do about it. */
    public string $refusal = '';
    /** Whether a search was broken off because nobody waited any longer. */
    public bool $brokenOff = false;

    /** @param int $most years that are run at most, however long somebody waits */
    public function __construct(
        private readonly Editor $editor,
        private readonly TimeLimit $patience,
        private readonly int $most = \PHP_INT_MAX,
    ) {
    }

    /**
     * A plan with changes made; null where the plan's rules forbid them, which then say why in $refusal.
     *
     * @param list<Change> $changes
     */
    public function changed(Plan $plan, array $changes): ?Plan
    {
        try {
            return $this->editor->make($plan, $changes)->plan;
        } catch (InvalidPlan $refused) {
            $this->refusal = implode(' ', $refused->messages(UnitSystem::Metric));

            return null;
        }
    }

    /**
     * @param list<Event> $events
     *
     * @throws OutOfTime once patience is spent, or as many years are run as may be; the first plan is always tried
     */
    public function judged(Plan $plan, array $events = [], Pace $pace = Pace::Whole): Judgement
    {
        if ($this->runs >= $this->most || ($this->runs > 0 && $this->patience->isSpent())) {
            $this->brokenOff = true;
            throw new OutOfTime();
        }
        ++$this->runs;

        return Judge::judge($plan, events: $events, pace: $pace);
    }

    /**
     * The gravest harm that forbids something: of those that decide a question, what fails; and nitrate that gathers, where nobody changes
     * water.
     */
    public static function forbids(Judgement $judgement, Asked $question): ?Harm
    {
        foreach ($judgement->harms as $harm) {
            $counts = MarginState::Fails === $harm->state || (HarmId::Nitrate === $harm->id && MarginState::Tight === $harm->state);
            if ($counts && \in_array($harm->id, $question->harms(), true)) {
                return $harm;
            }
        }

        return null;
    }

    /**
     * The largest whole number from $low (known to do) up to $high for which something holds, taking it to hold no more once it stops.
     * Where the search was broken off, the largest that is known to do.
     *
     * @param \Closure(int): bool $holds
     */
    public function largest(int $low, int $high, \Closure $holds): int
    {
        $top = $low;
        try {
            $this->search($top, $high, $holds);
        } catch (OutOfTime) {
            // $top holds how far it came.
        }

        return $top;
    }

    /** @param \Closure(int): bool $holds */
    private function search(int &$top, int $high, \Closure $holds): void
    {
        $low = $top;
        $step = 1;
        while ($top < $high && $holds(min($high, $low + $step))) {
            $top = min($high, $low + $step);
            $step *= 2;
        }
        $beyond = min($high + 1, $low + $step);
        while ($beyond - $top > 1) {
            $middle = intdiv($top + $beyond, 2);
            if ($holds($middle)) {
                $top = $middle;
            } else {
                $beyond = $middle;
            }
        }
    }
}
