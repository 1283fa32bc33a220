<?php

declare(strict_types=1);

namespace Olvek\Tests\Estimate;

use Olvek\Page\Estimate\ReportController;
use Olvek\Tests\BenchTestCase;
use Olvek\Tests\FilledTank;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Component\DomCrawler\Crawler;

/** A month of a tank on a page. */
final class ReportTest extends BenchTestCase
{
    use FilledTank;

    #[TestWith(['2026-01-01', '2026-03-15', '2026-02-01'], 'the month before')]
    #[TestWith(['2026-01-01', '2026-03-31', '2026-03-01'], 'this one, on its last day')]
    #[TestWith(['2026-01-01', '2026-03-30', '2026-02-01'])]
    #[TestWith(['2026-02-01', '2026-03-15', '2026-02-01'], 'filled on its first day')]
    #[TestWith(['2026-02-02', '2026-03-15', '2026-03-01'], 'a day later')]
    #[TestWith(['2025-01-01', '2026-01-10', '2025-12-01'], 'over the turn of the year')]
    public function testItOpensOnTheLastWholeMonth(string $filled, string $today, string $month): void
    {
        self::assertSame(
            $month,
            ReportController::lastWhole(new \DateTimeImmutable($filled), new \DateTimeImmutable($today))->format('Y-m-d'),
        );
    }

    public function testAMonthStandsBesideTheYear(): void
    {
        $this->fill(200);
        $this->log(['kind' => 'read', 'test' => ['nitrate' => '40'], 'day' => $this->day(-150)]);
        $this->log(['kind' => 'read', 'test' => ['nitrate' => '10']]);
        $month = substr($this->day(0), 0, 7);
        $page = $this->browser->request('GET', "/tanks/$this->tank/report?month=$month");
        self::assertResponseIsSuccessful();
        $cells = $page->filter('.compared tbody tr')->first()->filter('td')->each(
            static fn (Crawler $cell): string => str_replace("\u{A0}", ' ', $cell->text()),
        );
        self::assertSame('10 mg/L as NO₃', $cells[0]);
        self::assertSame('10 mg/L as NO₃ to 40 mg/L as NO₃', $cells[4]);
        $year = $this->browser->request('GET', "/tanks/$this->tank/report?span=year");
        self::assertCount(4, $year->filter('.compared tbody tr')->first()->filter('td'), 'the year by itself');
    }
}
