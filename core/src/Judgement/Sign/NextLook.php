<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Sign;

/** What would tell the likeliest causes apart. */
final readonly class NextLook
{
    /**
     * @param FactKind $fact  that one would find out
     * @param float    $tells share (0–1) of the doubt among causes that it is likely to take away
     * @param string   $then  what it would come to: "If so, nitrogen is short: 80 % …"
     */
    public function __construct(public FactKind $fact, public float $tells, public string $then)
    {
    }
}
