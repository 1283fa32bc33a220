<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Start;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Keeping\Fitting\Forecast;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Plan\Group;

/** When a group may well come, by the forecast: what becomes of the plan's days as readings come in. */
final readonly class Expected
{
    /**
     * @param int|null $early  nine of ten tanks not before; null where it cannot be said, or not within the forecast
     * @param int|null $late   nine of ten by then
     */
    private function __construct(public Group $group, public ?int $early, public ?int $likely, public ?int $late, public bool $came)
    {
    }

    /** @return list<self> in the order in which they come */
    public static function of(TankToday $situation, Forecast $forecast): array
    {
        $way = $situation->plan->preparation->way;
        $protocol = FirstWeeks::protocol($way);
        $stocking = new Stocking($situation);
        $course = new GateSequence($situation);
        $protocol->lay($course, $situation, new Stocking($situation));
        $expected = array_map(
            static fn (Group $g): array => ['group' => $g, 'came' => null !== $situation->firstEvent(EventKind::Stock, $g->id)],
            $stocking->groups,
        );
        foreach ($forecast->quiet($situation->today) as $how => $quiet) {
            $ready = match (true) {
                $course->isThrough() => $situation->today,
                null === $quiet => null,
                default => $protocol->readyBy($situation, $quiet),
            };
            $before = null;
            foreach ($expected as $n => ['group' => $group]) {
                $before =
                    $situation->firstEvent(EventKind::Stock, $group->id) ??
                    (null === $ready ? null : max($situation->today, $ready, Stocking::notBefore($group, $before, $way)));
                $expected[$n][$how] = $before;
            }
        }

        return array_map(
            static fn (array $e): self => new self($e['group'], $e['early'] ?? null, $e['likely'] ?? null, $e['late'] ?? null, $e['came']),
            $expected,
        );
    }

    /** Days by which the plan would have to move; 0 where it stands, or where nothing can be said. */
    public function moves(): int
    {
        return null === $this->likely || $this->came ? 0 : $this->likely - $this->group->day;
    }

    /** When it may be expected. */
    public function message(): Message
    {
        if ($this->came) {
            return new Message('expected.in', ['day' => (int) $this->likely]);
        }
        if (null === $this->likely) {
            return new Message('expected.unknown', ['planned' => $this->group->day]);
        }

        return match (true) {
            $this->early === $this->late => new Message(
                'expected.day',
                ['day' => $this->likely, 'moves' => 0 === $this->moves() ? 'no' : 'yes', 'planned' => $this->group->day],
            ),
            null === $this->late => new Message(
                'expected.open',
                [
                    'day' => $this->likely,
                    'early' => (int) $this->early,
                    'moves' => 0 === $this->moves() ? 'no' : 'yes',
                    'planned' => $this->group->day,
                ],
            ),
            default => new Message(
                'expected.range',
                [
                    'day' => $this->likely,
                    'early' => (int) $this->early,
                    'late' => $this->late,
                    'moves' => 0 === $this->moves() ? 'no' : 'yes',
                    'planned' => $this->group->day,
                ],
            ),
        };
    }
}
