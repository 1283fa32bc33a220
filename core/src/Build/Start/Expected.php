<?php

declare(strict_types=1);

namespace Olvek\Core\Build\Start;

use Olvek\Core\Fit\Forecast;
use Olvek\Core\Log\DeedKind;
use Olvek\Core\Plan\Group;

/** When each group may well come, by the forecast: what becomes of the plan's days as readings come in. */
final readonly class Expected
{
    /** @param int|null $early nine of ten tanks not before; null where it cannot be said, or not within the forecast */
    private function __construct(public Group $group, public ?int $early, public ?int $likely, public ?int $late, public bool $came)
    {
    }

    /** @return list<self> by the order in which they come */
    public static function of(Situation $situation, Forecast $forecast): array
    {
        $weeks = FirstWeeks::of($situation);
        $protocol = FirstWeeks::protocol($situation->plan->preparation->way);
        $fit = $forecast->quiet($situation->today);
        $waits = array_filter($weeks->gates, static fn (Gate $g): bool => !str_starts_with($g->id, 'group-') && !\in_array($g->id, ['settled', 'feed'], true) && GateState::Passed !== $g->state);
        $ready = [];
        foreach ($fit as $how => $day) {
            $ready[$how] = [] === $waits ? $situation->today : (null === $day ? null : $protocol->readyBy($situation, $day));
        }
        $expected = [];
        $before = null;
        foreach ((new Stocking($situation))->groups as $group) {
            $came = $situation->firstDeed(DeedKind::Stock, $group->id);
            $day = static fn (string $how): ?int => null !== $came ? $came : (null === $ready[$how] ? null : max($group->day, $situation->today, $ready[$how]));
            $days = ['early' => $day('early'), 'likely' => $day('likely'), 'late' => $day('late')];
            if (null !== $before && null === $came) {
                // As far apart as planned, and never less than a week.
                $apart = max(Stocking::APART, $group->day - $before->group->day);
                foreach (['early' => $before->early, 'likely' => $before->likely, 'late' => $before->late] as $how => $last) {
                    $days[$how] = null === $days[$how] || null === $last ? null : max($days[$how], $last + ($last > $before->group->day || $before->came ? $apart : Stocking::APART));
                }
            }
            $before = new self($group, $days['early'], $days['likely'], $days['late'], null !== $came);
            $expected[] = $before;
        }

        return $expected;
    }

    /** Days by which the plan would have to move; 0 where it stands, or where nothing can be said. */
    public function moves(): int
    {
        return null === $this->likely || $this->came ? 0 : $this->likely - $this->group->day;
    }
}
