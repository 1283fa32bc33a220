<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin;

use Olvek\Core\Planning\Change\Change;
use Olvek\Core\Planning\Change\Changes;

/** A change that was tried, and what it did. */
final readonly class TriedRemedy
{
    /**
     * @param string                $words  what is changed, for people
     * @param list<Change> $changes that do it
     * @param string                $before the margin as it stands
     * @param string                $after  as it would stand
     * @param string                $cost   what else it would make worse; empty where nothing
     */
    public function __construct(
        public string $words,
        public array $changes,
        public string $before,
        public string $after,
        public MarginState $state,
        public string $cost,
    ) {
    }

    /** @return array<string, string> the changes as a form carries them, typed text by place */
    public function edits(): array
    {
        return Changes::typed($this->changes);
    }
}
