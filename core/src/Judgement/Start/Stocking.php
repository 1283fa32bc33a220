<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Start;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Keeping\Log\Log;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Plan\Group;
use Olvek\Core\Planning\Plan\StartWay;

/** The plan's animals as gates, group by group: each into water that reads nothing, a week or more after the last. C. */
final class Stocking
{
    /** Days between groups. C: a week or more. */
    public const APART = 7;

    /** @var list<Group> in the order in which they come */
    public readonly array $groups;
    private int $laid = 0;
    /** Day on which the group before came, or could at the earliest. */
    private ?int $before = null;

    public function __construct(private readonly TankToday $situation)
    {
        $groups = array_filter($situation->plan->groups, static fn (Group $g): bool => $g->count > 0);
        // Who is in already came first, whatever was planned.
        $rank = static fn (Group $g): array => [
            null === $situation->firstEvent(EventKind::Stock, $g->id) ? 1 : 0,
            $situation->firstEvent(EventKind::Stock, $g->id) ?? $g->day,
            $g->kind->shape->turn(),
        ];
        usort($groups, static fn (Group $a, Group $b): int => $rank($a) <=> $rank($b));
        $this->groups = $groups;
    }

    public function first(GateSequence $course): void
    {
        if (0 === $this->laid && [] !== $this->groups) {
            $this->lay($course, $this->groups[0]);
        }
    }

    public function rest(GateSequence $course): void
    {
        while ($this->laid < \count($this->groups)) {
            $this->lay($course, $this->groups[$this->laid]);
        }
    }

    /**
     * The first day on which a group may come, as far as days decide.
     *
     * @param int|null $before day on which the one before came, or is expected; null for the first
     */
    public static function notBefore(Group $group, ?int $before, StartWay $way): int
    {
        return max($group->day, $way->soonest(), null === $before ? 0 : $before + self::APART);
    }

    private function lay(GateSequence $course, Group $group): void
    {
        $situation = $this->situation;
        $came = $situation->firstEvent(EventKind::Stock, $group->id);
        $notBefore = self::notBefore($group, $this->before, $situation->plan->preparation->way);
        $course->gate(
            "group-$group->id",
            new Message('gate.group.name', ['count' => $group->count, 'animal' => $group->kind->common]),
            0 === $this->laid
                ? new Message('gate.group.needs', ['days' => Log::FRESH])
                : new Message('gate.group.needs-next', ['days' => Log::FRESH, 'apart' => self::APART]),
            $notBefore,
            static fn (int $from): ?int => $came,
            static fn (int $from): array => $situation->isFitNow()
                ? [
                    true,
                    [new Message('gate.group.do'), $situation->standing()],
                    new QuickEntry(EventKind::Stock, (float) $group->count, new Message('button.arrived'), null, $group->id),
                ]
                : [
                    false,
                    [
                        $situation->standing(),
                        ...null === $situation->lastTest() || $situation->today - $situation->lastTest() > Log::FRESH
                            ? [new Message('gate.group.test-first')]
                            : [],
                    ],
                    null,
                ],
            true,
        );
        $this->before = $came ?? max($notBefore, $situation->today);
        ++$this->laid;
    }
}
