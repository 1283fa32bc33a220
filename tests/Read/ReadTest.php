<?php

declare(strict_types=1);

namespace Olvek\Tests\Read;

use Doctrine\ORM\EntityManagerInterface;
use Olvek\Core\Planning\Steps\Steps;
use Olvek\Service\Build\BuildRecords;
use Olvek\Service\Log\Entry;
use Olvek\Service\Log\EntryKind;
use Olvek\Tests\BenchTestCase;
use Olvek\Tests\FilledTank;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Component\DomCrawler\Crawler;

/** A tank is read: what lies behind a sign, what is tried, whether it helped, and what Olvek notices by itself. */
#[Group('any-database')]
final class ReadTest extends BenchTestCase
{
    use FilledTank;

    /** @param array<string, mixed> $query */
    private function read(array $query = []): Crawler
    {
        return $this->browser->request('GET', "/tanks/$this->tank/read", $query);
    }

    private function logged(EntryKind $kind, string $what, ?float $amount, int $daysAgo, ?string $of = null): void
    {
        $entities = $this->service(EntityManagerInterface::class);
        $entities->persist(new Entry($this->stored(), new \DateTimeImmutable($this->day(-$daysAgo)), $kind, $what, $amount, $of, $what));
        $entities->flush();
    }

    public function testPaleTipsOfANewTankAreReadWithItsOwnNumbers(): void
    {
        $this->fill(16);
        $this->logged(EntryKind::Reading, 'nitrate', 0.0, 2);
        $this->logged(EntryKind::Reading, 'iron', 0.0, 2);
        $page = $this->read(['sign' => ['pale-tips'], 'of' => ['pale-tips' => 'c2']]);
        self::assertResponseIsSuccessful();
        $text = str_replace("\u{00A0}", ' ', $page->filter('.read-answer')->text());
        self::assertStringContainsString('Most likely: The water is lean', $text);
        self::assertStringContainsString('Nitrate read 0 mg/L as NO₃ on day 14', $text);
        self::assertStringContainsString('Look again', $text);
        self::assertCount(1, $page->filter('.read-cause[open]'));
        self::assertMatchesRegularExpression('/\d.% for other causes, or for none that Olvek knows/u', $text);
        self::assertSame('c2', $page->filter('select[name="of[pale-tips]"] option[selected]')->attr('value'));
    }

    public function testOnePressWritesItIntoPlanLogAndAlmanac(): void
    {
        $this->fill(90);
        $page = $this->read(['sign' => ['many-snails']]);
        $this->browser->submit($page->filter('button[value="plan"]')->first()->form());
        self::assertResponseRedirects("/tanks/$this->tank/read#tried");
        $planned = array_map(static fn ($e): string => "{$e->kind->value} $e->day", $this->plan()->events);
        self::assertContains('feed 91', $planned);
        $kinds = array_map(static fn (Entry $e): string => "{$e->kind->value} $e->what", $this->entries());
        self::assertContains('sighting many-snails', $kinds);
        self::assertContains('tried too-much-food', $kinds);
        $page = $this->read();
        self::assertStringContainsString('look on day 118', $page->filter('#tried')->text());

        // In four weeks the almanac asks.
        $this->travelTo(28);
        $almanac = $this->browser->request('GET', '/almanac')->filter('.almanac')->text();
        self::assertStringContainsString('Is it better? Many small snails: too much food', $almanac);
        $this->browser->submit($this->read()->filter('#tried button[value="better"]')->form());
        self::assertStringNotContainsString('Is it better?', $this->browser->request('GET', '/almanac')->filter('.almanac')->text());
        $again = $this->read(['sign' => ['many-snails']])->filter('.read-answer')->text();
        self::assertStringContainsString('it got better', $again);
        // What is answered is not answered again.
        $token = $this->read(['sign' => ['many-snails']])->filter('.read-go input[name="_token"]')->attr('value');
        $this->browser->request('POST', "/tanks/$this->tank/read/came", [
            '_token' => $token,
            'cause' => 'too-much-food',
            'seen' => 'many-snails',
            'came' => 'worse',
        ]);
        self::assertResponseStatusCodeSame(409);
    }

