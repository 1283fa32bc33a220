<?php

declare(strict_types=1);

namespace Olvek\Service\Account;

use Psr\Log\LoggerInterface;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\Security\Core\Exception\TooManyLoginAttemptsAuthenticationException;
use Symfony\Component\Security\Http\Event\LoginFailureEvent;

/** Notes who was refused, for whoever runs Olvek: from where and why, but no name, which may be a password typed into the wrong field. */
#[AsEventListener]
final readonly class SignInLog
{
    public function __construct(private LoggerInterface $logger)
    {
    }

    public function __invoke(LoginFailureEvent $event): void
    {
        $throttled = $event->getException() instanceof TooManyLoginAttemptsAuthenticationException;
        $this->logger->warning(
            $throttled ? 'A sign-in was refused unseen: too many tries.' : 'A sign-in failed.',
            ['from' => $event->getRequest()->getClientIp(), 'throttled' => $throttled],
        );
    }
}
