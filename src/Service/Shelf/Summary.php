<?php

declare(strict_types=1);

namespace Olvek\Service\Shelf;

use Olvek\Core\Judgement\Margin\State;

/** A tank at a glance. */
final readonly class Summary
{
    public function __construct(
        public State $state,
        public string $verdict,
        public string $size,
        public string $drawing,
    ) {
    }
}
