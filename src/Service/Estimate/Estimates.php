<?php

declare(strict_types=1);

namespace Olvek\Service\Estimate;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Judgement\Ask\AskOutcome;
use Olvek\Core\Judgement\Ask\Comparison;
use Olvek\Core\Judgement\Ask\Now;
use Olvek\Core\Judgement\Ask\Proposal;
use Olvek\Core\Judgement\Ask\Proposals;
use Olvek\Core\Judgement\Standing\EstimatedTank;
use Olvek\Core\Judgement\Standing\SimulatedTank;
use Olvek\Core\Keeping\Estimation\Books;
use Olvek\Core\Keeping\Estimation\Estimate;
use Olvek\Core\Keeping\Estimation\Smoother;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Log\TankState;
use Olvek\Service\Site\ResultCache;
use Olvek\Service\Tank\Tank;
use Olvek\Service\Work\Deadline;
use Olvek\Service\Work\Ticket;
use Olvek\Service\Work\WorkQueue;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/** Estimates of tanks, and what is asked of them: asked for part after part, and put together. Who works them out: EstimateParts. */
final readonly class Estimates
{
    public function __construct(
        private ResultCache $cache,
        private WorkQueue $queue,
        private EstimateParts $parts,
        private KeptStandings $standings,
        private TankHistories $histories,
        private Catalogue $catalogue,
        #[Autowire('%env(float:OLVEK_PATIENCE)%')] private float $patience,
    ) {
    }

    /** Null before it was filled. */
    public function life(Tank $tank, Keeper $keeper): ?TankHistory
    {
        return $this->histories->of($tank, $keeper);
    }

    /** What has been worked out of a tank; null where some is missing. */
    public function known(TankHistory $life): ?Estimate
    {
        return $this->estimated($life)?->estimate;
    }

    private function estimated(TankHistory $life): ?EstimatedTank
    {
        $estimated = $this->cache->known(EstimateParts::name($life->state));

        return $estimated instanceof EstimatedTank ? $estimated : null;
    }

    /**
     * The estimate, and how far it has come (a share, 0–1) while it is being worked out.
     *
     * @return array{Ticket, float}
     */
    public function ask(TankHistory $life, Keeper $keeper): array
    {
        $known = $this->estimated($life);
        if (null !== $known) {
            // A line that was written and taken back leaves the same tank, whose standing is asked for anew.
            $this->standings->keep($life->revision->tank, $life->day, $known);

            return [Ticket::done($known->estimate), 1.0];
        }
        $patience = new Deadline($this->patience / 2);
        // Where there is nothing to learn from, the first step is the last.
        $isPlain = [] === $this->parts->estimator($life->state)->observations;
        $parts = $isPlain ? EstimateParts::AT_ONCE : EstimateParts::PARTS;
        for ($part = 0; $part < $parts; ++$part) {
            $ticket = $this->queue->ask(new EstimateJob($life->state, $part), $keeper);
            if (!$ticket->isDone() || ($patience->isSpent() && $part < $parts - 1)) {
                return [$ticket->isDone() ? Ticket::underway() : $ticket, $part / $parts];
            }
        }

        $estimated = $this->gathered($life->state);
        $this->standings->keep($life->revision->tank, $life->day, $estimated);

        return [Ticket::done($estimated->estimate), 1.0];
    }

    /**
     * A proposal tried on the tanks of an estimate.
     *
     * @param array<string, string> $edits of the plan, as typed; of days to come alone (FutureOnly)
     */
    public function compare(TankHistory $life, Estimate $estimate, Plan $then, array $edits, Keeper $keeper): Ticket
    {
        $tanks = [];
        $patience = new Deadline($this->patience / 2);
        foreach (array_chunk($estimate->scores, EstimateParts::TANKS) as $part => $scores) {
            $ticket = $this->queue->ask(new AskJob($life->state, $scores, $edits, $part), $keeper);
            if (!$ticket->isDone() || ($patience->isSpent() && $part < EstimateParts::AT_ONCE - 1)) {
                return $ticket->isDone() ? Ticket::underway() : $ticket;
            }
            /** @var list<SimulatedTank> $of */
            $of = $ticket->value;
            $tanks = [...$tanks, ...$of];
        }

        return Ticket::done(Comparison::of(
            $then,
            array_map(AskOutcome::all(...), $estimate->asNow),
            array_map(AskOutcome::all(...), $estimate->ahead(SimulatedTank::members($tanks))),
            $this->estimated($life)->standing->sound ?? [],
            SimulatedTank::prospects($tanks),
        ));
    }

    /** Where nitrogen came from and went in a stretch of days; kept, since it takes a run. Null of what no run reaches. */
    public function books(TankHistory $life, int $from, int $to): ?Books
    {
        if ($to >= Plan::LAST_DAY) {
            return null;
        }
        $known = $this->known($life);
        $books = $this->cache->get(
            implode('.', ['books', EstimateParts::name($life->state), $from, $to, null === $known ? 'plain' : 'read']),
            fn (): Books => $this->parts->estimator($life->state)->books($known->scores ?? [[]], $from, $to),
        );
        \assert($books instanceof Books);

        return $books;
    }

    /**
     * What is usually asked of a tank; kept, since who may come takes a run of the year.
     *
     * @return list<Proposal>
     */
    public function proposals(TankHistory $life, Estimate $estimate, UnitSystem $units): array
    {
        $proposals = $this->cache->get(
            implode('.', ['proposals', EstimateParts::name($life->state), $units->value]),
            fn (): array => Proposals::of(
                Now::of($life->plan, $life->log, $life->day, $estimate),
                $life->day + 1,
                $this->catalogue,
                $units,
            ),
        );

        /** @var list<Proposal> $proposals */
        return $proposals;
    }

    private function gathered(TankState $state): EstimatedTank
    {
        $estimated = $this->cache->get(EstimateParts::name($state), function () use ($state): EstimatedTank {
            $estimator = $this->parts->estimator($state);
            $last = [] === $estimator->observations ? 0 : Smoother::STEPS;

            return EstimatedTank::of(
                $estimator,
                $estimator->prior(),
                SimulatedTank::members($this->parts->tanks($state, 0)),
                $this->parts->scores($state, $estimator, $last),
                $this->parts->tanks($state, $last),
            );
        });
        \assert($estimated instanceof EstimatedTank);

        return $estimated;
    }
}
