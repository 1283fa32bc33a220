<?php

declare(strict_types=1);

namespace Olvek\Tests\Estimate;

use Olvek\Core\Keeping\Log\Log;
use Olvek\Service\Estimate\TankHistory;
use Olvek\Service\Log\TankState;
use Olvek\Service\Tank\TankRepository;
use Olvek\Tests\BenchTestCase;
use Olvek\Tests\FilledTank;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Component\DomCrawler\Crawler;

/** A tank as it is today, its charts, and what is asked of it. */
#[Group('any-database')]
final class TodayTest extends BenchTestCase
{
    use FilledTank {
        log as send_;
    }

    /** @param array<string, mixed> $sent */
    protected function log(array $sent): void
    {
        $this->send_($sent);
        self::assertResponseIsSuccessful();
    }

    /** Asks until what takes long is done, as the page does by itself. */
    private function patiently(string $address): Crawler
    {
        for ($n = 0; $n < 40; ++$n) {
            $page = $this->browser->request('GET', $address, server: ['HTTP_OLVEK_PARTS' => '{}']);
            if (202 !== $this->browser->getResponse()->getStatusCode()) {
                return $page;
            }
        }
        self::fail("$address was never done");
    }

    /** Olvek runs three years: the day before their end is estimated, their end is not, and all that was read is still shown. */
    public function testATankOlderThanARunSaysSo(): void
    {
        $ends = 'Olvek runs the first three years';
        $head = $this->service(TankRepository::class)->head($this->stored());
        $life = fn (int $day): TankHistory => new TankHistory(
            new \DateTimeImmutable(),
            $day,
            $head,
            $this->plan(),
            TankState::of($head->plan, new \DateTimeImmutable(), $day, new Log(), ''),
        );
        self::assertSame([true, false], [$life(1094)->isRun(), $life(1095)->isRun()]);
        $this->fill(1095);
        $this->log(['kind' => 'read', 'test' => ['nitrate' => '10'], 'day' => $this->day(-30)]);
        $this->log(['kind' => 'read', 'test' => ['nitrate' => '5']]);
        self::assertStringContainsString($ends, $this->browser->request('GET', "/tanks/$this->tank/today")->filter('main')->text());
        $this->browser->request('GET', "/tanks/$this->tank/today/ask?topic=lamp");
        self::assertResponseStatusCodeSame(404);
        $page = $this->browser->request('GET', "/tanks/$this->tank/log/charts");
        self::assertResponseStatusCodeSame(200);
        self::assertCount(2, $page->filter('.read-dot'));
        $report = $this->browser->request('GET', "/tanks/$this->tank/report?month=".substr($this->day(0), 0, 7));
        self::assertStringContainsString('NO₃', $report->filter('main')->text());
        self::assertStringNotContainsString('What went round', $report->filter('main')->text());
        $this->browser->request('GET', '/stock');
        self::assertResponseIsSuccessful();
        $page = $this->browser->request('GET', '/tanks/new/running');
        $this->browser->submit($page->selectButton('Take it over')->form(), ['filled' => $this->day(-1095)]);
        self::assertStringContainsString($ends, $this->browser->getCrawler()->filter('main')->text());
    }

