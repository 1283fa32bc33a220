<?php

declare(strict_types=1);

namespace Olvek\Core\Margin;

use Olvek\Core\Unit\Provenance;

/** One number behind a margin, as its "why" shows it. */
final readonly class Term
{
    public function __construct(
        public string $label,
        public string $value,
        public ?Provenance $provenance = null,
        public string $source = '',
    ) {
    }
}
