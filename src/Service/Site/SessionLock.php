<?php

declare(strict_types=1);

namespace Olvek\Service\Site;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\RequestStack;
use Symfony\Component\HttpKernel\Event\ControllerArgumentsEvent;
use Symfony\Component\Security\Http\Event\CheckPassportEvent;

/**
 * Lets go of the session before a controller begins: PHP locks it, and a keeper's next click must not wait for a long answer to the last.
 * Whoever reads or writes it later in the request opens it again for that moment.
 */
final readonly class SessionLock
{
    public function __construct(private RequestStack $requests)
    {
    }

    #[AsEventListener]
    public function beforeTheController(ControllerArgumentsEvent $event): void
    {
        if ($event->isMainRequest()) {
            self::close($event->getRequest());
        }
    }

    /** A password is hashed for as long as it takes to make guessing dear: whoever shares the lock does not wait for that. */
    #[AsEventListener(priority: 1000)]
    public function beforeHashing(CheckPassportEvent $event): void
    {
        $request = $this->requests->getMainRequest();
        if (null !== $request) {
            self::close($request);
        }
    }

    private static function close(Request $request): void
    {
        if ($request->hasSession(true) && $request->getSession()->isStarted()) {
            $request->getSession()->save();
        }
    }
}
