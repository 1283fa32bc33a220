<?php

declare(strict_types=1);

namespace Olvek\Tests\Log;

use Olvek\Core\Basis\Unit\TextTable;
use Olvek\Service\Log\Entry;
use Olvek\Service\Log\ImportColumn;
use Olvek\Service\Log\LogImport;
use Olvek\Service\Site\Csv;
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

    /**
     * Looks first, then writes what was seen.
     *
     * @param array<string, mixed> $sent
     */
    private function write(array $sent): Crawler
    {
        $seen = $this->import($sent)->filter('input[name="seen"]')->attr('value');

        return $this->import([...$sent, 'seen' => $seen, 'write' => 'yes']);
    }

    private function said(Crawler $page): string
    {
        return $page->filter('[role="status"]')->text();
    }

    public function testColumnsAreGuessedAndToldByHand(): void
    {
        $this->fill(60);
        $dot = static fn (string $day): string => (new \DateTimeImmutable($day))->format('d.m.Y');
        [$one, $two] = [$this->day(-20), $this->day(-10)];
        $text = "Date;NO3 (mg/l);pH;KH;Temp °C;Tester;Notes\n{$dot($one)};20;7,2;5;23,5;me;\"cut\nback\"\n"
            ."{$dot($two)} 18:30;<1;7,4;;24;me;\n";
        $page = $this->import(['text' => $text]);
        self::assertResponseIsSuccessful();
        $chosen = $page->filter('.import-columns option[selected]')->each(static fn (Crawler $o): ?string => $o->attr('value'));
        self::assertSame(['day', 'nitrate:NO3', 'ph:pH', 'kh:?', 'temperature:degC', 'note'], $chosen);
        self::assertSame('dmy', $page->filter('select[name="dates"] option[selected]')->attr('value'));
        self::assertStringContainsString('Choose the unit of “KH”', $page->filter('#import-fault')->text(), 'no unit is taken for granted');
        // Told otherwise than guessed: this kit counts nitrogen, and hardness is in ppm.
        $map = ['day', 'nitrate:N', 'ph:pH', 'kh:ppmCaCO3', 'temperature:degC', '', 'note'];
        $page = $this->import(['text' => $text, 'map' => $map]);
        self::assertCount(0, $this->entries(), 'nothing is written before it was seen');
        $preview = str_replace("\u{A0}", ' ', $page->filter('.import-preview')->text());
        self::assertStringContainsString('8 entries', $preview);
        self::assertStringContainsString('First day '.(new \DateTimeImmutable($one))->format('j F Y'), $preview);
        self::assertStringContainsString('Nitrate 20 mg/L as N', $preview);
        // Something else than what was seen is seen first.
        $seen = $page->filter('input[name="seen"]')->attr('value');
        $other = $this->import(['text' => $text, 'map' => array_replace($map, [3 => 'kh:dH']), 'seen' => $seen, 'write' => 'yes']);
        self::assertStringContainsString('nothing was written', $other->filter('.import-preview')->text());
        self::assertCount(0, $this->entries());
        $page = $this->write(['text' => $text, 'map' => $map]);
        self::assertStringContainsString('8 entries written', $this->said($page));
        self::assertContains("$one nitrate 20", $this->lines());
        self::assertContains("$two nitrate 0", $this->lines(), 'what is less than a test shows is nothing');
        self::assertContains("$one kh 0.28", $this->lines());
        self::assertContains("$one temperature 23.5", $this->lines());
        $page = $this->write(['text' => $text, 'map' => $map]);
        self::assertStringContainsString('0 entries written, 8 more were already here', $this->said($page));
        self::assertCount(8, $this->entries());
    }

    public function testOnePressUndoesAWholeImport(): void
    {
        $this->fill(60);
        $this->write(['text' => 'day,ph'."\n".$this->day(-9).",7\n", 'map' => ['day', 'ph:pH']]);
        $page = $this->write(['text' => "day,ph\n".$this->day(-9).",7\n".$this->day(-8).",7.5\n".$this->day(-7).",8\n"]);
        self::assertStringContainsString('2 entries written, 1 more', $this->said($page));
        self::assertSame(3, $this->stored()->logLines());
        $mark = $this->stored()->logMark();
        $this->browser->submit($page->selectButton('Undo this import')->form());
        self::assertStringContainsString('2 entries are gone', $this->said($this->browser->followRedirect()));
        self::assertSame([$this->day(-9).' ph 7'], $this->lines(), 'what stood before stays');
        self::assertSame(1, $this->stored()->logLines());
        self::assertNotSame($mark, $this->stored()->logMark());
        self::assertCount(1, $this->browser->getCrawler()->filter('.import-batches li'));
    }

    /** The review's case: in US units, and the first row alone would be read the wrong way round. */
    public function testTheWayDaysAreWrittenIsDecidedByAllRows(): void
    {
        $this->fill(300);
        $written = static fn (string $day, string $format): string => (new \DateTimeImmutable($day))->format($format);
        $rows = '';
        $wanted = [];
        for ($n = 60; $n > 29; --$n) {
            $rows .= $written($this->day(-$n), 'n/j/Y').",7\n";
            $wanted[] = $this->day(-$n).' ph 7';
        }
        $this->write(['text' => "date,pH\n$rows"]);
        self::assertSame($wanted, $this->lines());
    }

    public function testWhereDaysCanBeReadInTwoWaysOlvekAsks(): void
    {
        $this->fill(700);
        // Days that lie within the tank's life either way round.
        $year = (int) (new \DateTimeImmutable($this->day(0)))->format('Y') - 1;
        $text = "date,pH\n3/4/$year,7\n4/5/$year,7\n";
        $page = $this->import(['text' => $text]);
        self::assertStringContainsString('more than one way', $page->filter('#import-fault')->text());
        $offered = $page->filter('select[name="dates"] option')->each(static fn (Crawler $o): ?string => $o->attr('value'));
        self::assertSame(['', 'dmy', 'mdy'], $offered);
        $this->write(['text' => $text, 'dates' => 'mdy']);
        self::assertSame(["$year-03-04 ph 7", "$year-04-05 ph 7"], $this->lines());
    }

    public function testEachLineIsRefusedWithItsReason(): void
    {
        $this->fill(10);
        [$early, $good, $ahead] = [$this->day(-11), $this->day(-10), $this->day(1)];
        $text = "day,ph,kh\n$early,7,5\n$ahead,7,5\nsoon,7,5\n$good,seven,5\n$good,2,5\n$good,7,5\n";
        $page = $this->write(['text' => $text, 'map' => ['day', 'ph:pH', 'kh:dH'], 'dates' => 'ymd']);
        $faults = $page->filter('.import-faults li')->each(static fn (Crawler $li): string => $li->text());
        self::assertCount(5, $faults);
        self::assertStringStartsWith('line 2: The tank was filled on', $faults[0]);
        self::assertStringStartsWith('line 3: This day lies ahead', $faults[1]);
        self::assertStringStartsWith('line 4: “soon” doesn’t match the date format', $faults[2]);
        self::assertStringContainsString('line 5: pH: “seven” is not a number', $faults[3]);
        self::assertStringContainsString('line 6: 2: Outside the possible range: pH is between 3', $faults[4]);
        self::assertSame(["$good kh 5", "$good ph 7"], array_values(array_unique((static function (array $l): array {
            sort($l);

            return $l;
        })($this->lines()))));
    }

    public function testALogbookThatOlvekWroteComesBackAsItWas(): void
    {
        $other = $this->newTank($this->keeper);
        $this->fill(30);
        $this->write(['text' => "day,ph\n".$this->day(-3).",7.1\n", 'map' => ['day', 'ph:pH']]);
        $this->post('done', ['kind' => 'seed', 'amount' => '1', 'day' => $this->day(-2)]);
        $before = $this->lines();
        $text = $this->download('weeks/log.csv');
        $page = $this->write(['text' => $text]);
        self::assertStringContainsString('0 entries written, 2 more were already here', $this->said($page));
        self::assertSame($before, $this->lines());
        // Another tank's logbook is lines of its own, once.
        $first = $this->tank;
        $this->tank = $other;
        $this->fill(30);
        self::assertStringContainsString('2 entries written', $this->said($this->write(['text' => $text])));
        self::assertStringContainsString('2 more were already here', $this->said($this->write(['text' => $text])));
        self::assertSame($before, $this->lines());
        $this->tank = $first;
        self::assertSame($before, $this->lines());
        $page = $this->import(['text' => "day,kind,what,amount,of,words\n".$this->day(-1).",reading,luck,1,,\n"]);
        self::assertStringContainsString('doesn’t know this reading', $page->filter('.import-faults')->text());
    }

    private function download(string $path): string
    {
        $this->browser->request('GET', "/tanks/$this->tank/$path");

        return $this->browser->getInternalResponse()->getContent();
    }

    /** Olvek's own tables as spreadsheets save them: each comes back into another tank with every line, and into its own with none. */
    #[TestWith(['weeks/log.csv', 'as it is'])]
    #[TestWith(['weeks/log.csv', 'semicolons and decimal commas'])]
    #[TestWith(['weeks/log.csv', 'tabs'])]
    #[TestWith(['weeks/log.csv', 'windows-1252'])]
    #[TestWith(['weeks/log.csv', 'utf-16'])]
    #[TestWith(['weeks/log.csv', 'german days'])]
    #[TestWith(['weeks/log.csv', 'american days'])]
    #[TestWith(['log/charts.csv', 'as it is'])]
    #[TestWith(['log/charts.csv', 'semicolons and decimal commas'])]
    #[TestWith(['log/charts.csv', 'american days'])]
    public function testOwnTablesAreTakenAfterASpreadsheetHasSavedThem(string $table, string $as): void
    {
        $other = $this->newTank($this->keeper);
        $this->fill(40);
        $rows = '';
        for ($n = 39; $n > 2; $n -= 3) {
            $rows .= $this->day(-$n).",0.25,7.15\n";
        }
        $this->write(['text' => "day,NO3 mg/l,ph\n$rows"]);
        $before = $this->lines();
        self::assertCount(26, $before);
        $bytes = self::saved($this->download($table), $as);
        self::assertStringContainsString('26 more were already here', $this->said($this->write(['text' => $bytes])));
        $this->tank = $other;
        $this->fill(40);
        self::assertStringContainsString('26 entries written', $this->said($this->write(['text' => $bytes])));
        self::assertEqualsCanonicalizing($before, $this->lines());
    }

    /** What a spreadsheet makes of a file of ours. */
    private static function saved(string $csv, string $as): string
    {
        $table = TextTable::read($csv);
        $rows = [$table->names, ...iterator_to_array($table->rows(), false)];
        $day = array_search(\in_array('date', $table->names, true) ? 'date' : 'day', $table->names, true);
        $text = '';
        foreach ($rows as $n => $row) {
            foreach ($row as $c => $cell) {
                if ($n > 0 && $c === $day && str_ends_with($as, ' days')) {
                    $row[$c] = (new \DateTimeImmutable($cell))->format('german days' === $as ? 'd.m.Y' : 'n/j/y');
                } elseif ('semicolons and decimal commas' === $as && is_numeric($cell)) {
                    $row[$c] = str_replace('.', ',', $cell);
                }
            }
            $separator = match ($as) {
                'semicolons and decimal commas', 'german days' => ';',
                'tabs' => "\t",
                default => ',',
            };
            $cells = array_map(static fn (string $cell): string => '"'.str_replace('"', '""', $cell).'"', $row);
            $text .= implode($separator, $cells)."\r\n";
        }

        return match ($as) {
            // What it lacks becomes a question mark, as spreadsheets do it.
            'windows-1252' => (string) mb_convert_encoding($text, 'Windows-1252', 'UTF-8'),
            'utf-16' => "\xFF\xFE".mb_convert_encoding($text, 'UTF-16LE', 'UTF-8'),
            'as it is' => $csv,
            default => Csv::BYTE_ORDER_MARK.$text,
        };
    }

    /** @param array<string, mixed> $sent */
    #[TestWith([['text' => ' '], 'Choose a file'])]
    #[TestWith([['text' => "day,ph\n2026-01-01,7\n", 'map' => ['', 'ph:pH']], 'column that holds the date, and only one'])]
    #[TestWith([['text' => "day,ph\n2026-01-01,7\n", 'map' => ['day', '']], 'besides the date'])]
    #[TestWith([['text' => "day,ph,ph\n2026-01-01,7,7\n", 'map' => ['day', 'ph:pH', 'ph:pH']], 'Two columns hold the same reading'])]
    #[TestWith([['text' => "day,ph\nsoon,7\n", 'map' => ['day', 'ph:pH']], 'Choose the date format'])]
    public function testWhatCannotBeReadIsSaid(array $sent, string $why): void
    {
        $this->fill(10);
        $page = $this->import($sent);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString($why, $page->filter('#import-fault')->text());
        self::assertCount(0, $this->entries());
    }

    #[TestWith([60, 200])]
    #[TestWith([61, 422])]
    public function testColumnsAreLookedAtUpToABound(int $columns, int $status): void
    {
        $this->fill(10);
        $this->import(['text' => str_repeat(',', $columns - 1)."\n"]);
        self::assertResponseStatusCodeSame($status);
    }

    public function testLinesAreTakenUpToABound(): void
    {
        $this->fill(10);
        $day = $this->day(-1);
        $page = $this->import(['text' => "day,ph\n".str_repeat("$day,7\n", LogImport::MOST_LINES)]);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('import it in parts', $page->filter('#import-fault')->text());
        $text = "day,ph\n".str_repeat("$day,7\n", LogImport::MOST_LINES - 1);
        $this->write(['text' => $text, 'map' => ['day', 'ph:pH'], 'dates' => 'ymd']);
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
            self::assertSame(!\in_array($id, ['day', 'note'], true) && !str_ends_with($id, ':?'), null !== ImportColumn::named($id), $id);
        }
        self::assertNull(ImportColumn::named('nitrate:gold'));
    }
}
