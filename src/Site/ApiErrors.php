<?php

declare(strict_types=1);

namespace Olvek\Site;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Event\ExceptionEvent;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Symfony\Component\Security\Core\Exception\AccessDeniedException;
use Symfony\Component\Security\Core\Exception\AuthenticationException;

/** Programs that ask under /api are answered as its description says, whatever goes wrong: {"message": why}. */
#[AsEventListener(priority: 15)]
final class ApiErrors
{
    private const WORDS = [
        Response::HTTP_NOT_FOUND => 'There is nothing at this address.',
        Response::HTTP_METHOD_NOT_ALLOWED => 'This address does not take this method.',
    ];

    public function __invoke(ExceptionEvent $event): void
    {
        if (1 !== preg_match('~^/api(/|$)~', $event->getRequest()->getPathInfo()) || $event->hasResponse()) {
            return;
        }
        $thrown = $event->getThrowable();
        if ($thrown instanceof AuthenticationException || $thrown instanceof AccessDeniedException) {
            // The firewall asks for a token, in the same form.
            return;
        }
        $told = $thrown instanceof HttpExceptionInterface;
        $status = $told ? $thrown->getStatusCode() : Response::HTTP_INTERNAL_SERVER_ERROR;
        $words = self::WORDS[$status] ?? ($told ? $thrown->getMessage() : 'Olvek failed at this. Readings that were taken are kept once.');
        $event->setResponse(new JsonResponse(['message' => $words], $status, $told ? $thrown->getHeaders() : []));
    }
}
