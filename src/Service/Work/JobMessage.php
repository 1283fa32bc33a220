<?php

declare(strict_types=1);

namespace Olvek\Service\Work;

/** A job on its way to whoever does it: the request itself, or a worker. */
final readonly class JobMessage
{
    /** @param string $keeper whose turn it is */
    public function __construct(public Job $job, public string $keeper)
    {
    }
}
