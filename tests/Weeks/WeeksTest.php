<?php

declare(strict_types=1);

namespace Olvek\Tests\Weeks;

use Olvek\Core\Basis\Unit\Ion;
use Olvek\Service\Log\Entry;
use Olvek\Service\Site\Csv;
use Olvek\Service\Weeks\Forecasts;
use Olvek\Tests\BenchTestCase;
use Olvek\Tests\FilledTank;
use PHPUnit\Framework\Attributes\TestWith;

/** The first weeks' page: what is typed is read in the kit's own ion, kept whole or not at all, and moves what is shown. */
final class WeeksTest extends BenchTestCase
{
    use FilledTank;

    public function testBeforeItIsFilledThePageAsksForTheDay(): void
    {
        $this->browser->request('GET', "/tanks/$this->tank/today");
        self::assertResponseIsSuccessful();
        self::assertStringContainsString('When was it filled?', $this->text('#today'));
        $this->post('filled', ['day' => '2999-01-01']);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('today or earlier', $this->text('#error-filled'));
        $this->fill(3);
        $this->browser->request('GET', "/tanks/$this->tank/today");
        self::assertStringContainsString('Day 3', $this->text('.weeks-line'));
        self::assertStringContainsString('Test today: it was due on day 1', $this->text('#today'));
    }

    /** 0.5 mg/L as NH4 is 0.388 mg N/L, as NH3 0.411, as N itself 0.5. */
    #[TestWith(['NH4', 0.5, 0.3883])]
    #[TestWith(['NH3', 0.5, 0.4112])]
    #[TestWith(['N', 0.5, 0.5])]
    public function testReadingsAreKeptAsNitrogenWhateverTheKitCounts(string $ion, float $typed, float $kept): void
    {
        $this->fill(5);
        $this->post('test', [
            'test' => ['ammonia' => (string) $typed, 'nitrite' => '0,2', 'temperature' => '73.4 °F'],
            'counts' => ['ammonia' => $ion, 'nitrite' => 'NO2', 'nitrate' => 'NO3'],
        ]);
        self::assertResponseRedirects("/tanks/$this->tank/today#today");
        $values = array_column(array_map(static fn (Entry $e): array => [$e->what, $e->amount], $this->entries()), 1, 0);
        self::assertEqualsWithDelta($kept, $values['ammonia'], 1e-4);
        self::assertEqualsWithDelta(Ion::Nitrite->toElement(0.2), $values['nitrite'], 1e-9);
        self::assertEqualsWithDelta(23.0, $values['temperature'], 1e-9);
        $this->browser->followRedirect();
        self::assertSelectorExists("#counts-ammonia option[value=\"$ion\"][selected]", 'the kit is remembered');
        self::assertStringContainsString("0.50 mg/L as $ion", strtr($this->text('.log'), ['₃' => '3', '₄' => '4']));
        self::assertStringContainsString('Next test on day', $this->text('#today-title'));
    }

    #[TestWith(['nitrite', 'a lot', 'not a number'])]
    #[TestWith(['nitrite', '-1', 'Outside the possible range'])]
    #[TestWith(['ph', '74', 'Outside the possible range'])]
    #[TestWith(['temperature', '12 kg', 'kg'])]
    public function testWhatCannotBeReadKeepsNothingAndLosesNothing(string $measure, string $typed, string $why): void
    {
        $this->fill(5);
        $this->post('test', ['test' => ['ammonia' => '0.25', $measure => $typed], 'day' => '']);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString($why, $this->text("#error-$measure"));
        self::assertSame(
            $typed,
            $this->browser
                ->getCrawler()
                ->filter("#test-$measure")
                ->attr('value'),
        );
        self::assertSame('0.25', $this->browser->getCrawler()->filter('#test-ammonia')->attr('value'));
        self::assertSame([], $this->entries());
    }

