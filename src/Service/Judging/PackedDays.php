<?php

declare(strict_types=1);

namespace Olvek\Service\Judging;

use Olvek\Core\Simulation\Run\Snapshot;
use Olvek\Core\Simulation\Run\Trace;

/** What shows in a tank on each day of a run, packed small enough to be kept. */
final readonly class PackedDays
{
    private function __construct(private string $days, private int $clumps, private int $groups, public int $length)
    {
    }

    public static function of(Trace $trace): self
    {
        $days = '';
        for ($day = 0; $day < $trace->days(); ++$day) {
            $s = $trace->on($day);
            $days .= pack(
                'g*',
                $s->cover,
                $s->film,
                $s->brown,
                $s->green,
                $s->tannin,
                $s->lampHours,
                $s->lampShare,
                $s->light,
                ...$s->clumps,
                ...$s->heads,
            );
        }
        $first = $trace->on(0);

        return new self($days, \count($first->clumps), \count($first->heads), $trace->days());
    }

    /** The day asked for; the last where the run is shorter. */
    public function on(int $day): Snapshot
    {
        $day = max(0, min($this->length - 1, $day));
        $size = 4 * (8 + $this->clumps + $this->groups);
        $read = unpack('g'.intdiv($size, 4), $this->days, $day * $size);
        \assert(false !== $read);
        /** @var list<float> $values */
        $values = array_values($read);
        [$cover, $film, $brown, $green, $tannin, $hours, $share, $light] = $values;

        return new Snapshot(
            $day,
            \array_slice($values, 8, $this->clumps),
            \array_slice($values, 8 + $this->clumps, $this->groups),
            $cover,
            $film,
            $brown,
            $green,
            $tannin,
            $hours,
            $share,
            $light,
        );
    }
}
