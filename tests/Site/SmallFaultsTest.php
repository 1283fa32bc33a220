<?php

declare(strict_types=1);

namespace Olvek\Tests\Site;

use Doctrine\ORM\EntityManagerInterface;
use Monolog\Level;
use Monolog\LogRecord;
use Olvek\Service\Account\KeeperRepository;
use Olvek\Service\Shelf\Summaries;
use Olvek\Service\Site\HostNames;
use Olvek\Service\Site\LogMask;
use Olvek\Service\Site\PlainText;
use Olvek\Service\Site\ServerSettings;
use Olvek\Service\Tank\TankRepository;
use Olvek\Tests\BenchTestCase;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Component\HttpFoundation\Request;

/** Small ways in which a request, a setting or a text could end in something worse than a sentence. */
final class SmallFaultsTest extends BenchTestCase
{
    protected function tearDown(): void
    {
        Request::setTrustedHosts([]);
        Request::setTrustedProxies([], Request::HEADER_X_FORWARDED_FOR);
        parent::tearDown();
    }

    private function token(): string
    {
        return (string) $this->browser
            ->request('GET', "/tanks/$this->tank")
            ->filter('#edit input[name="_token"]')
            ->attr('value');
    }

    #[TestWith(['edit'])]
    #[TestWith(['try'])]
    public function testPlacesThatAreNumbersAreNoPlaces(string $step): void
    {
        foreach ([['0' => 'x'], ['x'], ['7' => 'x', 'light.hours' => '6']] as $edits) {
            $this->browser->request('POST', "/tanks/$this->tank/$step", ['_token' => $this->token(), 'base' => '1', 'edits' => $edits]);
            self::assertResponseStatusCodeSame(422);
        }
        self::assertSame(8.0, $this->plan()->lamp->hours);
    }

    #[TestWith(['edit', false])]
    #[TestWith(['edit', true])]
    #[TestWith(['try', true])]
    public function testBytesThatAreNoTextAreTold(string $step, bool $parts): void
    {
        foreach ([['light.hours' => "\xFF"], ["light.\xFF" => '6'], ['name' => "a\xC3"], ['events.e1.clump' => "\x80"]] as $edits) {
            $this->browser->request(
                'POST',
                "/tanks/$this->tank/$step",
                ['_token' => $this->token(), 'base' => '1', 'edits' => $edits],
                server: $parts ? ['HTTP_ACCEPT' => 'application/json', 'HTTP_OLVEK_PARTS' => '{}'] : [],
            );
            self::assertResponseStatusCodeSame(422);
        }
    }

    #[TestWith(['9223372036854775807'])]
    #[TestWith(['-5'])]
    public function testAnyPageOfTheHistory(string $page): void
    {
        $this->browser->request('GET', "/tanks/$this->tank/history?page=$page");
        self::assertResponseIsSuccessful();
    }

    public function testSignInWithWhatIsNoName(): void
    {
        $this->browser->getCookieJar()->clear();
        foreach ([["\xFF", 'x'], [str_repeat('n', 5000), 'x'], ["a\0b", "\0"]] as [$name, $password]) {
            $this->browser->request(
                'POST',
                '/sign-in',
                ['name' => $name, 'password' => $password, '_csrf_token' => 'csrf-token'],
                server: ['HTTP_ORIGIN' => 'http://localhost'],
            );
            self::assertResponseStatusCodeSame(422);
        }
    }

    #[TestWith(['0000-01-01'])]
    #[TestWith(['9999-12-31'])]
    #[TestWith(['0001-01-01'])]
    public function testDaysThatNobodyMeans(string $day): void
    {
        $token = (string) $this->browser
            ->request('GET', "/tanks/$this->tank/today")
            ->filter('main input[name="_token"]')
            ->attr('value');
        $this->browser->request('POST', "/tanks/$this->tank/weeks/filled", ['_token' => $token, 'day' => $day]);
        self::assertResponseStatusCodeSame(422);
    }

    public function testABaseThatIsNoRevision(): void
    {
        foreach (['99999999999', '-1'] as $base) {
            $this->browser->request('POST', "/tanks/$this->tank/edit", [
                '_token' => $this->token(),
                'base' => $base,
                'edits' => ['light.hours' => '6'],
            ]);
            self::assertResponseStatusCodeSame(409);
        }
    }

    /** @param array<string, string> $environment */
    #[TestWith([['APP_SECRET' => 'x'], null])]
    #[TestWith([['APP_SECRET' => ''], 500])]
    #[TestWith([[], 500])]
    public function testNothingIsAnsweredWithoutASecret(array $environment, ?int $status): void
    {
        $log = ini_set('error_log', '/dev/null');
        self::assertSame($status, ServerSettings::refusal($environment)?->getStatusCode());
        ini_set('error_log', (string) $log);
    }

    #[TestWith(['http://127.0.0.1:8080', 200])]
    #[TestWith(['http://localhost', 200])]
    #[TestWith(['http://evil.example', 421])]
    #[TestWith(['http://localhost.evil.example', 421])]
    public function testAServerAnswersToItsNamesOnly(string $server, int $status): void
    {
        $this->browser->request('GET', "$server/api");
        self::assertResponseStatusCodeSame($status);
        $this->browser->request('GET', "$server/sign-in");
        self::assertResponseStatusCodeSame(200 === $status ? 302 : 421, 'whoever is signed in goes on to the shelf');
    }

    /** @return list<string> */
    private static function names(string $names): array
    {
        return array_values(array_filter(
            ['tanks.example', 'www.tanks.example', 'tanks.example.evil.example', 'tanksxexample', 'localhost', '[::1]', '127.0.0.1'],
            static fn (string $host): bool => 1 === preg_match('{'.strtr(HostNames::patterns($names), ',', '|').'}i', $host),
        ));
    }