    public function testAnEmptyTestAndADayAheadAreTold(): void
    {
        $this->fill(5);
        $this->post('test', ['test' => ['ammonia' => ' ']]);
        self::assertStringContainsString('at least one reading', $this->text('[role="alert"]'));
        $this->post('test', ['test' => ['ammonia' => '0'], 'day' => (new \DateTimeImmutable('+3 days'))->format('Y-m-d')]);
        self::assertStringContainsString('today or earlier', $this->text('#error-day'));
        self::assertSame([], $this->entries());
    }

    public function testGatesMoveWithReadingsAndWhatIsDone(): void
    {
        $this->send(['start.way' => 'borrowed', 'animals.a1.day' => '1']);
        $this->fill(2);
        $this->post('done', ['kind' => 'seed', 'amount' => '1', 'day' => $this->day(-2)]);
        foreach ([-1, 0] as $day) {
            $this->post('test', ['test' => ['ammonia' => '0', 'nitrite' => '0'], 'day' => $this->day($day)]);
        }
        $this->browser->followRedirect();
        self::assertSelectorExists('#gate-seed.gate-passed');
        self::assertSelectorExists('#gate-fit.gate-passed');
        self::assertSelectorExists('#gate-group-a1.gate-ready');
        self::assertStringContainsString('ready', $this->text('.weeks-next'));
        $this->post('done', ['kind' => 'stock', 'amount' => '4', 'of' => 'a1']);
        $this->browser->followRedirect();
        self::assertStringContainsString('done, day 2', $this->text('#gate-group-a1'));
        self::assertStringContainsString('4 × ', $this->text('.log'));
        $this->browser->submit(
            $this->browser
                ->getCrawler()
                ->filter('.log li')
                ->reduce(static fn ($li): bool => str_contains($li->text(), 'came'))
                ->filter('button')
                ->form(),
        );
        $this->browser->followRedirect();
        self::assertSelectorExists('#gate-group-a1.gate-ready', 'taken back');
    }

    /** @param array<string, string> $done */
    #[TestWith([['kind' => 'burn', 'amount' => '1']])]
    #[TestWith([['kind' => 'change', 'amount' => '3']])]
    #[TestWith([['kind' => 'dose', 'amount' => 'much']])]
    #[TestWith([['kind' => 'stock', 'amount' => '3', 'of' => 'whales']])]
    #[TestWith([['kind' => 'stock', 'amount' => '0', 'of' => 'a1']])]
    #[TestWith([['kind' => 'stock', 'amount' => '9999', 'of' => 'a1']])]
    #[TestWith([['kind' => 'feed', 'amount' => '1001']])]
    #[TestWith([['kind' => 'melt-out', 'amount' => 'NAN']])]
    #[TestWith([['kind' => 'task', 'amount' => '0']])]
    public function testWhatIsDoneButCannotBeAreTurnedAway(array $done): void
    {
        $this->fill(5);
        $this->post('done', $done);
        self::assertResponseStatusCodeSame(422);
        self::assertSame([], $this->entries());
    }

    public function testAlgaeSeenTakeTheLampBack(): void
    {
        // The waiting hall begins at 80 % and rises by 5 a week: in the second week there is a step to go back.
        $this->fill(12);
        $this->browser->request('GET', "/tanks/$this->tank/today");
        self::assertStringContainsString('This week 85 %', $this->text('#lamp'));
        self::assertStringContainsString('From day 14: 90 %', $this->text('#lamp'));
        $this->post('algae', ['show' => 'yes']);
        $this->browser->followRedirect();
        self::assertStringContainsString('to 80 %', $this->text('#today'));
        self::assertStringContainsString('From day 14: 80 %', $this->text('#lamp'));
    }

