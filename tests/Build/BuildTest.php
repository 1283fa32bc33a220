<?php

declare(strict_types=1);

namespace Olvek\Tests\Build;

use Olvek\Core\Planning\Buying\ShoppingList;
use Olvek\Service\Tank\TankRepository;
use Olvek\Tests\BenchTestCase;
use PHPUnit\Framework\Attributes\TestWith;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Reader;

/** The build sheet's page: what is typed, ticked and done is kept; what cannot be is told beside it. */
final class BuildTest extends BenchTestCase
{
    /** @param array<string, array<string, string>> $sheet */
    private function keep(array $sheet, ?string $token = null, ?int $base = null): void
    {
        $page = $this->browser->request('GET', "/tanks/$this->tank/build");
        $this->browser->request('POST', "/tanks/$this->tank/build/sheet", [
            '_token' => $token ?? $page->filter('#sheet input[name="_token"]')->attr('value'),
            'base' => $base ?? $page->filter('#sheet input[name="base"]')->attr('value'),
            'sheet' => $sheet,
            'ticked' => ['kit.bucket', 'not <a> tick'],
        ]);
    }

    /** @param array<string, string> $more */
    private function mark(string $step, string $state, array $more = []): void
    {
        $page = $this->browser->request('GET', "/tanks/$this->tank/build");
        $this->browser->request('POST', "/tanks/$this->tank/build/steps/$step", [
            '_token' => $page->filter('#sheet input[name="_token"]')->attr('value'),
            'state' => $state,
            ...$more,
        ]);
    }

    /** 6.8 L of sand laid in the waiting hall, 7.1 with 5 %; 2 L on hand: 5.1 to buy, two bags of 1 gal (3.79 L) at 4.50. */
    public function testBagsPricesAndTicksAreKept(): void
    {
        $this->keep(['bags' => ['coarse-sand' => '1 gal'], 'prices' => ['coarse-sand' => '4.50'], 'have' => ['coarse-sand' => '2']]);
        self::assertResponseRedirects("/tanks/$this->tank/build");
        $this->browser->followRedirect();
        $row = $this->browser
            ->getCrawler()
            ->filter('.materials tbody tr')
            ->reduce(static fn ($r): bool => str_contains($r->text(), 'Coarse sand'));
        self::assertSame('2', trim($row->filter('td')->eq(6)->text()));
        self::assertSame('9.00', trim($row->filter('td')->eq(7)->text()));
        self::assertSame('3.79', $this->browser->getCrawler()->filter('#bags-coarse-sand')->attr('value'));
        self::assertSelectorExists('input[value="kit.bucket"][checked]');
        self::assertStringContainsString('9.00 for what has a price', $this->text('.totals'));
    }

    #[TestWith(['bags', '0', 'more than nothing'])]
    #[TestWith(['prices', 'dear', 'number'])]
    #[TestWith(['have', '-2', '0 or more'])]
    public function testWhatCannotBeReadIsToldBesideIt(string $column, string $typed, string $why): void
    {
        $this->keep([
            $column => ['coarse-sand' => $typed],
            'bags' => ['peat' => '5'] + ('bags' === $column ? ['coarse-sand' => $typed] : []),
        ]);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString($why, $this->text("#error-$column-coarse-sand"));
        self::assertSame(
            $typed,
            $this->browser
                ->getCrawler()
                ->filter("#$column-coarse-sand")
                ->attr('value'),
        );
        $this->browser->request('GET', "/tanks/$this->tank/build");
        self::assertSame('', $this->browser->getCrawler()->filter('#bags-peat')->attr('value'), 'nothing was kept by halves');
    }

    /** What the sheet lays and what stands full are the numbers that the command prints. */
    public function testTheSheetSaysWhatJudgeSays(): void
    {
        exec(
            escapeshellarg(\PHP_BINARY).
                ' '.
                escapeshellarg(\dirname(__DIR__, 2).'/bin/console').
                ' --env=test olvek:judge '.
                escapeshellarg(\dirname(__DIR__, 2).'/demo/waiting-hall.plan.json').
                ' --format=json',
            $lines,
            $code,
        );
        self::assertSame(0, $code);
        $judged = json_decode(implode("\n", $lines), true);
        self::assertIsArray($judged);
        $quantities = $judged['quantities'];
        self::assertIsArray($quantities);
        self::assertIsArray($quantities['materials']);
        $this->browser->request('GET', "/tanks/$this->tank/build");
        $laid = $this->browser
            ->getCrawler()
            ->filter('.materials tbody tr')
            ->each(static fn ($row): string => explode(' ', str_replace("\u{00A0}", ' ', $row->filter('td')->eq(0)->text()))[0]);
        self::assertSame(array_map(static fn (array $m): string => (string) round($m['litres'], 1), $quantities['materials']), $laid);
        self::assertStringContainsString(
            \sprintf('Weight when filled: %d kg', (int) round($quantities['fullMass'])),
            $this->text('.totals'),
        );
    }

