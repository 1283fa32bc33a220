<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin\Harm;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Judgement\Margin\MarginState;
use Olvek\Core\Planning\Change\Change;
use Olvek\Core\Planning\Change\Changes;

/** A change that was tried and averts a harm, or makes it tight where it failed; it brings about no other that fails. */
final readonly class Averted
{
    /**
     * @param Message      $message what is changed
     * @param list<Change> $changes that do it
     * @param MarginState  $state   of the harm then
     * @param MarginState  $tank    of the whole tank then
     */
    public function __construct(
        public Message $message,
        public array $changes,
        public MarginState $state,
        public MarginState $tank,
        public Cost $cost,
    ) {
    }

    /** @return array<string, string> the changes as a form carries them, typed text by place */
    public function edits(): array
    {
        return Changes::typed($this->changes);
    }
}
