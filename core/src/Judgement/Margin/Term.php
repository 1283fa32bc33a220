<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin;

use Olvek\Core\Basis\Unit\Provenance;

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