    public function testTwoWindowsOnOneSheet(): void
    {
        $this->keep(['bags' => ['coarse-sand' => '4']]);
        $this->keep(['bags' => ['coarse-sand' => '6']], base: 0);
        self::assertResponseStatusCodeSame(409);
        self::assertStringContainsString('another window', $this->text('[role="alert"]'));
        self::assertSame('6', $this->browser->getCrawler()->filter('#bags-coarse-sand')->attr('value'), 'what was typed stands');
    }

    public function testNothingIsKeptWithoutTheToken(): void
    {
        $this->keep(['bags' => ['coarse-sand' => '4']], 'forged');
        self::assertResponseStatusCodeSame(422);
        $this->browser->request('POST', "/tanks/$this->tank/build/steps/soil", ['_token' => 'forged', 'state' => 'done']);
        self::assertResponseStatusCodeSame(422);
        $this->browser->request('GET', "/tanks/$this->tank/build");
        self::assertSelectorNotExists('.step-done');
    }

    public function testAStepIsTickedWithDateAndNoteAndUndone(): void
    {
        $this->mark('soil', 'done', ['day' => '2026-01-02', 'note' => ' a little <b>wet</b> ']);
        self::assertResponseRedirects("/tanks/$this->tank/build#step-soil");
        $this->browser->followRedirect();
        self::assertStringContainsString('Done 2 January 2026: a little <b>wet</b>', $this->text('#step-soil'));
        self::assertStringContainsString(
            'done too, or left out on purpose',
            $this->text('#step-rinse'),
            'what stands open before it is asked about',
        );
        self::assertSelectorNotExists('#step-fill .asked');
        $this->mark('rinse', 'skipped');
        $this->browser->followRedirect();
        self::assertStringContainsString('Left out', $this->text('#step-rinse'));
        $this->mark('soil', 'undo');
        $this->browser->followRedirect();
        self::assertSelectorExists('#step-soil button[value="done"]');
    }

    #[TestWith(['2026-02-31', 'year-month-day'])]
    #[TestWith(['2999-01-01', 'today or earlier'])]
    #[TestWith(['soon', 'year-month-day'])]
    public function testDaysThatAreNone(string $day, string $why): void
    {
        $this->mark('soil', 'done', ['day' => $day]);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString($why, $this->text('#error-step-soil'));
    }

    public function testANoteTooLongIsToldAndKeptInItsField(): void
    {
        $this->mark('soil', 'done', ['note' => str_repeat('long ', 100)]);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('at most 300', $this->text('#error-step-soil'));
        self::assertStringStartsWith(
            'long long',
            (string) $this->browser->getCrawler()->filter('#step-soil input[name="note"]')->attr('value'),
        );
    }

    public function testAStepThatThePlanDoesNotHaveIsNone(): void
    {
        $this->mark('mud', 'done');
        self::assertResponseStatusCodeSame(404);
    }

    public function testTheSums(): void
    {
        $this->browser->request('GET', "/tanks/$this->tank/build?dose=2&strength=10&from=40&to=25&tap=5");
        $net = $this->plan()->netWater();
        self::assertStringContainsString(\sprintf('%.3f g', (((2 * $net) / 1000) * 53.489) / 14.007), $this->text('.sums'));
        self::assertStringContainsString('43 % of the water', $this->text('.sums'));
        // A label of 5 mL for 40 L is 0.125 mL/L: for 15/35 of the free water, and for all that it is filled with, the bed's share too.
        $this->browser->request('GET', "/tanks/$this->tank/build?from=40&to=25&tap=5&treat=5&treats=40");
        $all = ShoppingList::waterToPrepare($this->plan());
        self::assertStringContainsString(
            \sprintf('with %.1f mL; the whole filling takes %.1f mL', (0.125 * $net * 15) / 35, 0.125 * $all),
            $this->text('.sums'),
        );
        $this->browser->request('GET', "/tanks/$this->tank/build?treat=5&treats=0");
        self::assertStringContainsString('above 0', $this->text('#error-treats'));
        $this->browser->request('GET', "/tanks/$this->tank/build?from=40&to=4&tap=5");
        self::assertStringContainsString('No change gets there', $this->text('.sums'));
        $this->browser->request('GET', "/tanks/$this->tank/build?from=lots&to=4");
        self::assertStringContainsString('not a number', $this->text('#error-from'));
    }

    public function testGettingUsedToAnotherWater(): void
    {
        $this->browser->request('GET', "/tanks/$this->tank/build?hardness=5&acidity=1&warmth=4");
        self::assertStringContainsString('Fish: float the bag for 24 min, then drip in tank water for 60 min', $this->text('.sums'));
        self::assertStringContainsString(
            'Shrimp and snails: float the bag for 24 min, then drip in tank water for 2 h',
            $this->text('.sums'),
        );
        $this->browser->request('GET', "/tanks/$this->tank/build?acidity=much");
        self::assertStringContainsString('not a number', $this->text('#error-acidity'));
    }