    public function testChartsShowWhatWasReadAndSayItAsATable(): void
    {
        $this->fill(40);
        $this->log(['kind' => 'read', 'test' => ['nitrate' => '10', 'ph' => '7.2'], 'day' => $this->day(-30)]);
        $this->log(['kind' => 'did', 'what' => 'change', 'day' => $this->day(-20)]);
        $this->log(['kind' => 'read', 'test' => ['nitrate' => '5']]);
        $page = $this->patiently("/tanks/$this->tank/log/charts");
        self::assertResponseIsSuccessful();
        self::assertSame(['Nitrate', 'pH'], $page->filter('.chart-small figcaption a')->each(static fn ($c): string => trim($c->text())));
        $last = str_replace("\u{A0}", ' ', $page->filter('.chart-small strong')->first()->text());
        self::assertSame('5.0 mg/L as NO₃', $last, 'the last reading');
        self::assertCount(2, $page->filter('.chart-small')->first()->filter('.read-dot'));
        self::assertCount(0, $page->filter('.chart'), 'none is large before it is chosen');
        $page = $this->browser->click($page->selectLink('Nitrate')->link());
        self::assertSame('Nitrate, mg/L as NO₃', trim($page->filter('.chart figcaption span')->text()));
        self::assertCount(1, $page->filter('.chart'), 'one at a time');
        self::assertSame('Nitrate', trim($page->filter('.chart-small [aria-current]')->text()));
        self::assertCount(2, $page->filter('.chart')->first()->filter('.read-dot'));
        self::assertCount(1, $page->filter('.chart')->first()->filter('.chart-mark'), 'what was done is marked');
        self::assertCount(1, $page->filter('.chart')->first()->filter('.ahead-band'));
        self::assertCount(1, $page->filter('.chart')->first()->filter('.ahead-planned'));
        $row = str_replace("\u{A0}", ' ', $page->filter('tbody tr')->first()->text());
        self::assertMatchesRegularExpression('/^10 10 mg\/L as NO₃ [\d.]+ to [\d.]+ [\d.]+ to [\d.]+$/', $row);

        $page = $this->browser->request('GET', "/tanks/$this->tank/log/charts?span=week&chart=ph");
        self::assertCount(1, $page->filter('figcaption'), 'pH was not read this week, so that it is not large either');
        self::assertCount(1, $page->filter('.read-dot'));
        $this->browser->click($page->selectLink('‹ before')->link());
        self::assertStringContainsString('Nothing was read in this stretch', $this->text('.log-line'));

        $this->browser->request('GET', "/tanks/$this->tank/log/charts.csv");
        $lines = explode("\n", trim((string) $this->browser->getResponse()->getContent()));
        self::assertCount(4, $lines);
        self::assertMatchesRegularExpression('/^10,'.$this->day(-30).',nitrate,,2\.259\d*,"mg\/L as N"(,[\d.]+){6}\r$/', $lines[1]);
    }

    /** @param non-empty-string $where */
    #[TestWith(['/log/charts'])]
    #[TestWith(['/log/charts.csv'])]
    public function testChartsOfATankThatIsNotFilledAreEmpty(string $where): void
    {
        $this->browser->request('GET', "/tanks/$this->tank$where");
        self::assertResponseIsSuccessful();
    }

    public function testAChartIsADrawingOfItsOwn(): void
    {
        $this->fill(20);
        $this->log(['kind' => 'read', 'test' => ['nitrate' => '10'], 'day' => $this->day(-5)]);
        $this->log(['kind' => 'measure', 'test' => ['height@c1' => '12']]);
        foreach (['nitrate' => 'Nitrate', 'height-c1' => 'Height: Straight vallisneria'] as $name => $words) {
            $this->browser->request('GET', "/tanks/$this->tank/log/charts/$name.svg");
            self::assertResponseIsSuccessful();
            $svg = simplexml_load_string((string) $this->browser->getResponse()->getContent());
            self::assertInstanceOf(\SimpleXMLElement::class, $svg);
            self::assertStringContainsString($words, (string) $svg->title);
            self::assertStringContainsString('.read-dot', (string) $svg->style);
            self::assertStringNotContainsString('var(', (string) $svg->style);
        }
        $this->browser->request('GET', "/tanks/$this->tank/log/charts/kh.svg");
        self::assertResponseStatusCodeSame(404);
    }

    public function testATankThatIsNotFilledIsNotEstimated(): void
    {
        $this->browser->request('GET', "/tanks/$this->tank/today");
        self::assertResponseIsSuccessful();
        self::assertStringContainsString('Not filled yet', $this->text('.log-line'));
        $this->browser->request('GET', "/tanks/$this->tank/today/ask?topic=away");
        self::assertResponseStatusCodeSame(404);
    }

