<?php

declare(strict_types=1);

namespace Olvek\Tests\Log;

use Olvek\Log\Entry;
use Olvek\Log\ImportColumn;
use Olvek\Log\LogImport;
use Olvek\Tests\BenchTestCase;
use Olvek\Tests\FilledTank;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Component\DomCrawler\Crawler;

/** Tables that were kept elsewhere: columns told by hand, each line taken or refused, nothing doubled. */
final class ImportTest extends BenchTestCase
{
    use FilledTank;

    /** @param array<string, mixed> $sent */
    private function import(array $sent): Crawler
    {
        $token = $this->browser->request('GET', "/tanks/$this->tank/log/import")->filter('main input[name="_token"]')->attr('value');

        return $this->browser->request('POST', "/tanks/$this->tank/log/import", ['_token' => $token, ...$sent]);
    }

    /** @return list<string> */
    private function lines(): array
    {
        return array_map(
            static fn (Entry $e): string => $e->on->format('Y-m-d')." $e->what ".round((float) $e->amount, 3),
            $this->entries(),
        );
    }

    public function testColumnsAreGuessedAndToldByHand(): void
    {
        $this->fill(60);
        $dot = static fn (string $day): string => (new \DateTimeImmutable($day))->format('d.m.Y');
        [$one, $two] = [$this->day(-20), $this->day(-10)];
        $text = "Date;NO3 (mg/l);pH;KH;Temp;Tester;Notes\n{$dot($one)};20;7,2;5;23,5;me;\"cut\nback\"\n{$dot($two)} 18:30;<1;7,4;;24;me;\n";
        $page = $this->import(['text' => $text]);
        self::assertResponseIsSuccessful();
        $chosen = $page->filter('.import-columns option[selected]')->each(static fn (Crawler $o): ?string => $o->attr('value'));
        self::assertSame(['day', 'nitrate:NO3', 'ph:pH', 'kh:dH', 'temperature:degC', 'note'], $chosen);
        self::assertSame('dmy-dot', $page->filter('select[name="dates"] option[selected]')->attr('value'));
        self::assertCount(0, $this->entries(), 'nothing is taken at first sight');
        // Told otherwise than guessed: this kit counts nitrogen, and hardness is in ppm.
        $map = ['day', 'nitrate:N', 'ph:pH', 'kh:ppmCaCO3', 'temperature:degC', '', 'note'];
        $page = $this->import(['text' => $text, 'map' => $map, 'dates' => 'dmy-dot']);
        self::assertStringContainsString('8 lines taken', $page->filter('[role="status"]')->text());
        self::assertContains("$one nitrate 20", $this->lines());
        self::assertContains("$two nitrate 0", $this->lines(), 'what is less than a test shows is nothing');
        self::assertContains("$one kh 0.28", $this->lines());
        self::assertContains("$one temperature 23.5", $this->lines());
        $page = $this->import(['text' => $text, 'map' => $map, 'dates' => 'dmy-dot']);
        self::assertStringContainsString('0 lines taken, 8 stood here already', $page->filter('[role="status"]')->text());
        self::assertCount(8, $this->entries());
    }

    public function testEachLineIsRefusedWithItsReason(): void
    {
        $this->fill(10);
        [$early, $good, $ahead] = [$this->day(-11), $this->day(-10), $this->day(1)];
        $text = "day,ph,kh\n$early,7,5\n$ahead,7,5\nsoon,7,5\n$good,seven,5\n$good,2,5\n$good,7,5\n";
        $page = $this->import(['text' => $text, 'map' => ['day', 'ph:pH', 'kh:dH'], 'dates' => 'ymd']);
        $faults = $page->filter('.import-faults li')->each(static fn (Crawler $li): string => $li->text());
        self::assertCount(5, $faults);
        self::assertStringStartsWith('line 2: The tank was filled on', $faults[0]);
        self::assertStringStartsWith('line 3: This day lies ahead', $faults[1]);
        self::assertStringStartsWith('line 4: The day is none', $faults[2]);
        self::assertStringContainsString('line 5: pH: “seven” is not a number', $faults[3]);
        self::assertStringContainsString('line 6: pH: 2 lies outside', $faults[4]);
        self::assertSame(["$good kh 5", "$good ph 7"], array_values(array_unique((static function (array $l): array {
            sort($l);

            return $l;
        })($this->lines()))));
    }

