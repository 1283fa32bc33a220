<?php

declare(strict_types=1);

namespace Olvek\Estimate;

use Olvek\Work\Job;

/** A few of the tanks of an estimate, with something done in days to come. */
final readonly class AskJob implements Job
{
    /** @param array<string, string> $edits of the plan, as typed */
    public function __construct(
        public string $tank,
        public int $head,
        public string $mark,
        public int $day,
        public array $edits,
        public int $part,
    ) {
    }

    public function key(): string
    {
        return implode('.', ['ask', $this->mark, $this->head, $this->day, hash('xxh128', serialize($this->edits)), $this->part]);
    }

    public function cost(): int
    {
        return 1;
    }
}
