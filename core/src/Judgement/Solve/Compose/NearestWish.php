<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Solve\Compose;

use Olvek\Core\Basis\Message\Message;

/** A wish that differs from another in one thing, and for which there is a plan that holds. */
final readonly class NearestWish
{
    /** @param Message $message in what it differs */
    public function __construct(public Message $message, public Wish $wish)
    {
    }
}
