<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Solve;

use Olvek\Core\Basis\TimeLimit\NoTimeLimit;
use Olvek\Core\Basis\TimeLimit\TimeLimit;
use Olvek\Core\Planning\Plan\Plan;

/** Something a keeper wants to know the other way round: not what a plan comes to, but which plan comes to it. */
interface Question
{
    /** @param TimeLimit $patience when it is spent, what is known by then is the answer, and the answer says so */
    public function solve(Plan $plan, TimeLimit $patience = new NoTimeLimit()): Answer;
}