    private function travelTo(int $days): void
    {
        $this->filledAgain(90 + $days);
        $connection = $this->service(EntityManagerInterface::class)->getConnection();
        foreach ($this->entries() as $entry) {
            $connection->executeStatement('UPDATE log_entry SET on_day = ?', [$entry->on->modify("-$days days")->format('Y-m-d')]);
        }
    }

    private function filledAgain(int $daysAgo): void
    {
        self::assertNull($this->service(BuildRecords::class)->mark($this->stored(), Steps::FILL, true, $this->day(-$daysAgo), ''));
    }

    public function testWhatIsOnlyDoneIsRememberedWithoutAPlan(): void
    {
        $this->fill(20);
        $revisions = $this->revisions();
        $form = $this->read(['sign' => ['brown-dust']])->selectButton('I do that; ask me in 14 days: A new tank grows brown first')->form();
        $this->browser->submit($form);
        self::assertResponseRedirects();
        self::assertSame($revisions, $this->revisions());
        self::assertContains('tried', array_map(static fn (Entry $e): string => $e->kind->value, $this->entries()));
    }

    public function testNothingIsHalfSaved(): void
    {
        $this->fill(90);
        $form = $this->read(['sign' => ['many-snails']])->filter('button[value="plan"]')->first()->form();
        $this->send(['name' => 'Renamed meanwhile']);
        $before = \count($this->entries());
        $this->browser->submit($form);
        self::assertResponseStatusCodeSame(409);
        self::assertCount($before, $this->entries());
        $token = $this->read(['sign' => ['many-snails']])->filter('.read-go input[name="_token"]')->attr('value');
        $this->browser->request('POST', "/tanks/$this->tank/read?sign[]=many-snails", ['_token' => $token, 'cause' => 'the-moon']);
        self::assertResponseStatusCodeSame(422);
        self::assertCount($before, $this->entries());
    }

    #[TestWith(['sign[]=nonsense', 'One of the signs is not known'])]
    #[TestWith(['sign[]=flower', 'One of the signs is not known'])]
    #[TestWith(['sign[]=pale-tips&of[pale-tips]=c99', 'none of this name'])]
    #[TestWith(['sign[]=film&sign[]=haze&sign[]=foam&sign[]=tint&sign[]=smell&sign[]=threads&sign[]=fluff', 'up to 6 signs'])]
    public function testWhatIsNotUnderstoodIsSaidBesideIt(string $query, string $why): void
    {
        $this->fill(30);
        $this->browser->request('GET', "/tanks/$this->tank/read?$query");
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString($why, $this->text('main'));
    }

    /** Six signs are weighed, and what nobody expects in an address harms nothing. */
    public function testStrangeAddressesHarmNothing(): void
    {
        $this->fill(30);
        foreach (['sign[]=film&sign[]=haze&sign[]=foam&sign[]=tint&sign[]=smell&sign[]=threads', 'sign=film', 'sign[x][y]=1', 'of=1&fact=2',
            'sign[]=film&fact[moon]=yes&fact[sudden]=perhaps&day=abc&try=x', 'sign[]=film&of[film]=c1'] as $query) {
            $this->browser->request('GET', "/tanks/$this->tank/read?$query");
            self::assertContains($this->browser->getResponse()->getStatusCode(), [200, 422], $query);
        }
    }

    public function testAnAnswerMovesTheShares(): void
    {
        $this->fill(12);
        $share = fn (array $more): int => (int) $this->read(['sign' => ['melt'], ...$more])->filter('.read-share')->first()->text();
        $plain = $share([]);
        self::assertGreaterThan($plain, $share(['fact' => ['firm-crown' => 'yes']]));
        self::assertStringContainsString('You said: Its crown or rhizome is firm', $this->text('.read-answer'));
    }

