<?php

declare(strict_types=1);

namespace Olvek\Tests\Account;

use Olvek\Page\Account\EntryPoint;
use Olvek\Service\Account\KeeperRepository;
use Olvek\Service\Site\BodySize;
use Olvek\Tests\BenchTestCase;
use Olvek\Tests\Files;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Component\Clock\Clock;
use Symfony\Component\Clock\MockClock;
use Symfony\Component\Clock\NativeClock;
use Symfony\Component\Filesystem\Filesystem;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Event\RequestEvent;
use Symfony\Component\HttpKernel\Exception\HttpException;
use Symfony\Component\HttpKernel\HttpKernelInterface;

/** What somebody without an account can do here: nothing that stays. */
final class StrangerTest extends BenchTestCase
{
    protected function tearDown(): void
    {
        Clock::set(new NativeClock());
        parent::tearDown();
    }

    private function sessions(): int
    {
        return \count(Files::like(self::getContainer()->getParameterBag()->resolveValue('%kernel.cache_dir%').'/sessions/*.mocksess'));
    }

    private function leave(): void
    {
        $this->browser->getCookieJar()->clear();
        (new Filesystem())->remove(
            Files::like(self::getContainer()->getParameterBag()->resolveValue('%kernel.cache_dir%').'/sessions/*.mocksess'),
        );
    }

    public function testNothingOfAStrangerIsKept(): void
    {
        $this->leave();
        $edits = [];
        for ($n = 0; $n < 200; ++$n) {
            $edits["plants.c$n.pieces"] = str_repeat('9', 400);
        }
        for ($n = 0; $n < 20; ++$n) {
            $this->browser->getCookieJar()->clear();
            $this->browser->request('POST', "/tanks/$this->tank/edit", ['edits' => $edits]);
            self::assertResponseRedirects('/sign-in');
            $this->browser->getCookieJar()->clear();
            $this->browser->request('GET', '/');
            self::assertResponseRedirects('/sign-in');
            $this->browser->getCookieJar()->clear();
            $this->browser->request('GET', '/almanac?tank=x');
            self::assertResponseRedirects('/sign-in?to=/almanac?tank%3Dx');
            $this->browser->getCookieJar()->clear();
            $this->browser->request('GET', '/sign-in');
            $this->browser->getCookieJar()->clear();
            $this->browser->request(
                'POST',
                '/sign-in',
                ['name' => "nobody$n", 'password' => 'x', '_csrf_token' => 'csrf-token'],
                server: ['HTTP_ORIGIN' => 'http://localhost'],
            );
            self::assertResponseStatusCodeSame(422);
        }
        self::assertSame(0, $this->sessions());
    }

    /** Whoever invents a session's name is a stranger all the same. */
    public function testASessionThatWasNeverSignedInKeepsNothing(): void
    {
        $this->leave();
        $this->browser->getCookieJar()->set(new \Symfony\Component\BrowserKit\Cookie('MOCKSESSID', 'invented'));
        $this->browser->request('POST', "/tanks/$this->tank/edit", ['edits' => ['light.hours' => '6']]);
        self::assertResponseRedirects('/sign-in');
        self::assertSame(0, $this->sessions());
    }

    public function testTooMuchIsNotKeptEvenForAKeeper(): void
    {
        $this->signIn();
        $this->service(KeeperRepository::class)->named('runa')?->signOutEverywhere();
        $this->service(\Doctrine\ORM\EntityManagerInterface::class)->flush();
        $this->browser->request('POST', "/tanks/$this->tank/edit", ['edits' => ['name' => str_repeat('x', EntryPoint::MOST)]]);
        self::assertSame([], $this->browser->getRequest()->getSession()->get(EntryPoint::PENDING)['edits']);
        $this->browser->request('POST', "/tanks/$this->tank/edit", ['edits' => ['name' => str_repeat('x', EntryPoint::MOST - 4)]]);
        self::assertCount(1, $this->browser->getRequest()->getSession()->get(EntryPoint::PENDING)['edits'], 'just below the limit');
    }

    private function signIn(): void
    {
        $this->leave();
        $page = $this->browser->request('GET', '/sign-in');
        $this->browser->submit($page->selectButton('Sign in')->form(), ['name' => 'runa', 'password' => 'a long enough word']);
        self::assertResponseRedirects('http://localhost/');
    }

    public function testSignInLeadsWhereOneWasGoing(): void
    {
        $this->leave();
        $this->browser->request('GET', '/almanac');
        $page = $this->browser->followRedirect();
        $this->browser->submit($page->selectButton('Sign in')->form(), ['name' => 'RUNA', 'password' => 'a long enough word']);
        self::assertResponseRedirects('http://localhost/almanac');
    }

