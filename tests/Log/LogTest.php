<?php

declare(strict_types=1);

namespace Olvek\Tests\Log;

use Olvek\Core\Keeping\Log\LogAction;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Service\Log\Entry;
use Olvek\Service\Log\EntryKind;
use Olvek\Service\Log\Logbook;
use Olvek\Service\Log\LogReader;
use Olvek\Tests\BenchTestCase;
use Olvek\Tests\FilledTank;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Component\Uid\Uuid;

/** The logbook at the tank: every kind of entry, once each, refused with reasons, undone. */
final class LogTest extends BenchTestCase
{
    use FilledTank;

    /** @param array<string, mixed> $sent */
    private function log(array $sent, bool $asJson = true): void
    {
        $token = $this->browser->request('GET', "/tanks/$this->tank/log")->filter('.log-ways input[name="_token"]')->first()->attr('value');
        $this->browser->request(
            'POST',
            "/tanks/$this->tank/log",
            ['_token' => $token, ...$sent],
            server: $asJson ? ['HTTP_ACCEPT' => 'application/json'] : [],
        );
    }

    private static function on(string $day): \DateTimeImmutable
    {
        return new \DateTimeImmutable($day, new \DateTimeZone('UTC'));
    }

    /** @return array<mixed> */
    private function answer(): array
    {
        $answer = json_decode((string) $this->browser->getResponse()->getContent(), true);
        self::assertIsArray($answer);

        return $answer;
    }

    /** @return array<string, string> */
    private function errors(): array
    {
        self::assertResponseStatusCodeSame(422);
        $errors = $this->answer()['errors'] ?? null;
        self::assertIsArray($errors);

        /** @var array<string, string> $errors */
        return $errors;
    }

    /** @return list<string> */
    private function words(): array
    {
        return array_map(static fn (Entry $e): string => str_replace(["\u{A0}", "\u{202F}"], ' ', $e->words), $this->entries());
    }

    public function testEachKindOfEntryIsSavedAndSaysWhatItIs(): void
    {
        $this->fill(30);
        $this->log(['kind' => 'read', 'step' => ['nitrate' => '10', 'nitrite' => '0'], 'test' => ['nitrate' => '', 'ph' => '7.2']]);
        self::assertSame(['saved' => true], $this->answer());
        $this->log(['kind' => 'did', 'what' => 'change', 'amount' => '25', 'day' => $this->day(-3)]);
        $this->log(['kind' => 'did', 'what' => 'task', 'of' => LogAction::TOPPED, 'amount' => '1.5 L']);
        $this->log(['kind' => 'did', 'what' => 'trim', 'of' => 'c1', 'amount' => '50 %']);
        $this->log(['kind' => 'did', 'what' => 'lost', 'of' => 'a1', 'amount' => '2']);
        $this->log(['kind' => 'saw', 'what' => 'young', 'of' => 'a1', 'count' => '7']);
        $this->log(['kind' => 'saw', 'what' => 'threads', 'note' => 'on the wood']);
        $this->log(['kind' => 'note', 'note' => "Two\r\nlines"]);
        self::assertSame(['saved' => true], $this->answer());
        $words = $this->words();
        self::assertCount(10, $words);
        self::assertContains('Nitrate 10 mg/L as NO₃', $words);
        self::assertContains('25 % of the water changed', $words);
        self::assertContains('Topped up, 1.5 L', $words);
        self::assertMatchesRegularExpression('/^50 % of .+ cut back$/m', implode("\n", $words));
        self::assertMatchesRegularExpression('/^2 × .+ died$/m', implode("\n", $words));
        self::assertMatchesRegularExpression('/^7 × Young ones: .+$/m', implode("\n", $words));
        $entries = $this->entries();
        self::assertContains("Two\nlines", array_map(static fn (Entry $e): string => $e->note, $entries));
        $log = $this->service(LogReader::class)->since($this->stored(), self::on($this->day(-30)), 30);
        self::assertSame([30 => true], $log->algae, 'an alga that was seen counts for the lamp');
        self::assertSame([2.0], array_column($log->of(EventKind::Lost, 'a1'), 'amount'));
        self::assertSame(27, $log->of(EventKind::Change)[0]->day);
    }

