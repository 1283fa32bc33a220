<?php

declare(strict_types=1);

namespace Olvek\Tests\Account;

use Doctrine\ORM\EntityManagerInterface;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Account\KeeperRepository;
use Olvek\Service\Tank\Tank;
use Olvek\Service\Tank\TankRepository;
use Olvek\Tests\BenchTestCase;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Component\Clock\Clock;
use Symfony\Component\Clock\MockClock;
use Symfony\Component\Clock\NativeClock;
use Symfony\Component\Console\Tester\CommandTester;

/** What a keeper decides about the account, by its page and by commands. */
final class AccountTest extends BenchTestCase
{
    private const PASSWORD = 'a long enough word';

    protected function setUp(): void
    {
        parent::setUp();
        $this->browser->getCookieJar()->clear();
        $this->signIn(self::PASSWORD);
    }

    protected function tearDown(): void
    {
        Clock::set(new NativeClock());
        parent::tearDown();
    }

    private function signIn(string $password): void
    {
        $page = $this->browser->request('GET', '/sign-in');
        $this->browser->submit($page->selectButton('Sign in')->form(), ['name' => 'Runa', 'password' => $password]);
    }

    private function keeper(): Keeper
    {
        $this->service(EntityManagerInterface::class)->clear();

        return $this->service(KeeperRepository::class)->named('Runa') ?? self::fail('the keeper is gone');
    }

    /**
     * @param array<string, string|bool> $input
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

    public function testSettingsAreKept(): void
    {
        $this->browser->request('GET', '/account');
        $this->browser->submitForm('Save', ['display' => 'Runa of the landing', 'zone' => 'Europe/Oslo', 'units' => 'us']);
        $page = $this->browser->followRedirect();
        self::assertStringContainsString('Saved.', $page->filter('#settings')->text());
        self::assertSame(
            ['Runa of the landing', 'Europe/Oslo', UnitSystem::Us],
            [$this->keeper()->displayName(), $this->keeper()->zone()->getName(), $this->keeper()->units()],
        );
    }

    /** @param array<string, string> $wrong */
    #[TestWith([['display' => ''], 'Give the name'])]
    #[TestWith([['display' => "two\nlines"], 'nobody can see'])]
    #[TestWith([['display' => "turned \u{202E}round"], 'nobody can see'])]
    #[TestWith([['zone' => 'Moon/Base'], 'time zone is not known'])]
    #[TestWith([['units' => 'ells'], 'Choose the units'])]
    public function testWrongSettingsAreToldAndStandAsTyped(array $wrong, string $why): void
    {
        $token = (string) $this->browser->request('GET', '/account')->filter('#settings [name=_token]')->attr('value');
        $this->browser->request('POST', '/account/settings', [
            ...['_token' => $token, 'display' => 'Ny', 'zone' => 'UTC', 'units' => 'metric'],
            ...$wrong,
        ]);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString($why, $this->text('#settings .field-error'));
        self::assertSame('Runa', $this->keeper()->displayName());
    }

    public function testALongNameJustFits(): void
    {
        foreach ([80 => 303, 81 => 422] as $length => $status) {
            $token = (string) $this->browser->request('GET', '/account')->filter('#settings [name=_token]')->attr('value');
            $this->browser->request('POST', '/account/settings', [
                '_token' => $token,
                'display' => str_repeat('å', $length),
                'zone' => 'UTC',
                'units' => 'metric',
            ]);
            self::assertResponseStatusCodeSame($status);
        }
    }

    /** @return array<string, string> */
    private function change(string $old, string $new, string $again): array
    {
        return [
            '_token' => (string) $this->browser->request('GET', '/account')->filter('#password [name=_token]')->attr('value'),
            'password' => $old,
            'new' => $new,
            'again' => $again,
        ];
    }

    #[TestWith(['not mine', 'another long word', 'another long word', 'not your password'])]
    #[TestWith([self::PASSWORD, 'another long word', 'another long work', 'not the same'])]
    #[TestWith([self::PASSWORD, 'ninechars', 'ninechars', 'at least 10'])]
    #[TestWith([self::PASSWORD, 'qwertyuiop', 'qwertyuiop', 'tried first'])]
    public function testPasswordsThatCannotBeTaken(string $old, string $new, string $again, string $why): void
    {
        $this->browser->request('POST', '/account/password', $this->change($old, $new, $again));
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString($why, $this->text('#password .field-error'));
        $this->browser->getCookieJar()->clear();
        $this->signIn(self::PASSWORD);
        self::assertResponseRedirects('http://localhost/');
    }

