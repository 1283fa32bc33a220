<?php

declare(strict_types=1);

namespace Olvek\Service\Shelf;

use Olvek\Core\Judgement\Margin\MarginState;

/** A tank at a glance. */
final readonly class Summary
{
    public function __construct(
        public MarginState $state,
        public string $verdict,
        public string $size,
        public string $drawing,
    ) {
    }
}
