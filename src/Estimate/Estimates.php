<?php

declare(strict_types=1);

namespace Olvek\Estimate;

use Olvek\Account\Keeper;
use Olvek\Account\Today;
use Olvek\Build\BuildRecords;
use Olvek\Core\Ask\Comparison;
use Olvek\Core\Ask\Now;
use Olvek\Core\Ask\Outcome;
use Olvek\Core\Ask\Proposal;
use Olvek\Core\Ask\Proposals;
use Olvek\Core\Catalogue\Catalogue;
use Olvek\Core\Change\Editor;
use Olvek\Core\Estimation\Books;
use Olvek\Core\Estimation\Estimate;
use Olvek\Core\Estimation\Estimator;
use Olvek\Core\Estimation\Member;
use Olvek\Core\Estimation\Smoother;
use Olvek\Core\Plan\Plan;
use Olvek\Core\Unit\UnitSystem;
use Olvek\Editing\TankEditor;
use Olvek\Log\Logbook;
use Olvek\Site\ResultCache;
use Olvek\Tank\Tank;
use Olvek\Tank\TankRepository;
use Olvek\Work\Deadline;
use Olvek\Work\Ticket;
use Olvek\Work\WorkQueue;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Uid\Uuid;

/** Estimates of tanks, and what is asked of them, worked out a few of their tanks at a time, each part kept. */
final readonly class Estimates
{
    /** Tanks in a part, and parts of a step. */
    private const TANKS = 12;
    private const AT_ONCE = Estimator::MEMBERS / self::TANKS;
    public const PARTS = (Smoother::STEPS + 1) * self::AT_ONCE;

    public function __construct(
        private ResultCache $kept,
        private WorkQueue $desk,
        private TankRepository $tanks,
        private TankEditor $road,
        private BuildRecords $book,
        private Logbook $logbook,
        private Today $today,
        private Editor $editor,
        private Catalogue $catalogue,
        #[Autowire('%env(float:OLVEK_PATIENCE)%')] private float $patience,
    ) {
    }

    /** Null before it was filled. */
    public function life(Tank $tank, Keeper $keeper): ?Life
    {
        $filled = $this->book->filledOn($tank);
        if (null === $filled) {
            return null;
        }

        return $this->lived($tank, $filled, max(0, Today::between($filled, $this->today->of($keeper))));
    }

    /** What has been worked out of a tank; null where some is missing. */
    public function known(Tank $tank, Life $life): ?Estimate
    {
        $estimate = $this->kept->known(self::name($this->job($tank, $life, 0)));

        return $estimate instanceof Estimate ? $estimate : null;
    }

    /**
     * The estimate, and how far it has come (a share, 0–1) while it is being worked out.
     *
     * @return array{Ticket, float}
     */
    public function ask(Tank $tank, Life $life, Keeper $keeper): array
    {
        $known = $this->known($tank, $life);
        if (null !== $known) {
            return [Ticket::done($known), 1.0];
        }
        $patience = new Deadline($this->patience / 2);
        // Where there is nothing to learn from, the first step is the last.
        $parts = [] === $this->estimator($life)->observations ? self::AT_ONCE : self::PARTS;
        for ($part = 0; $part < $parts; ++$part) {
            $ticket = $this->desk->ask($this->job($tank, $life, $part), $keeper);
            if (!$ticket->isDone() || ($patience->isSpent() && $part < $parts - 1)) {
                return [$ticket->isDone() ? Ticket::underway() : $ticket, $part / $parts];
            }
        }

        return [Ticket::done($this->gathered($tank, $life)), 1.0];
    }

    /**
     * A proposal tried on the tanks of an estimate.
     *
     * @param array<string, string> $edits of the plan, as typed; of days to come alone (FutureOnly)
     */
    public function compare(Tank $tank, Life $life, Estimate $estimate, Plan $then, array $edits, Keeper $keeper): Ticket
    {
        $members = [];
        $patience = new Deadline($this->patience / 2);
        for ($part = 0; $part < self::AT_ONCE; ++$part) {
            $ticket = $this->desk->ask(
                new AskJob($tank->id()->toRfc4122(), $life->revision->number, $life->mark, $life->day, $edits, $part),
                $keeper,
            );
            if (!$ticket->isDone() || ($patience->isSpent() && $part < self::AT_ONCE - 1)) {
                return $ticket->isDone() ? Ticket::underway() : $ticket;
            }
            /** @var list<Member> $of */
            $of = $ticket->value;
            $members = [...$members, ...$of];
        }

        return Ticket::done(Comparison::of(
            $then,
            array_map(Outcome::all(...), $estimate->asNow),
            array_map(Outcome::all(...), $estimate->ahead($members)),
        ));
    }

    /** Where nitrogen came from and went in a stretch of days; kept, since it takes a run. Null of what no run reaches. */
    public function books(Tank $tank, Life $life, int $from, int $to): ?Books
    {
        if ($to >= Plan::LAST_DAY) {
            return null;
        }
        $known = $this->known($tank, $life);
        $books = $this->kept->get(
            implode('.', ['books', self::name($this->job($tank, $life, 0)), $from, $to, null === $known ? 'plain' : 'read']),
            fn (): Books => $this->estimator($life)->books($known->scores ?? [[]], $from, $to),
        );
        \assert($books instanceof Books);

        return $books;
    }

    /**
     * What is usually asked of a tank; kept, since who may come takes a run of the year.
     *
     * @return list<Proposal>
     */
    public function proposals(Tank $tank, Life $life, Estimate $estimate, UnitSystem $units): array
    {
        $proposals = $this->kept->get(
            implode('.', ['proposals', self::name($this->job($tank, $life, 0)), $units->value]),
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

    /**
     * One part of an estimate, by a process that may know nothing of it but the job.
     *
     * @return list<Member>
     */
    public function part(EstimateJob $job): array
    {
        [$tank, $life] = $this->found($job->tank, $job->day);
        $estimator = $this->estimator($life);
        $step = intdiv($job->part, self::AT_ONCE);
        $scores = $this->scores($tank, $life, $estimator, $step);
        $members = [];
        for ($n = ($job->part % self::AT_ONCE) * self::TANKS; $n < ($job->part % self::AT_ONCE + 1) * self::TANKS; ++$n) {
            $members[] = $estimator->run($scores[$n], 0 === $step || Smoother::STEPS === $step);
        }

        return $members;
    }

    /** @return list<Member> one part of the tanks with something done */
    public function asked(AskJob $job): array
    {
        [$tank, $life] = $this->found($job->tank, $job->day);
        $then = $this->editor->apply($life->plan, $job->edits, UnitSystem::Metric)->plan;
        $scores = $this->known($tank, $life)->scores ?? throw new \RuntimeException('The estimate is gone.');
        $estimator = $this->estimator($life);

        return array_map(
            static fn (array $of): Member => $estimator->run($of, true, $then),
            \array_slice($scores, $job->part * self::TANKS, self::TANKS),
        );
    }

    /**
     * Where the tanks stand at the beginning of a step.
     *
     * @return list<array<string, float>>
     */
    private function scores(Tank $tank, Life $life, Estimator $estimator, int $step): array
    {
        if (0 === $step) {
            return $estimator->prior();
        }
        $scores = $this->kept->get(
            self::name($this->job($tank, $life, 0))."scores$step",
            fn (): array => $estimator->step(
                $this->scores($tank, $life, $estimator, $step - 1),
                $this->members($tank, $life, $step - 1),
                $this->members($tank, $life, 0),
                $step - 1,
            ),
        );

        /** @var list<array<string, float>> $scores */
        return $scores;
    }

    /** @return list<Member> of a step whose parts are all known */
    private function members(Tank $tank, Life $life, int $step): array
    {
        $parts = $this->kept->all(array_map(
            fn (int $n): string => WorkQueue::name($this->job($tank, $life, $step * self::AT_ONCE + $n)),
            range(0, self::AT_ONCE - 1),
        )) ?? throw new \RuntimeException('A part of the step before is missing.');
        /** @var list<array{list<Member>}> $parts */

        return array_merge(...array_column($parts, 0));
    }

    private function gathered(Tank $tank, Life $life): Estimate
    {
        $estimate = $this->kept->get(self::name($this->job($tank, $life, 0)), function () use ($tank, $life): Estimate {
            $estimator = $this->estimator($life);
            $last = [] === $estimator->observations ? 0 : Smoother::STEPS;

            return Estimate::of(
                $estimator,
                $estimator->prior(),
                $this->members($tank, $life, 0),
                $this->scores($tank, $life, $estimator, $last),
                $this->members($tank, $life, $last),
            );
        });
        \assert($estimate instanceof Estimate);

        return $estimate;
    }

    /** @return array{Tank, Life} */
    private function found(string $id, int $day): array
    {
        $tank = $this->tanks->find(Uuid::fromString($id));
        $filled = null === $tank ? null : $this->book->filledOn($tank);
        if (null === $tank || null === $filled) {
            throw new \RuntimeException('The tank is gone, or its filling was taken back.');
        }

        return [$tank, $this->lived($tank, $filled, $day)];
    }

    private function lived(Tank $tank, \DateTimeImmutable $filled, int $day): Life
    {
        $head = $this->tanks->head($tank);
        $mark = $this->logbook->mark($tank);

        return new Life(
            $filled,
            $day,
            $head,
            $this->road->plan($head)->filledOn($filled),
            $this->logbook->since($tank, $filled, $day, $mark),
            $mark,
        );
    }

    private function estimator(Life $life): Estimator
    {
        return new Estimator($life->plan, $life->log, $life->day);
    }

    private function job(Tank $tank, Life $life, int $part): EstimateJob
    {
        return new EstimateJob($tank->id()->toRfc4122(), $life->revision->number, $life->mark, $life->day, $part);
    }

    private static function name(EstimateJob $job): string
    {
        return WorkQueue::name($job).'.whole';
    }
}
