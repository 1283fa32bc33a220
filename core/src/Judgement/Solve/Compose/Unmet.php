<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Solve\Compose;

/** A part of a wish that a plan does not grant. */
final readonly class Unmet
{
    /**
     * @param string $what   that was wished
     * @param string $why    it is not in the plan
     * @param string $needed what would have to be otherwise; empty where nobody knows
     */
    public function __construct(public string $what, public string $why, public string $needed = '')
    {
    }
}
