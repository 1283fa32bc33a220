<?php

declare(strict_types=1);

namespace Olvek\Service\Site;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\RedirectResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Event\ExceptionEvent;
use Symfony\Component\HttpKernel\Exception\MethodNotAllowedHttpException;
use Symfony\Component\Routing\Exception\ExceptionInterface;
use Symfony\Component\Routing\RouterInterface;

/**
 * An address that only takes forms, opened by hand or by a reload, leads to the page that the form stands on: the nearest one above it.
 * Programs are told which method an address takes (ApiErrors).
 */
#[AsEventListener(priority: 10)]
final readonly class WayBack
{
    public function __construct(private RouterInterface $router)
    {
    }

    public function __invoke(ExceptionEvent $event): void
    {
        if (!$event->getThrowable() instanceof MethodNotAllowedHttpException || !$event->getRequest()->isMethod('GET')) {
            return;
        }
        if (ApiErrors::isOfPrograms($event->getRequest())) {
            return;
        }
        for ($path = \dirname($event->getRequest()->getPathInfo()); '/' !== $path && '.' !== $path; $path = \dirname($path)) {
            if ($this->isPage($path)) {
                $event->setResponse(new RedirectResponse($event->getRequest()->getBaseUrl().$path, Response::HTTP_SEE_OTHER));

                return;
            }
        }
    }

    private function isPage(string $path): bool
    {
        try {
            $this->router->match($path);

            return true;
        } catch (ExceptionInterface) {
            return false;
        }
    }
}
