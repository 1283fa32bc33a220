<?php

declare(strict_types=1);

namespace Olvek\Core\Keeping\Log;

use Olvek\Core\Nature\Water\Measure;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Plan\Clump;
use Olvek\Core\Planning\Plan\Group;
use Olvek\Core\Planning\Plan\Plan;

/** What is in a tank today by its logbook: animals and plants, as last counted, with what came and went since. */
final readonly class Stock
{
    public function __construct(private Plan $plan, private Log $log, private int $today)
    {
    }

    /** Heads of a group; null where they have not come. */
    public function heads(Group $group): ?int
    {
        $changes = [];
        foreach ($this->log->upTo($this->today)->events as $event) {
            if ($event->of === $group->id) {
                $changes[] = [$event->day, match ($event->kind) {
                    EventKind::Stock => (int) $event->amount,
                    EventKind::TakeOut, EventKind::Lost => -(int) $event->amount,
                    default => 0,
                }];
            }
        }
        $came = array_filter($changes, static fn (array $c): bool => $c[1] > 0);
        $counted = $this->log->upTo($this->today)->latest(Measure::Heads, $group->id);
        if (null !== $counted) {
            return self::after($changes, $counted->day, (int) $counted->value);
        }

        // As planned, where nobody wrote down that they came.
        $planned = $group->day <= $this->today ? self::after($changes, -1, $group->count) : null;

        return [] !== $came ? self::after($changes, -1, 0) : $planned;
    }

    /** Pieces of a clump; null where it is not planted yet. */
    public function pieces(Clump $clump): ?int
    {
        $pieces = $clump->day <= $this->today ? $clump->pieces : null;
        $counted = $this->log->upTo($this->today)->latest(Measure::Pieces, $clump->id);
        $changes = [];
        foreach ($this->log->upTo($this->today)->events as $event) {
            if ($event->of === $clump->id && EventKind::Plant === $event->kind) {
                $changes[] = [$event->day, (int) $event->amount];
            } elseif ($event->of === $clump->id && EventKind::Remove === $event->kind) {
                return $counted?->day > $event->day ? (int) $counted->value : 0;
            }
        }

        return null !== $counted
            ? self::after($changes, $counted->day, (int) $counted->value)
            : (null === $pieces ? null : self::after($changes, -1, $pieces));
    }

    /** Money spent on it, as written down. */
    public function spent(): float
    {
        return array_sum(array_map(
            static fn (LoggedEvent $e): float => $e->amount,
            $this->log->upTo($this->today)->of(EventKind::Task, LogAction::SPENT),
        ));
    }

    /** @return list<Group> */
    public function groups(): array
    {
        return $this->plan->groups;
    }

    /** @return list<Clump> */
    public function clumps(): array
    {
        return $this->plan->clumps;
    }

    /** @param list<array{int, int}> $changes days and by how many */
    private static function after(array $changes, int $since, int $from): int
    {
        foreach ($changes as [$day, $by]) {
            $from = $day > $since ? max(0, $from + $by) : $from;
        }

        return $from;
    }
}
