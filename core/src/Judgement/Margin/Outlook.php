<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Planning\Plan\Group;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\Stock;
use Olvek\Core\Simulation\Run\Parameters;
use Olvek\Core\Simulation\Run\Trace;

/** A plan and what its run came to: what every margin is judged from. Of a running tank only what lies ahead counts. */
final readonly class Outlook
{
    /** Day from which water must be fit where no animals are planned yet: about when they would come. C. */
    private const USUAL_STOCKING = 28;

    /** Days before which nobody asks whether plants are lit or fed: they are just settling. J. */
    public const SETTLING = 7;

    /** First day on which the water must be fit for animals. */
    public int $from;
    public bool $stocked;
    /** The animals: as many as there are on the first day that counts, and those that come later. */
    public Stock $present;

    /** @param int $since first day that counts: 0 for a plan, today for a running tank */
    public function __construct(
        public Plan $plan,
        public Trace $trace,
        public UnitSystem $units,
        public Parameters $parameters = new Parameters(),
        public int $since = 0,
    ) {
        $this->present = 0 === $since ? $plan->stock() : $this->present();
        $first = $this->present->firstDay();
        $this->stocked = null !== $first && $first < $trace->days();
        $this->from = min($trace->days() - 1, max($since, $first ?? self::USUAL_STOCKING));
    }

    /** Whether animals of a group are in on the first day that counts, or come later. */
    public function isPresent(Group $group): bool
    {
        return \in_array($group->id, array_column($this->present->groups, 'id'), true);
    }

    /** "from week 3 on", or, of a running tank, "within 2 weeks". */
    public function when(int $day): Message
    {
        return 0 === $this->since
            ? new Message('time.week', ['week' => 1 + intdiv($day, 7)])
            : new Message('time.ahead', ['weeks' => (int) ceil(max(0, $day - $this->since) / 7)]);
    }

    /** "from day 3 on", or, of a running tank, as when() says it. */
    public function on(int $day): Message
    {
        return 0 === $this->since ? new Message('time.day', ['day' => $day]) : $this->when($day);
    }

    /** From one day to another, or to no day that the run reaches. */
    public function span(int $from, ?int $to): Message
    {
        return match (true) {
            null === $to => $this->when($from),
            0 === $this->since => new Message('time.weeks', ['from' => 1 + intdiv($from, 7), 'to' => 1 + intdiv($to, 7)]),
            default => new Message('time.for', [
                'when' => $this->when($from),
                'weeks' => (int) ceil((1 + $to - max($from, $this->since)) / 7),
            ]),
        };
    }

    public function lastDay(): int
    {
        return $this->trace->days() - 1;
    }

    private function present(): Stock
    {
        $today = $this->trace->heads[min($this->since, $this->lastDay())];
        $present = [];
        foreach ($this->plan->groups as $i => $group) {
            if ($group->day <= $this->since) {
                $present[] = $group->counted((int) round($today[$i]));
            } elseif ($group->day <= $this->lastDay()) {
                $present[] = $group;
            }
        }

        return new Stock(array_values(array_filter($present, static fn (Group $g): bool => $g->count > 0)));
    }
}