    public function testANewPasswordEndsAllOtherSessions(): void
    {
        $elsewhere = clone $this->browser->getCookieJar();
        $this->browser->getCookieJar()->clear();
        $this->signIn(self::PASSWORD);
        $this->browser->request('POST', '/account/password', $this->change(self::PASSWORD, 'ten chars!', 'ten chars!'));
        self::assertResponseRedirects('/account?kept=password#password', null, 'ten characters are enough');
        $this->browser->followRedirect();
        self::assertResponseIsSuccessful();
        $this->assertEnded($elsewhere);
        $this->browser->getCookieJar()->clear();
        $this->signIn(self::PASSWORD);
        self::assertResponseStatusCodeSame(422, 'the old one opens nothing any more');
        $this->signIn('ten chars!');
        self::assertResponseRedirects('http://localhost/');
    }

    public function testSigningOutEverywhere(): void
    {
        $elsewhere = clone $this->browser->getCookieJar();
        $this->browser->getCookieJar()->clear();
        $this->signIn(self::PASSWORD);
        $this->browser->request('GET', '/account');
        $this->browser->submitForm('Sign out everywhere else');
        $this->browser->followRedirect();
        self::assertResponseIsSuccessful();
        $this->assertEnded($elsewhere);
    }

    private function assertEnded(\Symfony\Component\BrowserKit\CookieJar $elsewhere): void
    {
        $this->browser->getCookieJar()->clear();
        foreach ($elsewhere->all() as $cookie) {
            $this->browser->getCookieJar()->set($cookie);
        }
        $this->browser->request('GET', '/account');
        self::assertResponseRedirects('/sign-in');
    }

    public function testGuessingOnesPasswordIsSlow(): void
    {
        for ($n = 0; $n < 7; ++$n) {
            $this->browser->request('POST', '/account/password', $this->change('not mine', 'another long word', 'another long word'));
        }
        self::assertStringContainsString('too many tries', $this->text('#password .field-error'));
    }

    public function testATankIsRemovedAndBroughtBack(): void
    {
        $this->browser->request('GET', '/account');
        $this->browser->clickLink('Remove Waiting hall…');
        self::assertSelectorTextContains('h1', 'Remove Waiting hall?');
        self::assertNull($this->stored()->removedAt(), 'asking is not doing');
        $this->browser->submitForm('Remove Waiting hall');
        $this->browser->followRedirect();
        self::assertNotNull($this->stored()->removedAt());
        foreach (
            ["/tanks/$this->tank", "/tanks/$this->tank/build", "/tanks/$this->tank/plan.json", "/account/tanks/$this->tank/remove"] as $page
        ) {
            $this->browser->request('GET', $page);
            self::assertResponseStatusCodeSame(404, $page);
        }
        $this->browser->request('GET', '/');
        self::assertSelectorNotExists('.shelf-tank');
        $this->browser->request('GET', '/account');
        $this->browser->submitForm('Bring back Waiting hall');
        $this->browser->request('GET', "/tanks/$this->tank");
        self::assertResponseIsSuccessful();
    }

    public function testTanksAreBroughtBackByCommand(): void
    {
        $this->service(TankRepository::class)->takeOff($this->stored(), new \DateTimeImmutable());
        self::assertStringContainsString(
            'On the shelf again: Waiting hall',
            $this->command('olvek:keeper:restore', ['name' => 'runa', '--tanks' => true])[1],
        );
        self::assertNull($this->stored()->removedAt());
    }

    public function testAnothersRemovedTankIsNotBroughtBack(): void
    {
        $other = $this->service(KeeperRepository::class)->enrol('Odd', 'Odd', 'another long word');
        $foreign = $this->stored($this->newTank($other));
        $this->service(TankRepository::class)->takeOff($foreign, new \DateTimeImmutable());
        $token = (string) $this->browser->request('GET', '/account')->filter('#settings [name=_token]')->attr('value');
        $this->browser->request('POST', '/account/tanks/bring-back', ['_token' => $token, 'tank' => $foreign->id()->toRfc4122()]);
        self::assertResponseStatusCodeSame(422);
        self::assertNotNull($this->stored($foreign->id()->toRfc4122())->removedAt());
    }