    /** The forecast comes in parts, as the page's script asks for them, and all at once for whoever has none. */
    public function testTheForecastIsCalculatedInPartsAndReplans(): void
    {
        $this->send(['start.way' => 'waiting', 'animals.a1.day' => '5']);
        $this->fill(6);
        foreach ([[-5, '1', '0'], [-3, '2', '0.2'], [-1, '2', '0.5']] as [$day, $ammonia, $nitrite]) {
            $this->post('test', ['test' => ['ammonia' => $ammonia, 'nitrite' => $nitrite], 'day' => $this->day($day)]);
        }
        $token = $this->token();
        $this->browser->request('GET', "/tanks/$this->tank/weeks/ahead");
        self::assertResponseStatusCodeSame(204);
        for ($part = 0; $part < Forecasts::PARTS; ++$part) {
            $this->browser->request('POST', "/tanks/$this->tank/weeks/ahead/$part", ['_token' => $token]);
            self::assertSame(
                ['done' => Forecasts::PARTS - 1 === $part, 'of' => Forecasts::PARTS],
                json_decode((string) $this->browser->getResponse()->getContent(), true),
            );
        }
        $this->browser->request('POST', "/tanks/$this->tank/weeks/ahead/".Forecasts::PARTS, ['_token' => $token]);
        self::assertResponseStatusCodeSame(404);
        $this->browser->request('GET', "/tanks/$this->tank/today");
        self::assertSelectorExists('.forecast');
        self::assertSelectorCount(6, '.read-dot');
        self::assertStringContainsString('off the forecast', $this->text('#ahead'));
        self::assertStringContainsString('planned for day 5', $this->text('.expected'), 'three weeks of waiting come first');
        $before = $this->revisions();
        $this->browser->submitForm('Use these dates in the plan');
        self::assertResponseRedirects("/tanks/$this->tank/today#ahead");
        self::assertSame($before + 1, $this->revisions());
        self::assertGreaterThanOrEqual(21, $this->plan()->groups[0]->day);
    }

    public function testWithoutScriptAllIsCalculatedAtOnce(): void
    {
        $this->fill(2);
        $this->browser->request('GET', "/tanks/$this->tank/weeks?ahead=1");
        self::assertResponseRedirects("/tanks/$this->tank/today#ahead");
        $this->browser->followRedirect();
        self::assertSelectorExists('.forecast');
        self::assertStringContainsString('Three readings', $this->text('#ahead'));
    }

    public function testTheLogbookLeavesAsAFile(): void
    {
        $this->fill(2);
        $this->post('test', ['test' => ['nitrate' => '10', 'ph' => '7.4']]);
        $this->browser->request('GET', "/tanks/$this->tank/weeks/log.csv");
        // As RFC 4180 and spreadsheets expect it.
        $text = $this->browser->getInternalResponse()->getContent();
        self::assertStringStartsWith(Csv::BYTE_ORDER_MARK.'day,', $text);
        self::assertSame(substr_count($text, "\n"), substr_count($text, "\r\n"));
        $lines = array_map(static fn (string $line): array => str_getcsv($line, escape: ''), explode("\r\n", trim(substr($text, 3))));
        self::assertSame(
            ['day', 'after_filling', 'kind', 'what', 'amount', 'unit', 'of', 'words', 'made_up', 'note', 'cause', 'id'],
            $lines[0],
        );
        self::assertSame('mg/L as N', $lines[1][5]);
        self::assertSame([$this->day(0), '2', 'reading', 'nitrate'], \array_slice($lines[1], 0, 4));
        self::assertEqualsWithDelta(Ion::Nitrate->toElement(10), (float) $lines[1][4], 1e-6);
    }

    #[TestWith(['test'])]
    #[TestWith(['done'])]
    #[TestWith(['algae'])]
    #[TestWith(['filled'])]
    #[TestWith(['ahead/0'])]
    #[TestWith(['replan'])]
    public function testNothingIsWrittenWithoutTheToken(string $where): void
    {
        $this->fill(3);
        $this->browser->request('POST', "/tanks/$this->tank/weeks/$where", [
            '_token' => 'forged',
            'kind' => 'seed',
            'amount' => '1',
            'test' => ['ammonia' => '1'],
            'show' => 'yes',
            'day' => $this->day(-1),
        ]);
        self::assertResponseStatusCodeSame(422);
        self::assertSame([], $this->entries());
    }
}
