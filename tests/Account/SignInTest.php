<?php

declare(strict_types=1);

namespace Olvek\Tests\Account;

use Olvek\Tests\BenchTestCase;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Component\Console\Tester\CommandTester;

final class SignInTest extends BenchTestCase
{
    private function signIn(string $name, string $password): void
    {
        $page = $this->browser->request('GET', '/sign-in');
        $this->browser->submit($page->selectButton('Sign in')->form(), ['name' => $name, 'password' => $password]);
    }

    protected function setUp(): void
    {
        parent::setUp();
        $this->browser->getCookieJar()->clear();
    }

    public function testTheRightPasswordOpensTheShelf(): void
    {
        $this->signIn('Runa', 'a long enough word');
        self::assertResponseRedirects('http://localhost/');
        $this->browser->followRedirect();
        self::assertSelectorTextContains('h1', 'Runa’s shelf');
        $cookie = $this->browser->getCookieJar()->get('MOCKSESSID');
        self::assertNotNull($cookie);
        $this->browser->submitForm('Sign out');
        $this->browser->request('GET', '/');
        self::assertResponseRedirects('/sign-in');
    }

    public function testWrongPasswordsAreToldAndThrottled(): void
    {
        for ($n = 0; $n < 6; ++$n) {
            $this->signIn('Odd-'.__LINE__, 'wrong password');
            self::assertResponseStatusCodeSame($n < 5 ? 422 : 429);
            self::assertSame('Odd-'.(__LINE__ - 2), $this->browser->getCrawler()->filter('#name')->attr('value'), 'what was typed stands');
        }
        self::assertResponseHeaderSame('Retry-After', '60');
        self::assertStringContainsString('too many tries', $this->text('.sign-in .field-error'));
        $this->signIn('Runa', 'a long enough word');
        self::assertResponseRedirects('http://localhost/', null, 'others of the same address are not locked out');
    }

    public function testPasswordsAreHashed(): void
    {
        self::assertStringStartsWith('$', $this->keeper->getPassword());
        self::assertStringNotContainsString('long enough', $this->keeper->getPassword());
    }

    public function testTheSessionCookieIsForThisSiteAndNoScript(): void
    {
        $options = self::getContainer()->getParameter('session.storage.options');
        self::assertIsArray($options);
        self::assertSame(['auto', true, 'lax'], [$options['cookie_secure'], $options['cookie_httponly'], $options['cookie_samesite']]);
    }

    public function testTheDemoNeedsItsTokenAndItsKeeper(): void
    {
        $page = $this->browser->request('GET', '/sign-in');
        $this->browser->submit($page->selectButton('Open the ferry landing’s shelf')->form());
        self::assertResponseStatusCodeSame(404, 'no demo keeper has been loaded');
        self::assertSame(0, $this->command('olvek:demo:load', [])[0]);
        $this->browser->request(
            'POST',
            '/demo',
            ['_token' => 'csrf-token'],
            server: ['HTTP_ORIGIN' => 'https://elsewhere.example', 'HTTP_SEC_FETCH_SITE' => 'cross-site'],
        );
        self::assertResponseStatusCodeSame(422);
        $page = $this->browser->request('GET', '/sign-in');
        $this->browser->submit($page->selectButton('Open the ferry landing’s shelf')->form());
        $this->browser->followRedirect();
        self::assertCount(4, $this->browser->getCrawler()->filter('.shelf-tank'));
        self::assertSame(0, $this->command('olvek:demo:load', [])[0], 'loading twice does no harm');
        $this->browser->request('GET', '/');
        self::assertCount(4, $this->browser->getCrawler()->filter('.shelf-tank'));
    }

    public function testUnitsAreSwitchedAnywhereButLeadNowhereElse(): void
    {
        $this->browser->loginUser($this->keeper);
        $this->browser->request('GET', "/tanks/$this->tank?day=60");
        $this->browser->submitForm('in · gal');
        self::assertResponseRedirects("/tanks/$this->tank?day=60");
        $this->browser->followRedirect();
        self::assertSame('23.62', $this->browser->getCrawler()->filter('#f-vessel-length')->attr('value'));
        $token = $this->browser->getCrawler()->filter('.units input[name="_token"]')->attr('value');
        foreach (['https://elsewhere.example/', '//elsewhere.example', '/\\elsewhere.example'] as $back) {
            $this->browser->request('POST', '/units', ['_token' => $token, 'units' => 'metric', 'back' => $back]);
            self::assertResponseRedirects('/');
        }
    }

    #[TestWith(['', 'a long enough word'])]
    #[TestWith(['Ny', 'short'])]
    #[TestWith(['Runa', 'a long enough word'])]
    #[TestWith(["two\nlines", 'a long enough word'])]
    #[TestWith(['RUNA', 'a long enough word'])]
    #[TestWith(["\xFFab", 'a long enough word'])]
    #[TestWith(['Ny', '          '])]
    #[TestWith(['Ny', 'aaaaaaaaaaaaaaa'])]
    #[TestWith(['Ny', '1234567890'])]
    #[TestWith(['Ny', 'Password123'])]
    #[TestWith(['Ny', "a long enough\xFF"])]
    public function testKeepersThatCannotBeAreRefused(string $name, string $password): void
    {
        $this->expectException(\InvalidArgumentException::class);
        $this->service(\Olvek\Service\Account\KeeperRepository::class)->enrol($name, $name, $password);
    }

    public function testAKeeperIsMadeOnTheCommandLine(): void
    {
        [$code, $output] = $this->command('olvek:keeper:create', ['name' => 'Ny', '--display-name' => 'Ny'], ['another long word']);
        self::assertSame(0, $code, $output);
        self::assertSame(1, $this->command('olvek:keeper:create', ['name' => 'Ny'], ['another long word'])[0]);
        $this->signIn('Ny', 'another long word');
        self::assertResponseRedirects('http://localhost/');
    }

    /**
     * @param array<string, string> $input
     * @param list<string>          $answers
     *
     * @return array{int, string}
     */
    private function command(string $name, array $input, array $answers = []): array
    {
        \assert(null !== self::$kernel);
        $tester = new CommandTester((new Application(self::$kernel))->find($name));
        $tester->setInputs($answers);

        return [$tester->execute($input), $tester->getDisplay()];
    }
}
