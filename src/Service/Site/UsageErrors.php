<?php

declare(strict_types=1);

namespace Olvek\Service\Site;

use Symfony\Component\Console\Event\ConsoleErrorEvent;
use Symfony\Component\Console\Exception\ExceptionInterface;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;

/**
 * Commands called wrongly end with 2, so that scripts can tell a wrong call (2) from a refused plan (1). It is no event of the server's:
 * the framework's listener, which would write it into the log with a trace, does not hear of it.
 */
#[AsEventListener(priority: 10)]
final class UsageErrors
{
    public function __invoke(ConsoleErrorEvent $event): void
    {
        if ($event->getError() instanceof ExceptionInterface) {
            $event->setExitCode(2);
            $event->stopPropagation();
        }
    }
}
