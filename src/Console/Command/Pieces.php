<?php

declare(strict_types=1);

namespace Olvek\Console\Command;

/** Numbered pieces of work that other processes can do; it and its results travel serialized. */
interface Pieces
{
    public function piece(int $n): mixed;
}
