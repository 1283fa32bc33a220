<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Ask;

/** One outcome of two ways to go on. */
final readonly class Line
{
    /**
     * @param array{float, float, float} $asNow   low, middle, high of the tanks that go on as now
     * @param array{float, float, float} $then    and of the same tanks where it is done
     * @param array{float, float, float} $differs of the differences, tank by tank
     * @param float|null                 $limit   what it must not pass
     * @param float                      $held    share (0–1) of tanks that keep to it as now
     * @param float                      $holds   and where it is done
     */
    public function __construct(
        public AskOutcome $outcome,
        public array $asNow,
        public array $then,
        public array $differs,
        public ?float $limit,
        public float $held,
        public float $holds,
    ) {
    }

    /** Whether eight of ten tanks agree on which way it goes: the difference is larger than the doubt. */
    public function isClear(): bool
    {
        return $this->differs[0] > 0.0 || $this->differs[2] < 0.0;
    }
}
