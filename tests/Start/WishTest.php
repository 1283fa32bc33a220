<?php

declare(strict_types=1);

namespace Olvek\Tests\Start;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Judgement\Margin\Spread;
use Olvek\Core\Judgement\Margin\Uncertainty;
use Olvek\Core\Judgement\Solve\Compose\LampWish;
use Olvek\Core\Judgement\Solve\Compose\NearestWish;
use Olvek\Core\Judgement\Solve\Compose\Taste;
use Olvek\Core\Judgement\Solve\Compose\WishDocument;
use Olvek\Core\Nature\Light\Aspect;
use Olvek\Core\Planning\Plan\Method;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Page\Start\WishForm;
use Olvek\Service\Site\ResultCache;
use Olvek\Service\Start\Composed;
use Olvek\Service\Start\ComposeHandler;
use Olvek\Service\Start\ComposeJob;
use Olvek\Service\Start\NearestJob;
use Olvek\Service\Work\Deadline;
use Olvek\Service\Work\WorkQueue;
use Olvek\Tests\BenchTestCase;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Component\DomCrawler\Crawler;

/** From a wish in the address to three plans, and one of them onto the shelf. */
#[Group('any-database')]
final class WishTest extends BenchTestCase
{
    private const WISH = [
        'format' => 'olvek.wish',
        'version' => 1,
        'vessel' => ['shape' => 'glass-box', 'length' => 0.6, 'width' => 0.3, 'height' => 0.36, 'glass' => 0.006],
    ];

    public function testAWishIsReadFromItsForm(): void
    {
        $wish = $this->service(WishForm::class)->read(
            [
                'vessel' => 'box-30',
                'edits' => [
                    'name' => 'Landing stairs',
                    'site.aspect' => 'east',
                    'site.room' => '68 F',
                    'site.above' => '12 in',
                    'light.lumens' => '12 W',
                    'nonsense' => '1',
                ],
                'water' => 'rain',
                'lamp' => 'mine',
                'animals' => ['neocaridina-davidi', 'heterandria-formosa'],
                'count' => ['neocaridina-davidi' => '10', 'heterandria-formosa' => ''],
                'cleaners' => 'no',
                'taste' => 'jungle',
                'wanted' => ['anubias-nana', ''],
                'unwanted' => ['lemna-minor'],
                'method' => 'humus-bed',
                'hasVessel' => 'no',
            ],
            UnitSystem::Metric,
            ['vallisneria-spiralis' => 12, 'gone' => 3],
        );

        self::assertSame('Landing stairs', $wish->tank->name);
        self::assertSame(Aspect::East, $wish->tank->site->aspect);
        self::assertEqualsWithDelta(20.0, $wish->tank->site->room, 1e-9);
        self::assertEqualsWithDelta(19.0, $wish->tank->site->temperature, 1e-9, 'evaporation takes a degree');
        self::assertEqualsWithDelta(0.3048, $wish->tank->site->above, 1e-6);
        self::assertSame([LampWish::Mine, 12.0], [$wish->lamp, $wish->tank->lamp->watts]);
        self::assertSame([10, null], [$wish->animals[0]->count, $wish->animals[1]->count]);
        self::assertSame([false, false], [$wish->cleaners, $wish->hasVessel]);
        self::assertSame([Taste::Jungle, Method::HumusBed], [$wish->taste, $wish->method]);
        self::assertSame(['anubias-nana'], array_column($wish->wanted, 'id'));
        self::assertSame(['lemna-minor'], array_column($wish->unwanted, 'id'));
        self::assertCount(1, $wish->onHand, 'what the catalogue no longer knows is left out');
        self::assertLessThan(1.0, $wish->tank->water->kh, 'rain');
    }

    #[TestWith(['vessel=box-30&lamp=mine', 'how strong it is'])]
    #[TestWith(['vessel=box-30&edits[site.room]=warm', 'is not a number'])]
    #[TestWith(['vessel=box-30&animals[]=dragon', 'no such animal'])]
    #[TestWith(['vessel=box-30&animals[]=betta-splendens&count[betta-splendens]=many', 'How many of Betta'])]
    #[TestWith(['vessel=box-30&taste=nope', 'no taste of this name'])]
    #[TestWith(['vessel=box-30&method=nope', 'no method of this name'])]
    #[TestWith(['vessel=box-30&lamp=nope', 'no lamp of this name'])]
    #[TestWith(['vessel=box-30&wanted[]=dragon', 'no such plant'])]
    #[TestWith(['vessel=litres&litres=0', 'Say how much it holds'])]
    #[TestWith(['vessel=own&edits[vessel.shape]=pyramid', 'Choose a shape'])]
    public function testAWishThatCannotBeReadIsToldBesideItsCause(string $query, string $why): void
    {
        foreach (['plans', 'plans/1'] as $page) {
            $this->browser->request('GET', "/tanks/new/$page?$query");
            self::assertResponseStatusCodeSame(422);
            self::assertStringContainsString($why, $this->text('main'));
        }
    }

    #[TestWith(['vessel[]=x&edits=y&animals=z&count=q&wanted=w&litres[]=1&lamp[]=2&taste=nope'])]
    #[TestWith(['vessel=nowhere&edits[name][]=x'])]
    public function testWhatIsNoFormIsNoFault(string $query): void
    {
        foreach (['wish', 'running'] as $page) {
            $this->browser->request('GET', "/tanks/new/$page?$query");
            self::assertLessThan(500, $this->browser->getResponse()->getStatusCode());
        }
        $this->browser->request('GET', "/tanks/new?$query");
        self::assertResponseIsSuccessful();
    }