    public function testALogbookThatOlvekWroteComesBackAsItWas(): void
    {
        $other = $this->newTank($this->keeper);
        $this->fill(30);
        $this->import(['text' => "day,ph\n".$this->day(-3).",7.1\n", 'map' => ['day', 'ph:pH'], 'dates' => 'ymd']);
        $this->post('done', ['kind' => 'seed', 'amount' => '1', 'day' => $this->day(-2)]);
        $before = $this->lines();
        $this->browser->request('GET', "/tanks/$this->tank/weeks/log.csv");
        $text = $this->browser->getInternalResponse()->getContent();
        self::assertStringStartsWith('day,after_filling,kind,what', $text);
        $page = $this->import(['text' => $text]);
        self::assertStringContainsString('0 lines taken, 2 stood here already', $page->filter('[role="status"]')->text());
        self::assertSame($before, $this->lines());
        // Another tank's logbook is lines of its own, once.
        $first = $this->tank;
        $this->tank = $other;
        $this->fill(30);
        self::assertStringContainsString('2 lines taken', $this->import(['text' => $text])->filter('[role="status"]')->text());
        self::assertStringContainsString('2 stood here already', $this->import(['text' => $text])->filter('[role="status"]')->text());
        self::assertSame($before, $this->lines());
        $this->tank = $first;
        self::assertSame($before, $this->lines());
        $page = $this->import(['text' => "day,kind,what,amount,of,words\n".$this->day(-1).",reading,luck,1,,\n"]);
        self::assertStringContainsString('is not known', $page->filter('.import-faults')->text());
    }

    /** @param array<string, mixed> $sent */
    #[TestWith([['text' => ' '], 'Choose a file'])]
    #[TestWith([['text' => "day,ph\n2026-01-01,7\n", 'map' => ['', 'ph:pH']], 'which column holds the day'])]
    #[TestWith([['text' => "day,ph\n2026-01-01,7\n", 'map' => ['day', '']], 'beside the day'])]
    #[TestWith([['_token' => 'stale', 'text' => "day,ph\n"], 'has expired'])]
    #[TestWith([['text' => "day,\xff\n"], 'not UTF-8'])]
    public function testWhatCannotBeReadIsSaid(array $sent, string $why): void
    {
        $this->fill(10);
        $page = $this->import($sent);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString($why, $page->filter('#import-fault')->text());
        self::assertCount(0, $this->entries());
    }

    public function testLinesAreTakenUpToABound(): void
    {
        $this->fill(10);
        $day = $this->day(-1);
        $page = $this->import(['text' => "day,ph\n".str_repeat("$day,7\n", LogImport::MOST_LINES)]);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('import it in parts', $page->filter('#import-fault')->text());
        $text = "day,ph\n".str_repeat("$day,7\n", LogImport::MOST_LINES - 1);
        $this->import(['text' => $text, 'map' => ['day', 'ph:pH'], 'dates' => 'ymd']);
        self::assertResponseIsSuccessful();
        self::assertCount(1, $this->entries(), 'the same line is one');
    }

    public function testATankThatIsNotFilledTakesNone(): void
    {
        $page = $this->import(['text' => "day,ph\n2026-01-01,7\n"]);
        self::assertStringContainsString('not been filled', $page->filter('#import-fault')->text());
    }

    public function testEveryChoiceOfAColumnIsOne(): void
    {
        foreach (array_keys(ImportColumn::choices()) as $id) {
            self::assertSame(!\in_array($id, ['day', 'note'], true), null !== ImportColumn::named($id), $id);
        }
        self::assertNull(ImportColumn::named('nitrate:gold'));
    }
}
