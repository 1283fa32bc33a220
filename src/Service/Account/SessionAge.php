<?php

declare(strict_types=1);

namespace Olvek\Service\Account;

use Psr\Clock\ClockInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\Session\SessionInterface;
use Symfony\Component\HttpKernel\Event\RequestEvent;
use Symfony\Component\Security\Core\Authentication\Token\Storage\TokenStorageInterface;
use Symfony\Component\Security\Http\Event\LoginSuccessEvent;

/**
 * Ends sessions that are old: after a week without a visit, or a month after signing in. What is typed then is still kept over the next
 * sign-in.
 */
final readonly class SessionAge
{
    /** When this session was signed in, and when it was last used: a session without the first was never signed in. */
    public const SINCE = 'olvek.signed_in';
    private const USED = 'olvek.used';
    /** Seconds. */
    public const IDLE = 7 * 86400;
    public const OLDEST = 30 * 86400;
    /** Seconds for which the note of the last use is not made anew. */
    private const COARSE = 600;

    /** @param ClockInterface $clock the real one: a test that moves the days is not signed out by it */
    public function __construct(
        private TokenStorageInterface $tokens,
        #[Autowire(service: 'Olvek\Service\Site\ShiftedClock.inner')] private ClockInterface $clock,
    ) {
    }

    #[AsEventListener]
    public function begin(LoginSuccessEvent $event): void
    {
        $now = $this->clock->now()->getTimestamp();
        $event->getRequest()->getSession()->set(self::SINCE, $now);
        $event->getRequest()->getSession()->set(self::USED, $now);
    }

    /** After the firewall has read the session (priority 8), before anybody asks who is there. */
    #[AsEventListener(priority: 7)]
    public function look(RequestEvent $event): void
    {
        $request = $event->getRequest();
        if (!$event->isMainRequest() || !$request->hasPreviousSession()) {
            return;
        }
        $session = $request->getSession();
        $now = $this->clock->now()->getTimestamp();
        $since = $session->get(self::SINCE);
        $used = $session->get(self::USED);
        if (!\is_int($since) || !\is_int($used)) {
            return;
        }
        if ($now - $used > self::IDLE || $now - $since > self::OLDEST) {
            $this->tokens->setToken(null);
        } elseif ($now - $used > self::COARSE) {
            $session->set(self::USED, $now);
        }
    }

    public static function wasSignedIn(SessionInterface $session): bool
    {
        return \is_int($session->get(self::SINCE));
    }
}
