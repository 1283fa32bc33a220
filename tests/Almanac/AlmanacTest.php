<?php

declare(strict_types=1);

namespace Olvek\Tests\Almanac;

use Olvek\Service\Account\KeeperRepository;
use Olvek\Service\Almanac\Almanac;
use Olvek\Service\Log\Entry;
use Olvek\Service\Work\Deadline;
use Olvek\Tests\BenchTestCase;
use Olvek\Tests\FilledTank;
use PHPUnit\Framework\Attributes\TestWith;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Component\VEvent;
use Sabre\VObject\Reader;
use Symfony\Component\BrowserKit\Cookie;
use Symfony\Component\Clock\Test\ClockSensitiveTrait;

/** What is due over all tanks: done, put off, left out; and the calendar that leaves from it. */
final class AlmanacTest extends BenchTestCase
{
    use ClockSensitiveTrait;
    use FilledTank;

    private const LOOK = 'Check headcount';

    private function open(): void
    {
        $this->browser->request('GET', '/almanac');
        self::assertResponseIsSuccessful();
    }

    /** @param array<string, string> $more */
    private function mark(string $task, string $due, string $state, array $more = []): void
    {
        $this->browser->request('POST', "/almanac/$this->tank/$task/$due", [
            '_token' => $this->token(),
            'state' => $state,
            ...$more,
        ]);
    }

    private function calendar(string $address): VCalendar
    {
        $this->browser->request('GET', $address);
        self::assertResponseIsSuccessful();
        $calendar = Reader::read((string) $this->browser->getResponse()->getContent());
        self::assertInstanceOf(VCalendar::class, $calendar);
        self::assertSame([], $calendar->validate(), 'valid by RFC 5545');

        return $calendar;
    }

    /** @return list<VEvent> of which the summary holds some words */
    private static function events(VCalendar $calendar, string $words): array
    {
        return array_values(
            array_filter(
                $calendar->select('VEVENT'),
                static fn ($e): bool => $e instanceof VEvent && str_contains((string) $e->__get('SUMMARY'), $words),
            ),
        );
    }

    public function testATankThatIsNotFilledAsksForNothing(): void
    {
        $this->open();
        self::assertStringContainsString('Not filled yet', $this->text('.almanac'));
        self::assertSelectorNotExists('.due');
    }

    /** Filled 16 days ago: what comes every 7 days from day 7 fell on day 14, two days ago, and falls again on day 21. */
    public function testLateTodayAndAhead(): void
    {
        $this->fill(16);
        $this->open();
        $late = $this->browser->getCrawler()->filter('.due-late')->reduce(static fn ($li): bool => str_contains($li->text(), self::LOOK));
        self::assertStringContainsString('2 days late', $late->text());
        self::assertCount(
            2,
            $this->browser->getCrawler()->filter('.due')->reduce(static fn ($li): bool => str_contains($li->text(), self::LOOK)),
            'the last time and the next',
        );
        self::assertStringContainsString('Test ammonia', $this->text('.almanac'), 'the start’s own next test');
    }

    public function testOneTankAlone(): void
    {
        $this->fill(16);
        $first = $this->tank;
        $this->tank = $this->newTank($this->service(KeeperRepository::class)->named('Runa') ?? self::fail('Runa is gone'));
        $this->fill(40);
        $this->open();
        self::assertCount(
            2,
            array_unique(
                $this->browser
                    ->getCrawler()
                    ->filter('.due-tank')
                    ->extract(['href']),
            ),
        );
        $this->browser->request('GET', "/almanac?tank=$first");
        self::assertSame(
            ["/tanks/$first/today"],
            array_values(
                array_unique(
                    $this->browser
                        ->getCrawler()
                        ->filter('.due-tank')
                        ->extract(['href']),
                ),
            ),
        );
        $this->browser->request('GET', '/almanac?tank=nobodys');
        self::assertSelectorNotExists('.due');
    }