    public function testWhatIsSentTwiceIsKeptOnce(): void
    {
        $this->fill(5);
        $read = ['kind' => 'read', 'test' => ['ph' => '7', 'nitrate' => '5']];
        foreach ([['kind' => 'did', 'what' => 'change'], $read, ['kind' => 'note', 'note' => 'once']] as $sent) {
            $id = Uuid::v4()->toRfc4122();
            $before = \count($this->entries());
            $this->log([...$sent, 'id' => $id]);
            $after = \count($this->entries());
            self::assertGreaterThan($before, $after);
            $this->log([...$sent, 'id' => $id]);
            self::assertSame(['saved' => true], $this->answer(), 'whoever asks again is told that it is saved');
            self::assertCount($after, $this->entries());
        }
    }

    /** @param array<string, mixed> $sent */
    #[TestWith([['kind' => 'did', 'what' => 'change', 'amount' => '140 %'], 'amount-change', 'From 1 % to 100 %'])]
    #[TestWith([['kind' => 'did', 'what' => 'change', 'amount' => 'much'], 'amount-change', ''])]
    #[TestWith([['kind' => 'did', 'what' => 'lost', 'of' => 'a1', 'amount' => '1.5'], 'amount-lost-a1', 'whole animals'])]
    #[TestWith([['kind' => 'did', 'what' => 'lost', 'of' => 'gone'], '', 'has nothing of this kind any more'])]
    #[TestWith([['kind' => 'did', 'what' => 'holiday'], '', 'has nothing of this kind any more'])]
    #[TestWith([['kind' => 'did', 'what' => 'trim'], '', 'has nothing of this kind any more'])]
    #[TestWith([['kind' => 'read', 'test' => ['ph' => '74']], 'test-ph', 'Outside the possible range'])]
    #[TestWith([['kind' => 'read'], '', 'at least one reading'])]
    #[TestWith([['kind' => 'saw'], '', 'Choose what you saw'])]
    #[TestWith([['kind' => 'saw', 'what' => 'young', 'count' => '0'], 'count', 'A whole number from 1'])]
    #[TestWith([['kind' => 'saw', 'what' => 'holes', 'of' => 'a1'], 'of', 'choose one of them, or the whole tank'])]
    #[TestWith([['kind' => 'saw', 'what' => 'gasping', 'of' => 'c1'], 'of', 'choose some of them, or the whole tank'])]
    #[TestWith([['kind' => 'saw', 'what' => 'film', 'of' => 'c1'], 'of', 'of the whole tank'])]
    #[TestWith([['kind' => 'saw', 'what' => 'film', 'count' => '3'], 'count', 'Only animals are counted'])]
    #[TestWith([['kind' => 'note', 'note' => ' '], 'note', 'Type the note first'])]
    #[TestWith([['kind' => 'note', 'note' => "a\u{202E}b"], 'note', 'nobody can see'])]
    #[TestWith([['kind' => 'note', 'note' => 'x', 'id' => 'none'], '', 'an id that is none'])]
    #[TestWith([['kind' => 'dance'], '', 'could not be understood'])]
    #[TestWith([['kind' => 'note', 'note' => 'x', 'day' => '2026-02-31'], 'day', 'year-month-day'])]
    public function testWhatCannotBeIsToldAndNothingSaved(array $sent, string $field, string $why): void
    {
        $this->fill(5);
        $this->log($sent);
        self::assertStringContainsString($why, str_replace(["\u{A0}", "\u{202F}"], ' ', $this->errors()[$field] ?? '– no such error –'));
        self::assertSame([], $this->entries());
    }

