<?php

declare(strict_types=1);

namespace Olvek\Service\Site;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Event\ExceptionEvent;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;

/** Programs that ask under /api are answered as its description says, whatever goes wrong: {"message": why}. */
// Below the framework's own, which writes what failed into the log, and the firewall, which asks for a token.
#[AsEventListener(priority: -50)]
final class ApiErrors
{
    private const FAILED = 'Something went wrong in Olvek. Send the same readings again later: none is kept twice.';
    private const WORDS = [
        Response::HTTP_NOT_FOUND => 'There is nothing at this address.',
        Response::HTTP_METHOD_NOT_ALLOWED => 'This address does not take this method.',
    ];

    public static function isOfPrograms(Request $request): bool
    {
        return 1 === preg_match('~^/api(/|$)~', $request->getPathInfo());
    }

    public function __invoke(ExceptionEvent $event): void
    {
        if (!self::isOfPrograms($event->getRequest()) || $event->hasResponse()) {
            return;
        }
        $thrown = $event->getThrowable();
        $isMeant = $thrown instanceof HttpExceptionInterface;
        $status = $isMeant ? $thrown->getStatusCode() : Response::HTTP_INTERNAL_SERVER_ERROR;
        $words = self::WORDS[$status] ?? ($isMeant ? $thrown->getMessage() : self::FAILED);
        $event->setResponse(new JsonResponse(['message' => $words], $status, $isMeant ? $thrown->getHeaders() : []));
    }
}