    /** What a start asks for is kept, and yet never older than the logbook. */
    public function testAReadingMovesTheNextTest(): void
    {
        $this->fill(16);
        $this->open();
        self::assertStringContainsString('Test ammonia, nitrite, nitrate, pH', $this->text('.almanac'));
        $this->post('test', ['test' => ['ammonia' => '0', 'nitrite' => '0', 'nitrate' => '5', 'ph' => '7']]);
        $this->open();
        self::assertStringNotContainsString('Test ammonia, nitrite, nitrate, pH', $this->text('.almanac'));
        $this->browser->request('GET', "/tanks/$this->tank/today");
        $this->browser->submit(
            $this->browser
                ->getCrawler()
                ->filter('.log li')
                ->reduce(static fn ($li): bool => str_contains($li->text(), 'pH'))
                ->filter('button')
                ->form(),
        );
        $this->open();
        self::assertStringContainsString(', pH', $this->text('.almanac'), 'taken back, it is asked for again');
    }

    public function testDoneIsWrittenIntoTheLogbookAndAskedNoMore(): void
    {
        $this->fill(16);
        $this->mark('look', $this->day(-2), 'done');
        self::assertResponseRedirects('/almanac');
        $entries = $this->entries();
        self::assertSame(['task', 'look'], [$entries[0]->what, $entries[0]->of]);
        self::assertStringStartsWith(self::LOOK, $entries[0]->words);
        $this->open();
        self::assertCount(
            1,
            $this->browser->getCrawler()->filter('.due')->reduce(static fn ($li): bool => str_contains($li->text(), self::LOOK)),
        );
        $this->mark('look', $this->day(-2), 'done');
        self::assertResponseStatusCodeSame(409);
        self::assertCount(1, $this->entries(), 'nothing twice');
    }

    public function testPutOffStandsOnItsNewDayAndTheLogbookSaysSo(): void
    {
        $this->fill(16);
        $this->mark('look', $this->day(-2), 'move', ['to' => $this->day(3)]);
        self::assertResponseRedirects('/almanac');
        self::assertStringStartsWith('Put off to', $this->entries()[0]->words);
        $this->open();
        self::assertSelectorNotExists('.due-late:contains("Check headcount")');
        self::assertStringContainsString('put off from', $this->text('.almanac'));
        foreach (['', $this->day(0), '2999-01-01', 'soon'] as $nowhere) {
            $this->mark('look', $this->day(-2), 'move', ['to' => $nowhere]);
            self::assertResponseStatusCodeSame(422);
            self::assertStringContainsString('stays where it is', $this->text('[role="alert"]'));
        }
    }

    public function testLeftOutIsSaidInTheLogbook(): void
    {
        $this->fill(16);
        $this->mark('look', $this->day(-2), 'skip');
        self::assertSame(['Left out: '], array_map(static fn (Entry $e): string => substr($e->words, 0, 10), $this->entries()));
        $this->browser->request('GET', "/tanks/$this->tank/today");
        $this->browser->submit($this->browser->getCrawler()->filter('.log button')->form());
        $this->open();
        self::assertCount(
            1,
            $this->browser->getCrawler()->filter('.due-late')->reduce(static fn ($li): bool => str_contains($li->text(), self::LOOK)),
            'taken back in the logbook, it is asked for again',
        );
    }

    #[TestWith(['look', '2001-01-01', 409])]
    #[TestWith(['paint-it', '2026-01-01', 409])]
    #[TestWith(['look', 'never', 404])]
    public function testWhatIsNotDueCannotBeDone(string $task, string $due, int $status): void
    {
        $this->fill(16);
        $this->mark($task, $due, 'done');
        self::assertResponseStatusCodeSame($status);
        self::assertSame([], $this->entries());
    }

