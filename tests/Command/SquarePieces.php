<?php

declare(strict_types=1);

namespace Olvek\Tests\Command;

use Olvek\Console\Command\Pieces;

/** The square of each number; dies at one of them. */
final readonly class SquarePieces implements Pieces
{
    public function __construct(private int $deadly = -1)
    {
    }

    public function piece(int $n): int
    {
        if ($n === $this->deadly) {
            exit(9);
        }

        return $n * $n;
    }
}