    public function testNamesAreTakenAsTheyStand(): void
    {
        self::assertSame(['localhost', '[::1]', '127.0.0.1'], self::names(''));
        self::assertSame(['tanks.example'], self::names('tanks.example'));
        self::assertSame(['tanks.example', 'www.tanks.example'], self::names('tanks.example, www.tanks.example'));
    }

    public function testHeadersOfPrivatePages(): void
    {
        $this->browser->request('GET', '/');
        self::assertStringContainsString('no-store', (string) $this->browser->getResponse()->headers->get('Cache-Control'));
        $this->keeper = $this->service(KeeperRepository::class)->named('runa') ?? self::fail();
        $this->keeper->renewFeed();
        $this->service(EntityManagerInterface::class)->flush();
        $this->browser->request('GET', '/feed/'.$this->keeper->feed().'.ics');
        self::assertResponseHeaderSame('Referrer-Policy', 'no-referrer');
        self::assertStringContainsString('max-age=900', (string) $this->browser->getResponse()->headers->get('Cache-Control'));
    }

    #[TestWith(['Ordinary, “quoted” – and ä', null])]
    #[TestWith(["a\0b", 'nobody can see'])]
    #[TestWith(["a\nb", 'nobody can see'])]
    #[TestWith(["a\u{202E}b", 'nobody can see'])]
    #[TestWith(["a\u{2066}b", 'nobody can see'])]
    #[TestWith(["a\u{200F}b", 'nobody can see'])]
    #[TestWith(["\xFF", 'no text'])]
    public function testTextsThatOthersRead(string $text, ?string $why): void
    {
        $fault = PlainText::fault($text, 60);
        null === $why ? self::assertNull($fault) : self::assertStringContainsString($why, (string) $fault);
        $this->browser->request('POST', "/tanks/$this->tank/history/1/name", ['_token' => $this->token(), 'label' => $text]);
        self::assertResponseStatusCodeSame(null === $why ? 303 : 422);
    }

    public function testTextsAreMeasuredInLetters(): void
    {
        self::assertNull(PlainText::fault(str_repeat('å', 60), 60));
        self::assertStringContainsString('at most 60', (string) PlainText::fault(str_repeat('å', 61), 60));
    }

    public function testTheLogHoldsNothingThatOpensAnything(): void
    {
        $masked = (new LogMask())(
            new LogRecord(new \DateTimeImmutable(), 'app', Level::Error, 'No route for /feed/abcdefghijklmnop.ics?x', [
                'uri' => 'http://x/register/abcdefghij',
                'password' => 'secret',
                'deep' => ['_token' => 'secret', 'fine' => 5],
            ]),
        );
        self::assertSame('No route for /feed/….ics?x', $masked->message);
        self::assertSame(['uri' => 'http://x/register/…', 'password' => '…', 'deep' => ['_token' => '…', 'fine' => 5]], $masked->context);
    }

    /** Of a plan that is gone, nothing is shown for another that came by the same number. */
    public function testAfterARestoreNoVerdictOfAPlanThatIsGoneIsShown(): void
    {
        $this->send(['vessel.length' => '80']);
        $summary = fn (): string => $this->service(Summaries::class)->of(
            $this->service(TankRepository::class)->head($this->stored()),
            null,
            $this->keeper->units(),
        )->size;
        self::assertStringStartsWith('80 ×', $summary());
        // As a backup from before would leave it, and a keeper who goes on from there.
        $entities = $this->service(EntityManagerInterface::class);
        $entities->getConnection()->executeStatement('DELETE FROM revision WHERE number = 2');
        $entities->getConnection()->executeStatement('UPDATE tank SET head = 1, latest = 1');
        $this->send(['vessel.length' => '100']);
        self::assertSame(2, $this->stored()->head());
        self::assertStringStartsWith('100 ×', $summary());
    }

    /** A drawing of a day that isn't drawn is refused, not drawn for another day. */
    #[TestWith(['0', 200])]
    #[TestWith(['1095', 200])]
    #[TestWith(['1096', 404])]
    #[TestWith(['-1', 404])]
    #[TestWith(['x', 404])]
    public function testADrawingIsOfADayThatIsDrawn(string $day, int $status): void
    {
        $this->browser->request('GET', "/tanks/$this->tank/drawing/front.svg?day=$day");
        self::assertResponseStatusCodeSame($status);
    }

    /**
     * Every kind of thing that a plan's days may hold, on every page and question: taking a clump out takes along what is planned for it.
     */
    #[Group('any-database')]
    public function testPagesStandWhateverThePlansDaysHold(): void
    {
        foreach (\Olvek\Core\Planning\Event\EventKind::plannable() as $kind) {
            $this->send(['events.add' => $kind->value]);
        }
        self::assertSame(
            [],
            array_udiff(
                \Olvek\Core\Planning\Event\EventKind::plannable(),
                array_column($this->plan()->events, 'kind'),
                static fn ($a, $b): int => $a->value <=> $b->value,
            ),
        );
        foreach (
            [
                '',
                '/build',
                '/today',
                '/history',
                '/solve/plants',
                '/solve/start',
                '/solve/light',
                '/solve/trim',
                '/solve/food',
                '/solve/holiday',
                '/helps/oxygen',
                '/method/hill-bed',
            ] as $page
        ) {
            $this->browser->request('GET', "/tanks/$this->tank$page");
            self::assertResponseIsSuccessful($page);
        }
    }
}