    public function testItSaysWhatItHoldsHowSureAndWhatToReadNext(): void
    {
        $this->fill(40);
        $this->log(
            ['kind' => 'read', 'test' => ['nitrate' => '10', 'kh' => '6', 'ph-dawn' => '6.8', 'ph-dusk' => '7.9'], 'day' => $this->day(-2)],
        );
        $page = $this->browser->request('GET', "/tanks/$this->tank/today");
        self::assertResponseStatusCodeSame(200, 'the page itself never waits');
        self::assertStringContainsString('Day 40', $this->text('.log-line'));
        self::assertCount(0, $page->filter('.estimated'));
        $page = $this->patiently("/tanks/$this->tank/today/estimate");
        self::assertSame(['tank', 'verdict', 'estimate'], $page->filter('[data-part]')->extract(['data-part']));
        self::assertStringContainsString('From 4 readings', $page->filter('#estimate')->text());
        self::assertStringContainsString('of 48 simulated tanks', strtolower($this->text('.verdict-line')));
        self::assertCount(21, $page->filter('.estimated'));
        self::assertCount(4, $page->filter('.estimated .read-dot'));
        self::assertStringContainsString('By the pH of day', $page->text());
        self::assertGreaterThan(0, $page->filter('ol.as-is-list li')->count());
        self::assertGreaterThan(5, $page->filter('.ask-topic form')->count());
        // What was worked out is known, until another line is written.
        $this->browser->request('GET', "/tanks/$this->tank/today");
        self::assertCount(21, $this->browser->getCrawler()->filter('.estimated'));
    }

    /** Whoever has no script is led back to the page, and goes on from there. */
    public function testWithoutScriptsTheEstimateIsWorkedOutAllTheSame(): void
    {
        $this->fill(5);
        for ($n = 0; $n < 40; ++$n) {
            $page = $this->browser->request('GET', "/tanks/$this->tank/today");
            if ($page->filter('.estimated')->count() > 0) {
                self::assertGreaterThan(0, $n);

                return;
            }
            $this->browser->click($page->selectLink('Work it out')->link());
            self::assertResponseRedirects("/tanks/$this->tank/today#estimate");
        }
        self::fail('it was never worked out');
    }

    public function testWhatWasPlannedIsLoggedOrTakenOutAsTheKeeperSays(): void
    {
        $this->fill(40);
        $this->send(['events.add.change' => '20', 'events.add.leaves' => '25']);
        $page = $this->patiently("/tanks/$this->tank/today/estimate");
        $forms = $page->filter('form[action*="/happened/"]');
        self::assertCount(2, $forms);
        $this->browser->submit($forms->eq(0)->selectButton('It did: water change, day 20')->form());
        self::assertResponseRedirects();
        $entries = $this->entries();
        self::assertSame('change', $entries[0]->what);
        self::assertSame($this->day(-20), $entries[0]->on->format('Y-m-d'));
        $page = $this->patiently("/tanks/$this->tank/today/estimate");
        $this->browser->submit(
            $page->filter('form[action*="/happened/"]')->selectButton('It did not: dead leaves laid in, day 25')->form(),
        );
        self::assertResponseRedirects();
        self::assertNotContains(25, array_map(static fn ($e): int => $e->day, $this->plan()->events), 'it is out of the plan');
        $page = $this->patiently("/tanks/$this->tank/today/estimate");
        self::assertCount(0, $page->filter('form[action*="/happened/"]'));
        $this->browser->request('POST', "/tanks/$this->tank/today/happened/e1", ['_token' => 'stale', 'did' => 'yes']);
        self::assertResponseStatusCodeSame(422);
        self::assertCount(1, $this->entries());
    }

