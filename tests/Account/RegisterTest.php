<?php

declare(strict_types=1);

namespace Olvek\Tests\Account;

use Doctrine\ORM\EntityManagerInterface;
use Olvek\Service\Account\Invitations;
use Olvek\Service\Account\KeeperRepository;
use Olvek\Tests\Services;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Bundle\FrameworkBundle\KernelBrowser;
use Symfony\Bundle\FrameworkBundle\Test\WebTestCase;
use Symfony\Component\Clock\Clock;
use Symfony\Component\Clock\MockClock;
use Symfony\Component\Clock\NativeClock;

/** Who may become a keeper by themselves, as whoever runs Olvek has decided. */
final class RegisterTest extends WebTestCase
{
    use Services;

    private KernelBrowser $browser;

    protected function tearDown(): void
    {
        $_ENV['OLVEK_REGISTRATION'] = $_SERVER['OLVEK_REGISTRATION'] = 'closed';
        Clock::set(new NativeClock());
        parent::tearDown();
    }

    private function where(string $rule): void
    {
        $_ENV['OLVEK_REGISTRATION'] = $_SERVER['OLVEK_REGISTRATION'] = $rule;
        $this->browser = self::createClient();
    }

    /** @param array<string, string> $more */
    private function register(string $address, array $more = []): void
    {
        $page = $this->browser->request('GET', $address);
        $this->browser->submit(
            $page->selectButton('Make the account')->form(),
            [...['name' => 'Ny', 'display' => 'Ny', 'password' => 'a long enough word', 'again' => 'a long enough word'], ...$more],
        );
    }

    #[TestWith(['open', 200, 'Make an account'])]
    #[TestWith(['invite', 404, 'You need an invitation'])]
    #[TestWith(['closed', 404, 'made by whoever runs this site'])]
    public function testTheSignInPageSaysHowOneGetsIn(string $rule, int $status, string $words): void
    {
        $this->where($rule);
        $this->browser->request('GET', '/sign-in');
        self::assertSelectorTextContains('.sign-in', $words);
        $this->browser->request('GET', '/register');
        self::assertResponseStatusCodeSame($status);
    }

    public function testWhereItIsOpenOneIsInAtOnce(): void
    {
        $this->where('open');
        $this->register('/register');
        self::assertResponseRedirects('/');
        $this->browser->followRedirect();
        self::assertSelectorTextContains('h1', 'Ny’s shelf');
    }

    /** @param array<string, string> $wrong */
    #[TestWith([['again' => 'another'], 'not the same'])]
    #[TestWith([['name' => 'a b'], 'A sign-in name has'])]
    #[TestWith([['name' => 'Runa'], 'already'])]
    #[TestWith([['password' => '1234567890', 'again' => '1234567890'], 'tried first'])]
    #[TestWith([['display' => "a\u{202E}b"], 'nobody can see'])]
    public function testWhatCannotBeIsToldAndStandsAsTyped(array $wrong, string $why): void
    {
        $this->where('open');
        $this->service(KeeperRepository::class)->enrol('runa', 'Runa', 'a long enough word');
        $this->register('/register', $wrong);
        self::assertResponseStatusCodeSame(422);
        self::assertSelectorTextContains('.field-error', $why);
        self::assertSame($wrong['name'] ?? 'Ny', $this->browser->getCrawler()->filter('#name')->attr('value'));
    }

    /** Ten accounts an hour from one network: failed attempts don't count, and the eleventh account has to wait. */
    public function testOnlyAccountsAreCounted(): void
    {
        $this->where('open');
        // A network of its own: what is counted outlives a test.
        $this->browser->setServerParameter('REMOTE_ADDR', '192.0.2.7');
        for ($n = 0; $n < 11; ++$n) {
            $this->register('/register', ['again' => 'mistyped']);
            self::assertResponseStatusCodeSame(422);
        }
        for ($n = 1; $n <= 11; ++$n) {
            $this->register('/register', ['name' => "ny-$n"]);
            self::assertResponseStatusCodeSame($n <= 10 ? 303 : 429, "account $n");
            $this->browser->getCookieJar()->clear();
        }
        self::assertSelectorTextContains('.field-error', 'Try again later');
    }

    public function testAnInvitationIsGoodForOne(): void
    {
        $this->where('invite');
        $code = $this->service(Invitations::class)->make(14);
        $this->register("/register/$code", ['password' => 'short', 'again' => 'short']);
        self::assertResponseStatusCodeSame(422, 'what was typed wrongly does not use it up');
        $this->register("/register/$code");
        self::assertResponseRedirects('/');
        $this->browser->getCookieJar()->clear();
        $this->browser->request('GET', "/register/$code");
        self::assertResponseStatusCodeSame(404);
        self::assertSelectorTextContains('h1', 'no longer good');
        $this->service(EntityManagerInterface::class)->clear();
        self::assertNotNull($this->service(KeeperRepository::class)->named('NY'));
    }

    /** To the second, and never kept as it is told. */
    #[TestWith(['+14 days', 200])]
    #[TestWith(['+14 days +1 second', 404])]
    public function testAnInvitationEnds(string $after, int $status): void
    {
        $clock = new MockClock('2026-05-01 12:00');
        Clock::set($clock);
        $this->where('invite');
        $code = $this->service(Invitations::class)->make(14);
        self::assertStringNotContainsString(
            $code,
            json_encode(
                $this->service(EntityManagerInterface::class)->getConnection()->fetchAllAssociative('SELECT * FROM invitation'),
                \JSON_THROW_ON_ERROR,
            ),
        );
        $clock->modify($after);
        $this->browser->request('GET', "/register/$code");
        self::assertResponseStatusCodeSame($status);
    }

    public function testAnInvitationOpensNothingWhereItIsClosed(): void
    {
        $this->where('closed');
        $code = $this->service(Invitations::class)->make(14);
        $this->browser->request(
            'POST',
            "/register/$code",
            ['name' => 'Ny', 'password' => 'a long enough word', 'again' => 'a long enough word', '_token' => 'csrf-token'],
            server: ['HTTP_ORIGIN' => 'http://localhost'],
        );
        self::assertResponseStatusCodeSame(404);
        self::assertNull($this->service(KeeperRepository::class)->named('ny'));
    }
}