    public function testAllTanksLeaveInOneCalendar(): void
    {
        $this->fill(16);
        $first = $this->tank;
        $this->tank = $this->newTank($this->service(KeeperRepository::class)->named('Runa') ?? self::fail('Runa is gone'));
        $this->fill(100);
        $this->tank = $first;
        $calendar = $this->calendar('/almanac.ics');
        $looks = self::events($calendar, self::LOOK);
        self::assertCount(2, $looks);
        self::assertSame('FREQ=DAILY;INTERVAL=7', (string) $looks[0]->__get('RRULE'));
        $uids = array_map(static fn ($e): string => (string) $e->__get('UID'), $calendar->select('VEVENT'));
        self::assertSame($uids, array_unique($uids));
        $dates = array_map(static fn ($e): string => (string) $e->__get('DTSTART'), $calendar->select('VEVENT'));
        $behind = date('Ymd', (int) strtotime('first day of last month'));
        self::assertSame([], array_filter($dates, static fn (string $date): bool => $date < $behind), 'nothing older than last month');
        $this->mark('look', $this->day(-2), 'done');
        $this->mark('look', $this->day(5), 'move', ['to' => $this->day(6)]);
        $looks = self::events($this->calendar('/almanac.ics'), self::LOOK);
        self::assertCount(3, $looks, 'one of them put off, an event of its own');
        $dates = array_map(static fn (VEvent $e): string => (string) $e->__get('DTSTART'), $looks);
        self::assertContains(str_replace('-', '', $this->day(6)), $dates);
        $of = static fn (string $property): array => array_merge(
            ...array_map(static fn (VEvent $e): array => array_map(strval(...), $e->select($property)), $looks),
        );
        self::assertSame([str_replace('-', '', $this->day(-2))], $of('EXDATE'), 'done');
        self::assertSame([str_replace('-', '', $this->day(5))], $of('RECURRENCE-ID'), 'postponed, and still part of its series');
        self::assertStringStartsWith('http://localhost/tanks/', $of('URL')[0], 'leads back to the tank');
        self::assertSame('PT6H', (string) $this->calendar('/almanac.ics')->__get('REFRESH-INTERVAL'));
    }

    public function testThePrivateAddressIsMadeRenewedAndClosed(): void
    {
        $this->fill(16);
        $this->open();
        $this->browser->submitForm('Make a private address');
        $this->browser->followRedirect();
        $address = (string) $this->browser->getCrawler()->filter('#feed-address')->attr('value');
        self::assertMatchesRegularExpression('~/feed/[\w-]{43}\.ics$~', $address);
        $this->browser->submitForm('Renew the address');
        $this->browser->followRedirect();
        $renewed = (string) $this->browser->getCrawler()->filter('#feed-address')->attr('value');
        self::assertNotSame($address, $renewed);
        $this->browser->restart();
        self::assertCount(1, self::events($this->calendar($renewed), self::LOOK), 'without signing in');
        $this->browser->request('GET', $address);
        self::assertResponseStatusCodeSame(404, 'the old one is dead');
        $this->browser->request('GET', '/feed/'.str_repeat('a', 43).'.ics');
        self::assertResponseStatusCodeSame(404);
        $this->browser->loginUser($this->service(KeeperRepository::class)->named('Runa') ?? self::fail('Runa is gone'));
        $this->open();
        $this->browser->submitForm('Close it');
        $this->browser->request('GET', $renewed);
        self::assertResponseStatusCodeSame(404);
    }

    public function testDaysBeginWhereTheKeeperLives(): void
    {
        $this->browser->request('POST', '/almanac/zone', ['_token' => $this->token(), 'zone' => 'Pacific/Kiritimati']);
        self::assertResponseRedirects('/almanac#address');
        $this->open();
        // Fourteen hours ahead of UTC all year.
        self::assertStringContainsString(
            (new \DateTimeImmutable('+14 hours', new \DateTimeZone('UTC')))->format('j F Y'),
            $this->text('.almanac'),
        );
        $this->browser->request('POST', '/almanac/zone', ['_token' => $this->token(), 'zone' => 'Moon/Tycho']);
        self::assertResponseStatusCodeSame(422);
    }

