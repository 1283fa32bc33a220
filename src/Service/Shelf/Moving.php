<?php

declare(strict_types=1);

namespace Olvek\Service\Shelf;

use Olvek\Core\Keeping\Log\Stock;
use Olvek\Core\Planning\Change\Giving;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Account\Today;
use Olvek\Service\Editing\TankEditor;
use Olvek\Service\Log\Logbook;
use Olvek\Service\Log\LogReader;
use Olvek\Service\Tank\Tank;
use Olvek\Service\Tank\TankRepository;

/** What went from one tank into another today, in the logbooks of both. */
final readonly class Moving
{
    public function __construct(
        private LogReader $logReader,
        private Logbook $logbook,
        private Today $today,
        private TankRepository $tanks,
        private TankEditor $editor,
    ) {
    }

    /** @return array{int, int}|null today in either tank, by days after its filling; null where one is not filled */
    public function days(Tank $from, ?Tank $to, Keeper $keeper): ?array
    {
        $days = [];
        foreach ([$from, $to] as $tank) {
            $filled = null === $tank ? null : $tank->filledOn();
            if (null === $filled) {
                return null;
            }
            // Plans know three years: of an older tank the change stands on their last day, and in the logbook on its own.
            $days[] = max(0, min(Plan::LAST_DAY, Today::between($filled, $this->today->of($keeper))));
        }

        return [$days[0], $days[1]];
    }

    /**
     * @return array<string, int> how many animals of each group can be given, by its id: as many as there are by the logbook, or as
     *                            planned, less those that are planned to go out already
     */
    public function heads(Tank $tank, Plan $plan, Keeper $keeper): array
    {
        $filled = $tank->filledOn();
        $day = null === $filled ? -1 : max(0, Today::between($filled, $this->today->of($keeper)));
        $stock = null === $filled ? null : new Stock($plan, $this->logReader->since($tank, $filled, $day), $day);
        $heads = [];
        foreach ($plan->groups as $group) {
            $promised = 0;
            foreach ($plan->events as $planned) {
                // What has gone by its day is gone by the logbook.
                if (EventKind::TakeOut === $planned->kind && $planned->of === $group->id && $planned->day > $day) {
                    $promised += (int) ($planned->values['count'] ?? 0);
                }
            }
            $heads[$group->id] = max(0, ($stock?->heads($group) ?? $group->count) - $promised);
        }

        return $heads;
    }

    /** Days after the filling of a tank; null where it is not filled. */
    public function day(Tank $tank, Keeper $keeper): ?int
    {
        $filled = $tank->filledOn();

        return null === $filled ? null : max(0, min(Plan::LAST_DAY, Today::between($filled, $this->today->of($keeper))));
    }

    /**
     * Writes it down on both sides; both plans have it already.
     *
     * @param Plan $before of the tank that takes, as it was
     */
    public function log(Tank $from, Tank $to, Giving $giving, Plan $before, Keeper $keeper): void
    {
        $on = $this->today->of($keeper);
        $after = $this->editor->plan($this->tanks->head($to));
        $newGroups = \array_slice($after->groups, \count($before->groups));
        $newClumps = \array_slice($after->clumps, \count($before->clumps));
        foreach ($giving->groups() as $n => [$group, $count]) {
            $words = "$count × {$group->kind->common}";
            $this->logbook->write($from, $on, EventKind::TakeOut, (float) $count, $group->id, "$words moved to {$to->name()}");
            $this->logbook->write(
                $to,
                $on,
                EventKind::Stock,
                (float) $count,
                $newGroups[$n]->id ?? null,
                "$words came from {$from->name()}",
            );
        }
        foreach ($giving->clumps() as $n => [$clump, $pieces]) {
            $words = "$pieces × {$clump->kind->common}";
            $all = $pieces >= $clump->pieces;
            $this->logbook->write(
                $from,
                $on,
                $all ? EventKind::Remove : EventKind::Trim,
                $all ? 0.0 : round($pieces / $clump->pieces, 3),
                $clump->id,
                "$words moved to {$to->name()}",
            );
            // The plan plants them today by itself: the line tells whence, and counts nothing.
            $this->logbook->write($to, $on, EventKind::Task, 0.0, 'moved-'.($newClumps[$n]->id ?? ''), "$words came from {$from->name()}");
        }
    }
}
