<?php

declare(strict_types=1);

namespace Olvek\Site;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\ControllerArgumentsEvent;

/**
 * Lets go of the session before a controller begins: PHP locks it, and a keeper's next click must not wait for a long answer to the last.
 * Whoever reads or writes it later in the request opens it again for that moment.
 */
#[AsEventListener]
final class SessionLock
{
    public function __invoke(ControllerArgumentsEvent $event): void
    {
        $request = $event->getRequest();
        if ($event->isMainRequest() && $request->hasSession(true) && $request->getSession()->isStarted()) {
            $request->getSession()->save();
        }
    }
}
