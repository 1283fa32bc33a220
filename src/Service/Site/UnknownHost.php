<?php

declare(strict_types=1);

namespace Olvek\Service\Site;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\Exception\SuspiciousOperationException;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Event\ExceptionEvent;

/** Answers a request for a host name that isn't ours in plain text, since the links of a page would be wrong. */
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
                'This server doesn’t answer to that name. If you run it, add the name to OLVEK_HOSTS.',
            ));
        }
    }
}