    /** Every line that is bought can have a price; there is one total of them and the bed. */
    public function testOneTotalOfAllThatIsBought(): void
    {
        $this->keep([
            'bags' => ['coarse-sand' => '3.79'],
            'prices' => ['coarse-sand' => '4.50'],
            'costs' => ['vessel' => '30', 'kit.tests' => '24.90'],
        ]);
        $this->browser->followRedirect();
        self::assertStringContainsString('63.90 for what has a price', $this->text('.totals'), 'two bags of sand, the vessel, the tests');
        $this->keep(['costs' => ['vessel' => 'a lot']]);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('not a number', $this->browser->getCrawler()->filter('[id="error-cost-vessel"]')->text());
    }

    public function testAllEarlierStepsAtOnce(): void
    {
        $this->mark('sieve', 'skipped');
        $page = $this->browser->request('GET', "/tanks/$this->tank/build");
        self::assertSelectorNotExists('.steps li:first-child form[action$="before"]', 'nothing stands before it');
        $token = $page->filter('#sheet input[name="_token"]')->attr('value');
        $this->browser->request('POST', "/tanks/$this->tank/build/steps/cap/before", ['_token' => 'forged']);
        self::assertResponseStatusCodeSame(422);
        $this->browser->request('POST', "/tanks/$this->tank/build/steps/cap/before", ['_token' => $token]);
        self::assertResponseRedirects("/tanks/$this->tank/build#step-cap");
        $page = $this->browser->followRedirect();
        $marked = $page->filter('.step-done')->extract(['id']);
        self::assertContains('step-soil', $marked);
        self::assertNotContains('step-cap', $marked);
        self::assertSelectorExists('#step-sieve.step-skipped', 'what was left out stays so');
        self::assertSelectorExists('#step-cap.step-next');
        $this->browser->request('POST', "/tanks/$this->tank/build/steps/mud/before", ['_token' => $token]);
        self::assertResponseStatusCodeSame(404);
    }

    public function testTheLampsProgrammeLeavesAsAFile(): void
    {
        $this->browser->request('GET', "/tanks/$this->tank/build/light.json");
        self::assertResponseIsSuccessful();
        $file = json_decode((string) $this->browser->getResponse()->getContent(), true);
        self::assertIsArray($file);
        self::assertSame('olvek.light', $file['format']);
        self::assertIsArray($file['entries']);
        self::assertCount(5, $file['entries'], '80 % and 5 more a week: 80, 85, 90, 95, 100');
        $this->browser->request('GET', "/tanks/$this->tank/build");
        self::assertStringContainsString('only if no algae show', $this->text('.build'));
    }

    /** Written by one library; read back here by its own reader, in the browser tests by another's. */
    public function testTheCareLeavesAsACalendar(): void
    {
        $this->browser->request('GET', "/tanks/$this->tank/build/care.ics?filled=2026-05-01");
        self::assertResponseIsSuccessful();
        $calendar = Reader::read((string) $this->browser->getResponse()->getContent());
        self::assertInstanceOf(VCalendar::class, $calendar);
        self::assertSame([], $calendar->validate(), 'valid by RFC 5545');
        $days = [];
        foreach ($calendar->select('VEVENT') as $event) {
            $days[(string) $event->__get('SUMMARY')] = (string) $event->__get('DTSTART');
        }
        self::assertSame('20260508', $days['Waiting hall: Check headcount, shading and front glass'], 'a week after filling');
        $uids = array_map(static fn ($e): string => (string) $e->__get('UID'), $calendar->select('VEVENT'));
        self::assertSame($uids, array_unique($uids));
        $this->browser->request('GET', "/tanks/$this->tank/build/care.ics?filled=yesterday");
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('year-month-day', $this->text('#error-filled'));
    }

    public function testTheDayOfFillingIsTheOneThatWasTicked(): void
    {
        $this->mark('fill', 'done', ['day' => '2026-03-04']);
        $this->browser->request('GET', "/tanks/$this->tank/build/care.ics");
        self::assertStringContainsString('20260311', (string) $this->browser->getResponse()->getContent());
    }

    /** Each line: the step, what is said of it, and the day from which the tank then counts. */
    public function testTheTankCountsFromItsFillingAndFromNoOtherStep(): void
    {
        foreach ([
            ['soil', 'done', '2026-03-01', null],
            ['fill', 'done', '2026-03-04', '2026-03-04'],
            ['fill', 'done', '2026-03-05', '2026-03-05'],
            ['fill', 'skipped', '2026-03-05', null],
            ['fill', 'done', '2026-03-06', '2026-03-06'],
            ['soil', 'undo', '', '2026-03-06'],
            ['fill', 'undo', '', null],
        ] as [$step, $state, $day, $counted]) {
            $this->mark($step, $state, ['day' => $day]);
            $tank = $this->service(TankRepository::class)->find($this->tank);
            self::assertSame($counted, $tank?->filledOn()?->format('Y-m-d'), "$step $state $day");
        }
    }
}
