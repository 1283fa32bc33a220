<?php

declare(strict_types=1);

namespace Olvek\Tests\Site;

use Olvek\Site\SessionLock;
use PHPUnit\Framework\TestCase;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Session\Session;
use Symfony\Component\HttpFoundation\Session\Storage\MockArraySessionStorage;
use Symfony\Component\HttpKernel\Event\ControllerArgumentsEvent;
use Symfony\Component\HttpKernel\HttpKernelInterface;

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
        (new SessionLock())(new ControllerArgumentsEvent($kernel, static fn () => null, [], $request, HttpKernelInterface::MAIN_REQUEST));
        self::assertFalse($session->isStarted());
        self::assertSame('yes', $session->get('kept'), 'and opened again by whoever needs it');
        // A part of a page leaves it to the page.
        (new SessionLock())(new ControllerArgumentsEvent($kernel, static fn () => null, [], $request, HttpKernelInterface::SUB_REQUEST));
        self::assertTrue($session->isStarted());
    }
}
