<?php

declare(strict_types=1);

namespace Olvek\Core\Margin;

/** A change that was tried, and what it did. */
final readonly class Help
{
    /**
     * @param string                $words  what is changed, for people
     * @param array<string, string> $edits  the edits that do it, typed text by place
     * @param string                $before the margin as it stands
     * @param string                $after  as it would stand
     * @param string                $cost   what else it would make worse; empty where nothing
     */
    public function __construct(
        public string $words,
        public array $edits,
        public string $before,
        public string $after,
        public State $state,
        public string $cost,
    ) {
    }
}
