<?php

declare(strict_types=1);

namespace Olvek\Service\Shelf;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Judgement\Margin\MarginState;

/** A tank at a glance. */
final readonly class Summary
{
    /** @param non-empty-list<Message> $verdict */
    public function __construct(
        public MarginState $state,
        public array $verdict,
        public string $size,
        public string $drawing,
    ) {
    }
}