    public function testAPlanIsReadOnAnyDay(): void
    {
        $page = $this->read(['sign' => ['gasping'], 'day' => '80']);
        self::assertResponseIsSuccessful();
        self::assertStringContainsString('day 80', $page->filter('.log-line')->text());
        self::assertCount(0, $page->filter('.read-go'), 'nothing is logged of a tank that is not there');
    }

    public function testAnOldTankIsSentToTheFiveThings(): void
    {
        $this->fill(1094);
        $this->read(['sign' => ['film']]);
        self::assertStringContainsString('Read it by five', $this->text('main'));
        $this->filledAgain(1093);
        $this->read(['sign' => ['film']]);
        self::assertStringContainsString('Organic matter gathers', $this->text('.read-answer'));
    }

    public function testAnyTankIsReadByFiveThings(): void
    {
        $five = ['litres' => '60', 'weeks' => '20', 'hours' => '8', 'plants' => 'half', 'animals' => 'overfed'];
        $this->browser->request('GET', '/read', [...$five, 'sign' => ['many-snails']]);
        self::assertResponseIsSuccessful();
        self::assertStringContainsString('Most likely: Too much food', $this->text('.read-answer'));
        foreach ([
            ['litres', '2', '2001', '3', '2000'],
            ['weeks', '-1', '151', '0', '150'],
            ['hours', '-0.5', '24.5', '0', '24'],
        ] as [$name, $below, $above, $least, $most]) {
            foreach ([$below, $above, 'many'] as $bad) {
                $this->browser->request('GET', '/read', [...$five, $name => $bad, 'sign' => ['film']]);
                self::assertResponseStatusCodeSame(422, "$name $bad");
                self::assertCount(1, $this->browser->getCrawler()->filter("#$name-error"));
            }
            foreach ([$least, $most] as $good) {
                $this->browser->request('GET', '/read', [...$five, $name => $good, 'sign' => ['film']]);
                self::assertResponseIsSuccessful("$name $good");
            }
        }
        $this->browser->request('GET', '/read', [...$five, 'plants' => 'none', 'animals' => 'x']);
        self::assertCount(2, $this->browser->getCrawler()->filter('.read-five .field-error'));
    }

    public function testOlvekNoticesOnceAndCalmly(): void
    {
        $this->fill(60);
        $this->logged(EntryKind::Done, 'stock', 10.0, 30, 'a1');
        $this->logged(EntryKind::Reading, 'ammonia', 1.0, 1);
        $shelf = $this->browser->request('GET', '/')->filter('.shelf')->text();
        self::assertStringContainsString('Olvek notices', $shelf);
        $isIt = static fn (Crawler $d): bool => str_contains($d->text(), 'Ammonia read');
        $due = $this->browser->request('GET', '/almanac')->filter('.due')->reduce($isIt);
        self::assertCount(1, $due);
        self::assertStringNotContainsString('late', $due->text());
        $this->browser->click($due->filter('a.button')->link());
        self::assertStringContainsString('Ammonia burns them', $this->text('.read-answer'));
        $this->browser->request('GET', '/almanac');
        $this->browser->submit($this->browser->getCrawler()->filter('.due')->reduce($isIt)->filter('button[value="done"]')->form());
        self::assertStringNotContainsString('Ammonia read', $this->browser->request('GET', '/almanac')->filter('.almanac')->text());
        self::assertStringNotContainsString('Olvek notices Ammonia', $this->browser->request('GET', '/')->filter('.shelf')->text());
    }

    public function testTheLogbookAsksWhy(): void
    {
        $this->fill(30);
        $this->logged(EntryKind::Sighting, 'pale-tips', null, 1, 'c2');
        $this->logged(EntryKind::Sighting, 'flower', null, 1, 'c2');
        $page = $this->browser->request('GET', "/tanks/$this->tank/log");
        self::assertCount(1, $page->filter('.log a')->reduce(static fn (Crawler $a): bool => str_starts_with($a->text(), 'Why?')));
        $this->browser->click($page->selectLink('Why? pale-tips')->link());
        self::assertSame('c2', $this->browser->getCrawler()->filter('select[name="of[pale-tips]"] option[selected]')->attr('value'));
    }
}
