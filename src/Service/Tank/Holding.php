<?php

declare(strict_types=1);

namespace Olvek\Service\Tank;

/** How much a keeper holds, or may hold at most. */
final readonly class Holding
{
    /** @param int $bytes of plans and photos */
    public function __construct(public int $tanks = 0, public int $lines = 0, public int $photos = 0, public int $bytes = 0)
    {
    }
}
