<?php

declare(strict_types=1);

namespace Olvek\Service\Work;

use Olvek\Core\Basis\TimeLimit\TimeLimit;
use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** Does one kind of job. */
#[AutoconfigureTag('olvek.job_handler')]
interface JobHandler
{
    /** @return class-string<Job> what it does */
    public static function of(): string;

    /** @return Result what came of it, or of as much of it as patience allowed */
    public function do(Job $job, TimeLimit $patience): Result;
}
