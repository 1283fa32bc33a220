<?php

declare(strict_types=1);

namespace Olvek\Tests\Site;

use Olvek\Service\Site\BriefSession;
use Olvek\Service\Site\SessionLock;
use PHPUnit\Framework\TestCase;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\RequestStack;
use Symfony\Component\HttpFoundation\Session\Session;
use Symfony\Component\HttpFoundation\Session\Storage\MockArraySessionStorage;
use Symfony\Component\HttpKernel\Event\ControllerArgumentsEvent;
use Symfony\Component\HttpKernel\HttpKernelInterface;
use Symfony\Component\Security\Csrf\CsrfToken;
use Symfony\Component\Security\Csrf\CsrfTokenManagerInterface;
use Symfony\Component\Security\Http\Authenticator\AuthenticatorInterface;
use Symfony\Component\Security\Http\Authenticator\Passport\Badge\UserBadge;
use Symfony\Component\Security\Http\Authenticator\Passport\SelfValidatingPassport;
use Symfony\Component\Security\Http\Event\CheckPassportEvent;

/** A keeper's next click does not wait for a long answer to the last. */
final class SessionLockTest extends TestCase
{
    public function testTheSessionIsLetGoBeforeAControllerBegins(): void
    {
        $session = new Session(new MockArraySessionStorage());
        $session->set('kept', 'yes');
        self::assertTrue($session->isStarted());
        $request = new Request();
        $request->setSession($session);
        $kernel = self::createStub(HttpKernelInterface::class);
        $lock = new SessionLock(new RequestStack());
        $event = static fn (int $type): ControllerArgumentsEvent => new ControllerArgumentsEvent(
            $kernel,
            static fn () => null,
            [],
            $request,
            $type,
        );
        $lock->beforeTheController($event(HttpKernelInterface::MAIN_REQUEST));
        self::assertFalse($session->isStarted());
        self::assertSame('yes', $session->get('kept'), 'and opened again by whoever needs it');
        // A part of a page leaves it to the page.
        $lock->beforeTheController($event(HttpKernelInterface::SUB_REQUEST));
        self::assertTrue($session->isStarted());
    }

    /** Nor for what a form asks for, once its token has been looked at; one that is open stays so. */
    public function testTheSessionIsLetGoOnceATokenHasBeenLookedAt(): void
    {
        $session = new Session(new MockArraySessionStorage());
        $request = new Request();
        $request->setSession($session);
        $requests = new RequestStack([$request]);
        $inner = self::createStub(CsrfTokenManagerInterface::class);
        $inner->method('isTokenValid')->willReturnCallback(static fn (): bool => null === $session->get('token'));
        $tokens = new BriefSession($inner, $requests);
        self::assertTrue($tokens->isTokenValid(new CsrfToken('edit', 'x')));
        self::assertFalse($session->isStarted());
        $session->start();
        self::assertTrue($tokens->isTokenValid(new CsrfToken('edit', 'x')));
        self::assertTrue($session->isStarted());
    }

    public function testTheSessionIsLetGoBeforeAPasswordIsHashed(): void
    {
        $session = new Session(new MockArraySessionStorage());
        $session->start();
        $request = new Request();
        $request->setSession($session);
        $event = new CheckPassportEvent(
            self::createStub(AuthenticatorInterface::class),
            new SelfValidatingPassport(new UserBadge('runa')),
        );
        (new SessionLock(new RequestStack([$request])))->beforeHashing($event);
        self::assertFalse($session->isStarted());
    }
}
