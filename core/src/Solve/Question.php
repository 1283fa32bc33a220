<?php

declare(strict_types=1);

namespace Olvek\Core\Solve;

use Olvek\Core\Patience\Endless;
use Olvek\Core\Patience\Patience;
use Olvek\Core\Plan\Plan;

/** Something a keeper wants to know the other way round: not what a plan comes to, but which plan comes to it. */
interface Question
{
    /** @param Patience $patience when it is spent, what is known by then is the answer, and the answer says so */
    public function solve(Plan $plan, Patience $patience = new Endless()): Answer;
}
