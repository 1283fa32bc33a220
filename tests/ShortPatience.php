<?php

declare(strict_types=1);

namespace Olvek\Tests;

use PHPUnit\Framework\Attributes\After;
use PHPUnit\Framework\Attributes\Before;
use Psr\Cache\CacheItemPoolInterface;

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

    /** Answers that were cut short are forgotten, before the application ends: others ask the same and have time. */
    #[After(10)]
    protected function waitAsUsual(): void
    {
        $kept = self::getContainer()->get('cache.app');
        \assert($kept instanceof CacheItemPoolInterface);
        $kept->clear();
        $_ENV['OLVEK_PATIENCE'] = $_SERVER['OLVEK_PATIENCE'] = $this->usualPatience;
    }
}
