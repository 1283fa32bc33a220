<?php

declare(strict_types=1);

namespace Olvek\Service\Work;

/** Something that takes long to work out, told so completely that any process can do it. */
interface Job
{
    /** The same for the same question about the same plan, and for nothing else: what came of it is kept by this name. */
    public function key(): string;

    /** What it takes of a keeper's allowance (config/packages/framework.yaml, limiter "questions"): 1 for a few runs of a year. */
    public function cost(): int;
}
