<?php

declare(strict_types=1);

namespace Olvek\Core\Keeping\Estimation;

use Olvek\Core\Nature\Water\Measure;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Trace;

/** Something that was read, as it is held against a run. */
final readonly class Observation
{
    /**
     * @param int      $day     of the run whose end it is held against
     * @param float    $value   on its scale
     * @param float    $noise   standard deviation on it
     * @param int|null $clump   of which it was read
     * @param int      $since   day from which what dried up is counted
     * @param bool     $nothing whether nothing showed: all that would not have shown agrees
     * @param int      $shared  readings of it in the same days, of which each counts for so much less
     */
    public function __construct(
        public int $day,
        public Measure $measure,
        public float $value,
        public float $noise,
        public ?int $clump = null,
        public int $since = 0,
        public bool $nothing = false,
        public int $shared = 1,
    ) {
    }

    /** The same, believed more or less. */
    public function withNoise(float $noise): self
    {
        return new self($this->day, $this->measure, $this->value, $noise, $this->clump, $this->since, $this->nothing, $this->shared);
    }

    /**
     * What a kit would read of a run, on the reading's scale.
     *
     * @param float $bias normal score of what that kit reads off always
     */
    public function predicted(Trace $trace, Plan $plan, float $bias = 0.0): float
    {
        $day = max(0, min($trace->days() - 1, $this->day));
        $base = match ($this->measure) {
            Measure::Level => array_sum(\array_slice($trace->columns['evaporated'], $this->since, max(1, $day - $this->since))),
            Measure::Height => $trace->on($day)->height($plan, (int) $this->clump),
            Measure::Pieces => $trace->clumps[$day][(int) $this->clump] / max(
                1e-9,
                $plan->clumps[(int) $this->clump]->kind->dryPerPiece->value,
            ),
            Measure::Cover => min(1.0, $trace->columns['cover'][$day]),
            default => $trace->columns[$this->measure->measured()->column][$day],
        };
        $scale = Scale::of($this->measure);
        $predicted = $scale->from($base) + $bias * $scale->bias;

        return $this->nothing ? max($this->value, $predicted) : $predicted;
    }
}
