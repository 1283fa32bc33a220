<?php

declare(strict_types=1);

namespace Olvek\Core\Solve;

use Olvek\Core\Plan\Plan;

/** Something a keeper wants to know the other way round: not what a plan comes to, but which plan comes to it. */
interface Question
{
    public function solve(Plan $plan): Answer;
}
