<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Solve\Compose;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Judgement\Margin\Harm\Harm;

/** A part of a wish that a plan does not grant. */
final readonly class Unmet
{
    /**
     * @param Message      $what   that was wished
     * @param list<Message> $why   it is not in the plan
     * @param Message|null $needed what would have to be otherwise; null where nobody knows
     * @param string|null  $kind   id of the plant or animal that it is about
     */
    public function __construct(public Message $what, public array $why, public ?Message $needed = null, public ?string $kind = null)
    {
    }

    /** What comes to harm, and what would avert it. */
    public static function ofHarm(Harm $harm): self
    {
        return new self(new Message('unmet.harm', ['what' => $harm->id->value]), [$harm->message], $harm->averts[0] ?? null);
    }
}
