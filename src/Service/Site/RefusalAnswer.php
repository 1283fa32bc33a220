<?php

declare(strict_types=1);

namespace Olvek\Service\Site;

use Doctrine\ORM\OptimisticLockException;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Event\ExceptionEvent;
use Symfony\Component\HttpKernel\Exception\HttpException;
use Symfony\Component\Security\Core\Exception\InvalidCsrfTokenException;

/** Refusals that no page has answered: with their own status, in their own words, to a browser and to a script. */
#[AsEventListener(priority: 20)]
final class RefusalAnswer
{
    public function __invoke(ExceptionEvent $event): void
    {
        $thrown = $cause = $event->getThrowable();
        // The ORM reports any failed commit so; only one that names its entity is a race (Saver).
        if ($thrown instanceof OptimisticLockException && null !== $thrown->getEntity()) {
            $thrown = new ConcurrentChange();
        }
        if ($thrown instanceof InvalidCsrfTokenException) {
            // Not kept as the cause: the firewall would take it for a stranger, and ask to sign in.
            $thrown = new ForeignForm();
            $cause = null;
        }
        if (!$thrown instanceof Refusal) {
            return;
        }
        $event->setThrowable(new HttpException($thrown->status(), $thrown->getMessage(), $cause));
        if ('json' === $event->getRequest()->getPreferredFormat()) {
            $event->setResponse(new JsonResponse(
                // What waits on a device is not sent again and again where the form itself is refused.
                ['message' => $thrown->getMessage(), ...$thrown instanceof ForeignForm ? ['errors' => ['' => $thrown->getMessage()]] : []],
                $thrown->status(),
            ));
        }
    }
}