    public function testAKeeperIsRemovedAndBroughtBackByCommand(): void
    {
        $this->keeper()->renewFeed();
        $this->service(EntityManagerInterface::class)->flush();
        $feed = '/feed/'.$this->keeper()->feed().'.ics';
        $this->browser->request('GET', $feed);
        self::assertResponseIsSuccessful();
        $this->browser->request('GET', '/account/remove');
        $this->browser->submitForm('Remove my account and all that is in it', ['password' => 'not mine']);
        self::assertResponseStatusCodeSame(422);
        $this->browser->submitForm('Remove my account and all that is in it', ['password' => self::PASSWORD]);
        $this->browser->followRedirect();
        self::assertSelectorTextContains('h1', 'has been removed');
        $this->browser->request('GET', $feed);
        self::assertResponseStatusCodeSame(404);
        $this->signIn(self::PASSWORD);
        self::assertResponseStatusCodeSame(422, 'as if there were nobody of that name');
        self::assertSame(1, $this->command('olvek:keeper:restore', ['name' => 'nobody'])[0]);
        self::assertSame(0, $this->command('olvek:keeper:restore', ['name' => 'RUNA'])[0]);
        $this->signIn(self::PASSWORD);
        self::assertResponseRedirects('http://localhost/');
        $this->browser->request('GET', "/tanks/$this->tank");
        self::assertResponseIsSuccessful();
    }

    /** Thirty days, to the second. */
    #[TestWith(['+30 days', true])]
    #[TestWith(['+30 days +1 second', false])]
    public function testWhatWasRemovedIsPrunedAfterThirtyDays(string $after, bool $there): void
    {
        $clock = new MockClock('2026-05-01 12:00');
        Clock::set($clock);
        $this->service(TankRepository::class)->takeOff($this->stored(), $clock->now());
        $this->service(KeeperRepository::class)->enrol('Odd', 'Odd', 'another long word')->remove($clock->now());
        $this->service(EntityManagerInterface::class)->flush();
        $clock->modify($after);
        $this->command('olvek:prune', []);
        $this->service(EntityManagerInterface::class)->clear();
        self::assertSame($there, null !== $this->service(EntityManagerInterface::class)->find(Tank::class, $this->tank));
        self::assertSame($there, null !== $this->service(KeeperRepository::class)->named('odd'));
        self::assertSame($there ? 1 : 0, $this->revisions(), 'what hangs on it goes along');
    }

    public function testPasswordsAreSetAndKeepersDisabledByCommand(): void
    {
        self::assertSame(1, $this->command('olvek:keeper:password', ['name' => 'nobody'], ['another long word'])[0]);
        self::assertSame(1, $this->command('olvek:keeper:password', ['name' => 'runa'], ['short'])[0]);
        self::assertSame(0, $this->command('olvek:keeper:password', ['name' => 'runa'], ['another long word'])[0]);
        $this->browser->request('GET', '/account');
        self::assertResponseRedirects('/sign-in', null, 'sessions of the old password end');
        $this->browser->getCookieJar()->clear();
        $this->signIn('another long word');
        self::assertResponseRedirects('http://localhost/');
        self::assertSame(0, $this->command('olvek:keeper:disable', ['name' => 'runa'])[0]);
        $this->browser->request('GET', '/account');
        self::assertResponseRedirects('/sign-in');
        $this->browser->getCookieJar()->clear();
        $this->signIn('wrong');
        self::assertStringContainsString('do not go together', $this->text('.field-error'), 'only who knows the password learns of it');
        $this->signIn('another long word');
        self::assertStringContainsString('has been disabled', $this->text('.field-error'));
        self::assertSame(0, $this->command('olvek:keeper:disable', ['name' => 'runa', '--undo' => true])[0]);
        $this->signIn('another long word');
        self::assertResponseRedirects('http://localhost/');
    }

    public function testTheSessionHoldsNoPassword(): void
    {
        self::assertStringNotContainsString($this->keeper()->getPassword(), serialize($this->keeper()));
    }
}
