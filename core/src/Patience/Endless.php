<?php

declare(strict_types=1);

namespace Olvek\Core\Patience;

/** Waits until all has been tried. */
final class Endless implements Patience
{
    public function isSpent(): bool
    {
        return false;
    }
}
