<?php

declare(strict_types=1);

namespace Olvek\Work;

use Olvek\Core\Patience\Patience;
use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** Does one kind of job. */
#[AutoconfigureTag('olvek.doer')]
interface Doer
{
    /** @return class-string<Job> what it does */
    public static function of(): string;

    /** @return Result what came of it, or of as much of it as patience allowed */
    public function do(Job $job, Patience $patience): Result;
}
