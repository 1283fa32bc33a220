<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Suitability;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Judgement\Margin\MarginState;

/** One thing that a kind finds wanting, in a short sentence. */
final readonly class Reason
{
    public function __construct(public Need $need, public MarginState $state, public Message $message)
    {
    }
}