    #[TestWith(['//elsewhere.example/'])]
    #[TestWith(['https://elsewhere.example/'])]
    #[TestWith(['/\\elsewhere.example'])]
    public function testSignInLeadsNowhereElse(string $to): void
    {
        $this->leave();
        $page = $this->browser->request('GET', '/sign-in?to='.rawurlencode($to));
        $this->browser->submit($page->selectButton('Sign in')->form(), ['name' => 'Runa', 'password' => 'a long enough word']);
        self::assertResponseRedirects('http://localhost/');
    }

    /** Seven days without a visit, thirty days after signing in: just before and just after. */
    #[TestWith(['+7 days', null, true])]
    #[TestWith(['+7 days +1 second', null, false])]
    #[TestWith(['+5 days', 30, true])]
    #[TestWith(['+5 days', 31, false])]
    public function testSessionsEnd(string $pause, ?int $after, bool $open): void
    {
        $clock = new MockClock('2026-05-01 12:00');
        Clock::set($clock);
        $this->signIn();
        for ($day = 0; null !== $after && $day < $after - 5; $day += 5) {
            $clock->modify(\sprintf('+%d days', min(5, $after - 5 - $day)));
            $this->browser->request('GET', '/');
            self::assertResponseIsSuccessful();
        }
        $clock->modify($pause);
        $this->browser->request('GET', '/');
        $open ? self::assertResponseIsSuccessful() : self::assertResponseRedirects('/sign-in');
    }

    /** A body is measured as it came, whatever its header says or leaves out. */
    #[TestWith([BodySize::MOST, null, '/tanks/import', true])]
    #[TestWith([BodySize::MOST + 1, null, '/tanks/import', false])]
    #[TestWith([BodySize::MOST + 1, '10', '/tanks/import', false])]
    #[TestWith([10, '2000000', '/tanks/import', false])]
    #[TestWith([BodySize::MOST + 1, null, BodySize::SHELF, true])]
    #[TestWith([BodySize::MOST_SHELF + 1, null, BodySize::SHELF, false])]
    #[TestWith([BodySize::MOST_PHOTO, null, '/tanks/01890000-0000-7000-8000-000000000000/photos', true])]
    #[TestWith([BodySize::MOST_PHOTO + 1, null, '/tanks/01890000-0000-7000-8000-000000000000/photos', false])]
    #[TestWith([BodySize::MOST + 1, null, '/tanks/01890000-0000-7000-8000-000000000000/log', false])]
    public function testBodiesAreMeasured(int $bytes, ?string $announced, string $path, bool $taken): void
    {
        $request = Request::create(
            $path,
            'POST',
            server: null === $announced ? [] : ['CONTENT_LENGTH' => $announced],
            content: str_repeat('x', $bytes),
        );
        \assert(null !== self::$kernel);
        $event = new RequestEvent(self::$kernel, $request, HttpKernelInterface::MAIN_REQUEST);
        if (!$taken) {
            $this->expectException(HttpException::class);
        }
        (new BodySize())($event);
        self::assertFalse($event->hasResponse());
    }

    /** The time of an answer must not tell which names are known: as much is hashed for one as for the other. */
    public function testAnUnknownNameCostsAsMuchAsAKnownOne(): void
    {
        $hasher = new class implements \Symfony\Component\PasswordHasher\Hasher\UserPasswordHasherInterface {
            public int $work = 0;

            public function hashPassword(
                \Symfony\Component\Security\Core\User\PasswordAuthenticatedUserInterface $user,
                string $plainPassword,
            ): string {
                ++$this->work;

                return 'x';
            }

            public function isPasswordValid(
                \Symfony\Component\Security\Core\User\PasswordAuthenticatedUserInterface $user,
                string $plainPassword,
            ): bool {
                return false;
            }

            public function needsRehash(\Symfony\Component\Security\Core\User\PasswordAuthenticatedUserInterface $user): bool
            {
                return false;
            }
        };
        $keepers = new KeeperRepository(
            $this->service(\Doctrine\Persistence\ManagerRegistry::class),
            $hasher,
            $this->service(\Olvek\Service\Account\PasswordRule::class),
        );
        self::assertNotNull($keepers->loadUserByIdentifier('Runa'));
        self::assertSame(0, $hasher->work, 'whose password is then looked at');
        foreach (['nobody', "\xFF", ''] as $n => $name) {
            self::assertNull($keepers->loadUserByIdentifier($name));
            self::assertSame($n + 1, $hasher->work);
        }
    }

    public function testHealthIsForMachinesAndOpensNoSession(): void
    {
        $this->leave();
        $this->browser->request('GET', '/health');
        self::assertResponseIsSuccessful();
        self::assertSame(['status' => 'ok', 'troubles' => []], json_decode((string) $this->browser->getResponse()->getContent(), true));
        self::assertSame(0, $this->sessions());
    }
}
