<?php

declare(strict_types=1);

namespace Olvek\Console\Command;

use Olvek\Core\Judgement\Margin\Band;
use Olvek\Core\Planning\Plan\Plan;

/** The tanks of a plan's band, each judged. */
final readonly class BandPieces implements Pieces
{
    public function __construct(private Plan $plan, private int $members)
    {
    }

    /** @return array<string, array{float, bool}> */
    public function piece(int $n): array
    {
        return (new Band($this->plan, $this->members))->member($n);
    }
}