    public function testThePlansAreMadeOneByOneAndOneIsTaken(): void
    {
        $query = 'vessel=box-20&taste=least-money&edits[name]=Stairs';
        $page = $this->browser->request('GET', "/tanks/new/plans?$query");
        self::assertResponseIsSuccessful();
        self::assertCount(3, $page->filter('[data-plan]'));
        self::assertSame('Little money', $page->filter('.plan-card h2')->first()->text(), 'the wished one first');

        $page = $this->browser->request('GET', "/tanks/new/plans/0?$query");
        self::assertResponseIsSuccessful();
        self::assertStringContainsString('minutes a week', $this->text('.plan-facts'));
        $page = $this->browser->click($page->selectLink('How sure is it?')->link());
        self::assertResponseIsSuccessful();
        self::assertStringContainsString('of 32 tanks', $this->text('.plan-facts'));
        $this->browser->submit($page->selectButton('Take this one')->form());
        self::assertResponseRedirects();
        $this->browser->followRedirect();
        self::assertSame('Stairs', $this->text('h1'));
        self::assertSelectorNotExists('.bench-verdict .verdict-fails');
    }

    /** Where no plan holds, the page leads to the nearest wish for which one does, with all else as it was wished. */
    public function testTheNearestWishIsOnePressAway(): void
    {
        $query = 'vessel=box-60&taste=least-work&edits[name]=Stairs&animals[]=neocaridina-davidi&animals[]=betta-splendens'
            .'&count[neocaridina-davidi]=10&water=rain';
        parse_str($query, $sent);
        $wish = $this->service(WishForm::class)->read($sent, UnitSystem::Metric, []);
        $job = new NearestJob($this->service(WishDocument::class)->toJson($wish), $wish->tastes()[0], UnitSystem::Metric);
        $near = new NearestWish(new Message('nearest.without', ['kind' => 'Betta']), $wish->with(animals: [$wish->animals[0]]));
        $this->service(ResultCache::class)->put(WorkQueue::name($job), [$near]);
        $page = $this->browser->request('GET', "/tanks/new/plans/0/nearest?$query");
        self::assertResponseIsSuccessful();
        self::assertStringContainsString('Without betta there is a plan that holds', $this->text('main'));
        $address = (string) $page->selectLink('Make plans for that')->attr('href');
        parse_str((string) parse_url($address, \PHP_URL_QUERY), $then);
        self::assertSame(['neocaridina-davidi'], $then['animals']);
        self::assertSame(['rain', 'least-work'], [$then['water'], $then['taste']]);
        self::assertEquals($near->wish, $this->service(WishForm::class)->read($then, UnitSystem::Metric, []));
        $this->browser->click($page->selectLink('Make plans for that')->link());
        self::assertResponseIsSuccessful();

        // None is near: said, as a fragment where a script asks.
        $this->service(ResultCache::class)->put(WorkQueue::name($job), [null]);
        $this->browser->request('GET', "/tanks/new/plans/0/nearest?$query", server: ['HTTP_OLVEK_PARTS' => '{}']);
        self::assertStringStartsWith('<p>No wish close to yours', trim((string) $this->browser->getResponse()->getContent()));
        $this->browser->request('GET', '/tanks/new/plans/0/nearest?vessel=own&edits[vessel.length]=x');
        self::assertResponseStatusCodeSame(422);
    }

    /** What holds in fewer than six tanks of ten is not called a plan, whatever the likeliest tank does. */
    #[TestWith([9, false])]
    #[TestWith([10, true])]
    public function testAPlanHoldsWhereItDoesInMostTanks(int $together, bool $holds): void
    {
        $ticket = $this->service(ComposeHandler::class)->do(
            new ComposeJob(json_encode(self::WISH, \JSON_THROW_ON_ERROR), Taste::LeastMoney, UnitSystem::Metric),
            new Deadline(0.0),
        );
        $composed = $ticket->value;
        self::assertInstanceOf(Composed::class, $composed);
        self::assertTrue($composed->complete, 'its work is counted: no patience is needed');
        self::assertTrue($composed->holds);
        $losses = new Spread(0.0, 0.0, $together, 16);
        $plan = $this->service(PlanDocument::class)->fromJson($composed->plan);
        $sure = $composed->with(new Uncertainty(['harm losses' => $losses], $together, 16), $plan);
        self::assertSame($holds, $sure->holds);
        self::assertCount(\count($composed->unmet) + ($holds ? 0 : 1), $sure->unmet);
    }

    public function testAllMethodsAreShownForATank(): void
    {
        $page = $this->browser->request('GET', "/tanks/$this->tank/methods");
        self::assertContains($this->browser->getResponse()->getStatusCode(), [200, 202]);
        self::assertGreaterThan(5, $page->filter('.method-card')->count());
        self::assertStringContainsString('Soil: from', $this->text('.disagree'));
        $lit = $page->filter('.method-card')->reduce(
            static fn (Crawler $card): bool => str_contains($card->filter('.method-changes')->text(''), 'Hours of light: '),
        );
        self::assertGreaterThan(0, $lit->count(), 'hours of light that a method changes are said');
        self::assertGreaterThan(0, $page->filter('.method-changes del')->count(), 'with what they were');
        self::assertStringContainsString('Animals and their food: ', $page->filter('.method-list')->text());
        self::assertCount(0, $page->filter('.method-changes li:contains("stocking day")'), 'which is said once');
    }
}
