<?php

declare(strict_types=1);

namespace Olvek\Service\Site;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\Exception\SuspiciousOperationException;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Event\ExceptionEvent;

/** Whoever asks for a name that is not this server's is told so, in plain text: no page of it would have right addresses. */
// Before the firewall and whatever writes pages of errors.
#[AsEventListener(priority: 30)]
final class UnknownHost
{
    public function __invoke(ExceptionEvent $event): void
    {
        $thrown = $event->getThrowable();
        $cause = $thrown->getPrevious() ?? $thrown;
        if ($cause instanceof SuspiciousOperationException && 1 === preg_match('/^(Untrusted|Invalid) Host/', $cause->getMessage())) {
            $event->setResponse(ServerSettings::plain(
                Response::HTTP_MISDIRECTED_REQUEST,
                'This server does not go by that name. Whoever runs it tells it its names with OLVEK_HOSTS.',
            ));
        }
    }
}