    /** Just below and just above each limit. */
    public function testLimits(): void
    {
        $this->fill(5);
        $limits = [
            'note' => [
                ['kind' => 'note', 'note' => str_repeat('x', Entry::LONGEST_NOTE)],
                ['note' => str_repeat('x', Entry::LONGEST_NOTE + 1)],
            ],
            'count' => [['kind' => 'saw', 'what' => 'young', 'count' => '5000'], ['count' => '5001']],
            'amount-task-topped-up' => [
                ['kind' => 'did', 'what' => 'task', 'of' => LogAction::TOPPED, 'amount' => '5000'],
                ['amount' => '5001'],
            ],
        ];
        foreach ($limits as $field => [$most, $over]) {
            $this->log($most);
            self::assertSame(['saved' => true], $this->answer(), $field);
            $this->log([...$most, ...$over]);
            self::assertArrayHasKey($field, $this->errors());
        }
        foreach (['0.01' => true, '0.009' => false] as $litres => $taken) {
            $this->log(['kind' => 'did', 'what' => 'task', 'of' => LogAction::TOPPED, 'amount' => $litres]);
            self::assertSame($taken, ['saved' => true] === $this->answer(), "$litres L");
        }
    }

    /** Both sides of both ends: the day of filling and today are days of the tank, the days beyond them are not. */
    public function testOnlyDaysOfTheTankCanBeLogged(): void
    {
        $this->fill(5);
        foreach ([-6 => 'choose that day or a later one', 1 => 'This day lies ahead'] as $day => $why) {
            $this->log(['kind' => 'note', 'note' => 'x', 'day' => $this->day($day)]);
            self::assertStringContainsString($why, $this->errors()['day'] ?? '');
        }
        foreach ([-5, 0] as $day) {
            $this->log(['kind' => 'note', 'note' => 'x', 'day' => $this->day($day)]);
            self::assertResponseIsSuccessful();
        }
        self::assertCount(2, $this->entries());
    }

    public function testATankThatIsNotFilledHasNothingToLog(): void
    {
        $page = $this->browser->request('GET', "/tanks/$this->tank/log");
        self::assertResponseIsSuccessful();
        self::assertCount(0, $page->filter('.log-ways'));
        self::assertStringContainsString('Not filled yet', $this->text('.log-line'));
    }

    public function testALineIsUndoneByItsKeeperOnly(): void
    {
        $this->fill(2);
        $this->log(['kind' => 'note', 'note' => 'mine'], asJson: false);
        self::assertResponseRedirects();
        $this->browser->followRedirect();
        $this->browser->submit($this->browser->getCrawler()->filter('#lines form')->form());
        self::assertResponseRedirects();
        self::assertSame([], $this->entries());
        $this->log(['kind' => 'note', 'note' => 'mine again'], asJson: false);
        $page = $this->browser->request('GET', "/tanks/$this->tank/today");
        $this->browser->submit($page->filter('#log form')->form());
        self::assertResponseRedirects("/tanks/$this->tank/today#log", message: 'undone on Today, one stays there');
        self::assertSame([], $this->entries());
        $this->browser->request('POST', "/tanks/$this->tank/log/".Uuid::v4().'/undo', ['_token' => $this->token()]);
        self::assertResponseStatusCodeSame(404);
    }

    /** Lists within lists come from no form of ours: they are refused, and not written back into the page. */
    public function testListsWithinListsAreNotShownAgain(): void
    {
        $this->fill(5);
        $this->browser->request('POST', "/tanks/$this->tank/log", [
            '_token' => $this->token(),
            'kind' => 'read',
            'test' => ['nitrate' => ['deep' => ['x']], 'ph' => 'sour'],
            'note' => [['x']],
        ]);
        self::assertResponseStatusCodeSame(422);
        self::assertSame('sour', $this->browser->getCrawler()->filter('input[name="test[ph]"]')->attr('value'));
        self::assertSame('', (string) $this->browser->getCrawler()->filter('input[name="test[nitrate]"]')->attr('value'));
    }