    /** A program that fetches the calendar again is told that it has it already, until something is settled. */
    public function testACalendarThatHasNotChangedIsNotSentAgain(): void
    {
        $this->fill(16);
        $this->browser->request('GET', '/almanac.ics');
        $etag = $this->browser->getResponse()->getEtag();
        self::assertNotNull($etag);
        $this->browser->request('GET', '/almanac.ics', server: ['HTTP_IF_NONE_MATCH' => $etag]);
        self::assertResponseStatusCodeSame(304);
        self::assertSame('', $this->browser->getResponse()->getContent());
        $this->open();
        $this->browser->submit($this->browser->getCrawler()->filter('.due-late .due-do button[value=done]')->form());
        $this->browser->request('GET', '/almanac.ics', server: ['HTTP_IF_NONE_MATCH' => $etag]);
        self::assertResponseStatusCodeSame(200);
    }

    /** Whoever comes by without a script is led back; a script is told how many tanks are left. */
    public function testTanksAreReadBesideThePage(): void
    {
        $this->fill(16);
        $this->browser->request('POST', '/almanac/zone', ['_token' => $this->token(), 'zone' => 'Pacific/Niue']);
        $this->open();
        self::assertSelectorNotExists('[data-refresh]');
        // The next day: Kiritimati's date is always ahead of Niue's.
        $this->browser->request('POST', '/almanac/zone', ['_token' => $this->token(), 'zone' => 'Pacific/Kiritimati']);
        $this->open();
        self::assertSelectorTextContains('[data-refresh]', 'Olvek has not read one tank today yet.');
        self::assertStringContainsString(self::LOOK, $this->text('.almanac'));
        $this->browser->clickLink('Read it now');
        self::assertResponseRedirects('/almanac');
        $this->browser->request('GET', '/almanac/refresh', server: ['HTTP_ACCEPT' => 'application/json']);
        self::assertResponseStatusCodeSame(200);
        self::assertSame('{"waiting":0}', $this->browser->getResponse()->getContent());
        $this->open();
        self::assertSelectorNotExists('[data-refresh]');
    }

    /** Three days old it is still shown, and said to be so; on the fourth the page reads the tank itself. */
    #[TestWith([0, 0])]
    #[TestWith([1, 1])]
    #[TestWith([3, 1])]
    #[TestWith([4, 0])]
    public function testHowOldATankMayBeShown(int $days, int $waiting): void
    {
        $this->fill(16);
        $clock = self::mockTime();
        $almanac = $this->service(Almanac::class);
        self::assertSame(0, $almanac->of($this->keeper)['waiting']);
        $clock->sleep(86400 * $days);
        self::assertSame($waiting, $almanac->of($this->keeper)['waiting']);
        self::assertSame(0, $almanac->refresh($this->keeper, new Deadline(5)));
        self::assertSame(0, $almanac->of($this->keeper)['waiting']);
    }

    /** The cookie by which browser tests move the clock means nothing to anybody else. */
    public function testNobodyMovesTheClock(): void
    {
        $this->browser->getCookieJar()->set(new Cookie('olvek-days-ahead', '40'));
        $this->open();
        self::assertStringContainsString(
            (new \DateTimeImmutable('now', new \DateTimeZone('UTC')))->format('j F Y'),
            $this->text('.almanac'),
        );
    }

    public function testNothingIsMarkedWithoutTheToken(): void
    {
        $this->fill(16);
        foreach (["/almanac/$this->tank/look/".$this->day(-2), '/almanac/address', '/almanac/zone'] as $where) {
            $this->browser->request('POST', $where, ['_token' => 'forged', 'state' => 'done', 'do' => 'renew', 'zone' => 'UTC']);
            self::assertResponseStatusCodeSame(422);
        }
        self::assertSame([], $this->entries());
        self::assertNull($this->service(KeeperRepository::class)->named('Runa')?->feed());
    }
}