    public function testAQuestionIsComparedAndPlanned(): void
    {
        $this->fill(40);
        $this->log(['kind' => 'did', 'what' => 'stock', 'of' => 'a1', 'amount' => '10', 'day' => $this->day(-10)]);
        $this->patiently("/tanks/$this->tank/today/estimate");
        $page = $this->patiently("/tanks/$this->tank/today/ask?topic=more&of=a1&amount=4");
        self::assertResponseIsSuccessful();
        self::assertStringContainsString('4 more ramshorn snails', $this->text('h1'));
        self::assertStringContainsString('of 48 simulated tanks', strtolower($this->text('.verdict-line')));
        self::assertCount(10, $page->filter('.compared tbody tr'));
        $this->browser->submit($page->selectButton('Plan it for tomorrow: 4 more ramshorn snails')->form());
        self::assertResponseRedirects();
        $this->browser->request('GET', "/tanks/$this->tank/plan.json");
        self::assertStringContainsString('"stock"', (string) $this->browser->getResponse()->getContent());
        $page = $this->patiently("/tanks/$this->tank/today/ask?topic=away&amount=10");
        self::assertStringContainsString('Do not feed', $page->filter('.sitter')->text());
    }

    public function testWhatCannotBeAskedIsToldBesideIt(): void
    {
        $this->fill(5);
        $this->log(['kind' => 'did', 'what' => 'stock', 'of' => 'a1', 'amount' => '10', 'day' => $this->day(-1)]);
        $this->patiently("/tanks/$this->tank/today/estimate");
        foreach ([
            ['topic=more&of=a1&amount=many', 422, 'is not a number'],
            ['topic=more&of=a1&amount=2.5', 422, 'A whole number from 1 to 5000'],
            ['topic=more&of=a1&amount=5001', 422, 'A whole number from 1 to 5000'],
            ['topic=light&amount=24.1', 422, 'An amount from 0 h to 24 h'],
            ['topic=kind&of=unicorn', 404, ''],
            ['topic=weather', 404, ''],
        ] as [$query, $status, $why]) {
            $this->browser->request('GET', "/tanks/$this->tank/today/ask?$query");
            self::assertResponseStatusCodeSame($status, $query);
            if ('' !== $why) {
                self::assertStringContainsString($why, str_replace("\u{A0}", ' ', $this->text('#amount-error')));
            }
        }
    }

    public function testAMonthIsReported(): void
    {
        $this->browser->request('GET', "/tanks/$this->tank/report");
        self::assertStringContainsString('Not filled yet', $this->text('.log-line'));
        $this->fill(70);
        $this->log(['kind' => 'read', 'test' => ['nitrate' => '10']]);
        $this->log(['kind' => 'read', 'test' => ['nitrate' => '30'], 'day' => $this->day(-69)]);
        $this->log(['kind' => 'did', 'what' => 'lost', 'of' => 'a1', 'amount' => '2', 'cause' => 'jumped']);
        $this->log(['kind' => 'saw', 'what' => 'young', 'of' => 'a1', 'count' => '5']);
        $this->log(['kind' => 'note', 'note' => 'moved the wood']);
        $page = $this->browser->request('GET', "/tanks/$this->tank/report?month=".substr($this->day(0), 0, 7));
        self::assertResponseIsSuccessful();
        $text = str_replace("\u{A0}", ' ', $page->filter('.report')->text());
        self::assertStringContainsString('Nitrate 1 reading 10 mg/L as NO₃', $text);
        self::assertStringContainsString('5 young seen; 2 died: 2 jumped out', $text);
        self::assertStringContainsString('moved the wood', $text);
        self::assertStringContainsString('In with food', $text);
        $page = $this->browser->request('GET', "/tanks/$this->tank/report?span=year");
        self::assertStringContainsString('2 readings', $page->filter('.report')->text());
        $month = (new \DateTimeImmutable($this->day(-69)))->format('Y-m');
        $page = $this->browser->request('GET', "/tanks/$this->tank/report?month=$month");
        self::assertStringContainsString('30 mg/L', str_replace("\u{A0}", ' ', $page->filter('.report')->text()));
        self::assertCount(0, $page->filter('.log-line a')->reduce(static fn (Crawler $a): bool => str_starts_with($a->text(), '‹')));
        foreach (['month=soon', 'month=1999-01', 'month=2999-12'] as $query) {
            $this->browser->request('GET', "/tanks/$this->tank/report?$query");
            self::assertResponseIsSuccessful();
        }
    }
}