    /** The page of a long life is as quick as that of a short one: it reads its newest lines, and counts the rest. */
    public function testThousandsOfLinesArePaged(): void
    {
        $this->fill(300);
        $entities = $this->service(\Doctrine\ORM\EntityManagerInterface::class);
        $tank = $this->stored();
        for ($n = 0; $n < 95; ++$n) {
            $day = self::on($this->day(-$n));
            $entities->persist(new Entry($tank, $day, EntryKind::Note, 'note', null, null, 'Note', note: "line $n"));
        }
        $entities->flush();
        $page = $this->browser->request('GET', "/tanks/$this->tank/log");
        self::assertCount(40, $page->filter('.log time'));
        $page = $this->browser->click($page->selectLink('Older')->link());
        $page = $this->browser->click($page->selectLink('Older')->link());
        self::assertCount(15, $page->filter('.log time'));
        self::assertCount(0, $page->selectLink('Older'));
        self::assertCount(1, $page->selectLink('Newer'));
    }

    public function testDeathsHaveACauseAndMoneyAnAmount(): void
    {
        $this->fill(30);
        $this->log(['kind' => 'did', 'what' => 'lost', 'of' => 'a1', 'amount' => '2', 'cause' => 'jumped']);
        $this->log(['kind' => 'did', 'what' => 'lost', 'of' => 'a1', 'amount' => '1']);
        self::assertSame(['2 × Ramshorn snail died, jumped out', '1 × Ramshorn snail died'], $this->words());
        self::assertSame(['jumped', 'unknown'], array_map(static fn (Entry $e): string => $e->cause, $this->entries()));
        $this->log(['kind' => 'did', 'what' => 'lost', 'of' => 'a1', 'amount' => '1', 'cause' => 'magic']);
        self::assertStringContainsString('from the list', $this->errors()['amount-lost-a1']);
        $this->log(['kind' => 'did', 'what' => 'task', 'of' => 'spent']);
        self::assertSame(['amount-task-spent' => 'Say how much first.'], $this->errors());
        $this->log(['kind' => 'did', 'what' => 'task', 'of' => 'spent', 'amount' => '12.50']);
        self::assertSame('Money spent, 12.5', $this->words()[2]);
        $this->log(['kind' => 'did', 'what' => 'plant', 'of' => 'c1', 'amount' => '3']);
        $this->log(['kind' => 'did', 'what' => 'remove', 'of' => 'c2']);
        self::assertSame(['3 more of Straight vallisneria planted', 'Ambulia taken out'], \array_slice($this->words(), 3));
    }

    public function testPlantsAndAnimalsAreMeasured(): void
    {
        $this->fill(30);
        $this->log(['kind' => 'measure', 'test' => ['height@c1' => '12', 'pieces@c1' => '30', 'heads@a1' => '9', 'young@a1' => '3']]);
        self::assertSame(['saved' => true], $this->answer());
        self::assertSame([
            'Height 12 cm: Straight vallisneria',
            'Pieces 30: Straight vallisneria',
            'Animals 9: Ramshorn snail',
            'Young 3: Ramshorn snail',
        ], $this->words());
        self::assertSame(['c1', 'c1', 'a1', 'a1'], array_map(static fn (Entry $e): ?string => $e->of, $this->entries()));
        $this->log(['kind' => 'measure', 'test' => ['heads@a1' => '2.5', 'height@c1' => '301', 'height@gone' => '5']]);
        self::assertSame(['test-height@c1', 'test-heads@a1'], array_keys($this->errors()));
        $this->log(['kind' => 'measure', 'test' => ['height@gone' => '5']]);
        self::assertStringContainsString('at least one reading', $this->errors()['']);
        // The same height again is another reading, of another plant another's.
        $this->log(['kind' => 'measure', 'test' => ['height@c2' => '300']]);
        self::assertSame(['saved' => true], $this->answer());
    }
}
