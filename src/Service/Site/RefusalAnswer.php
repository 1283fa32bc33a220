<?php

declare(strict_types=1);

namespace Olvek\Service\Site;

use Doctrine\ORM\OptimisticLockException;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Event\ExceptionEvent;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** Refusals that no page has answered: with their own status, in their own words, to a browser and to a script. */
#[AsEventListener(priority: 20)]
final class RefusalAnswer
{
    public function __invoke(ExceptionEvent $event): void
    {
        $thrown = $event->getThrowable();
        // The ORM reports any failed commit so; only one that names its entity is a race (Saver).
        if ($thrown instanceof OptimisticLockException && null !== $thrown->getEntity()) {
            $thrown = new ConcurrentChange();
        }
        if (!$thrown instanceof Refusal) {
            return;
        }
        $event->setThrowable(new HttpException($thrown->status(), $thrown->getMessage(), $event->getThrowable()));
        if ('json' === $event->getRequest()->getPreferredFormat()) {
            $event->setResponse(new JsonResponse(['message' => $thrown->getMessage()], $thrown->status()));
        }
    }
}
