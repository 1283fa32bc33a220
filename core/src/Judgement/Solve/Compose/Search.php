<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Solve\Compose;

use Olvek\Core\Judgement\Solve\Trial;

/**
 * What a search for one plan is about, and how far it has come.
 *
 * @internal
 */
final class Search
{
    private int $steps = 0;

    /** @param \Closure(int): void|null $progress told how many steps are done */
    public function __construct(
        public readonly Wish $wish,
        public readonly Taste $taste,
        public readonly Bounds $bounds,
        public readonly Trial $trial,
        private readonly ?\Closure $progress,
    ) {
    }

    /** Another plan has been tried. */
    public function step(): void
    {
        if (null !== $this->progress) {
            ($this->progress)(++$this->steps);
        }
    }
}
