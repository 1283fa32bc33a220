<?php

declare(strict_types=1);

namespace Olvek\Service\Judging;

use Olvek\Service\Work\Job;

/** An inverse question about a plan. */
final readonly class AnswerJob implements Job
{
    /** @param string $plan its document */
    public function __construct(public string $plan, public string $question, public ?string $kind)
    {
    }

    public function key(): string
    {
        return implode('.', ['answer', $this->question, $this->kind ?? '', hash('xxh128', $this->plan)]);
    }

    public function cost(): int
    {
        return 10;
    }
}
