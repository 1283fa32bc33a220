<?php

declare(strict_types=1);

namespace Olvek\Tests;

use PHPUnit\Framework\Attributes\After;
use PHPUnit\Framework\Attributes\Before;

/** Tests of what is answered when the time for an answer is over. */
trait ShortPatience
{
    private mixed $usualPatience = null;

    /** Before the application is started, which reads it. */
    #[Before(10)]
    protected function waitNotLong(): void
    {
        $this->usualPatience = $_ENV['OLVEK_PATIENCE'] ?? null;
        $_ENV['OLVEK_PATIENCE'] = $_SERVER['OLVEK_PATIENCE'] = '1';
    }

    #[After]
    protected function waitAsUsual(): void
    {
        $_ENV['OLVEK_PATIENCE'] = $_SERVER['OLVEK_PATIENCE'] = $this->usualPatience;
    }
}
