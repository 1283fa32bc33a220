<?php

declare(strict_types=1);

namespace Olvek\Tests\Compare;

use Doctrine\ORM\EntityManagerInterface;
use Olvek\Core\Planning\Plan\Method;
use Olvek\Service\Account\KeeperRepository;
use Olvek\Service\Compare\Thing;
use Olvek\Service\Log\Entry;
use Olvek\Service\Log\EntryKind;
use Olvek\Tests\BenchTestCase;
use Olvek\Tests\FilledTank;
use Olvek\Tests\ShortPatience;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Component\DomCrawler\Crawler;

/** Tanks, versions, methods and a plan with its own log, side by side. */
#[Group('any-database')]
final class CompareTest extends BenchTestCase
{
    use FilledTank;
    // Only one of these waits until the doubt is known: that takes its seconds.
    use ShortPatience;

    /** Asks until the doubt is known, as the page does by itself. */
    private function compare(string ...$with): Crawler
    {
        for ($n = 0; $n < 40; ++$n) {
            $page = $this->browser->request('GET', '/compare', ['with' => $with]);
            self::assertResponseIsSuccessful();
            if (0 === $page->filter('meta[http-equiv="refresh"]')->count()) {
                return $page;
            }
        }
        self::fail('it was never done');
    }

    private function atOnce(string ...$with): Crawler
    {
        $page = $this->browser->request('GET', '/compare', ['with' => $with]);
        self::assertResponseIsSuccessful();

        return $page;
    }

    public function testEqualThingsDifferInNothing(): void
    {
        $twin = $this->newTank($this->keeper);
        $page = $this->compare($this->tank, $twin);
        self::assertSame('They differ in nothing.', $this->text('.compare-differ .verdict-line'));
        self::assertCount(0, $page->filter('.compare-part'));
        self::assertCount(2, $page->filter('.compare-tank'));
        self::assertCount(12, $page->filter('.compare-chart'));
        $told = $page->filter('td[data-of=""]')->each(static fn (Crawler $c): string => trim($c->text()));
        self::assertSame(['no clear difference'], array_values(array_unique($told)));
        self::assertSame($page->filter('.compare-line-0')->first()->attr('d'), $page->filter('.compare-line-1')->first()->attr('d'));
    }

    public function testAPartIsTakenOverByOnePress(): void
    {
        $other = $this->newTank($this->keeper);
        $this->send(['bed.cap.front' => '5 cm', 'light.hours' => '11']);
        $page = $this->atOnce($this->tank, $other);
        self::assertStringContainsString('They differ in the bed and the light.', $this->text('.compare-differ .verdict-line'));
        self::assertCount(2, $page->filter('.compare-differ tbody th[scope="row"]'));
        $this->browser->submit($page->selectButton('Take this light into Waiting hall')->form());
        self::assertResponseRedirects();
        $this->atOnce($this->tank, $other);
        self::assertStringContainsString('The only difference is in the bed', $this->text('.compare-differ .verdict-line'));
        self::assertSame(0.05, $this->plan()->bed->cap?->front);

        // The plan moved on in another window: nothing is taken.
        $form = $this->atOnce($this->tank, $other)->selectButton('Take this bed into Waiting hall')->form();
        $this->send(['light.hours' => '6']);
        $this->browser->submit($form);
        self::assertResponseStatusCodeSame(409);
        self::assertSame(0.05, $this->plan()->bed->cap?->front);
        $this->browser->request('POST', "/tanks/$this->tank/compare/take", ['_token' => 'old', 'part' => 'bed', 'from' => $other]);
        self::assertResponseStatusCodeSame(422);
    }

    public function testVersionsMethodsAndThree(): void
    {
        $this->send(['light.hours' => '11']);
        $page = $this->atOnce($this->tank, "$this->tank@1", "$this->tank~".Method::cases()[0]->value);
        self::assertCount(2, $page->filter('.compare-differ'));
        self::assertStringContainsString('hours of light', $page->filter('.compare-differ')->first()->text());
        self::assertCount(3, $page->filter('.compare-tank'));
    }

    public function testAPlanAgainstItsOwnLog(): void
    {
        $this->browser->request('GET', '/compare', ['with' => [$this->tank, "$this->tank!"]]);
        self::assertResponseStatusCodeSame(404);
        $this->fill(60);
        $entities = $this->service(EntityManagerInterface::class);
        $tank = $this->stored();
        $entities->persist(new Entry($tank, new \DateTimeImmutable($this->day(-10)), EntryKind::Done, 'change', 0.3, null, 'changed'));
        $entities->persist(new Entry($tank, new \DateTimeImmutable($this->day(-9)), EntryKind::Reading, 'nitrate', 3.0, null, 'read'));
        $entities->flush();
        $page = $this->atOnce($this->tank, "$this->tank!");
        self::assertStringContainsString('Water change: once, not planned by then', $page->filter('.compare-gone')->text());
        self::assertStringContainsString('h.01', (string) $page->filter('.compare-dot-1')->eq(3)->attr('d'));
    }

    public function testOnlyOnesOwnAreCompared(): void
    {
        $other = $this->service(KeeperRepository::class)->enrol('Odd', 'Odd', 'another long word');
        $foreign = $this->newTank($other);
        foreach ([$foreign, "$foreign@1", "$foreign~thin-soil", 'nonsense', "$this->tank@99", "$this->tank~by-magic"] as $text) {
            foreach (['/compare', '/compare/day'] as $address) {
                $this->browser->request('GET', $address, ['with' => [$this->tank, $text]]);
                self::assertResponseStatusCodeSame(404, "$address $text");
            }
        }
        $page = $this->browser->request('GET', '/compare', ['with' => [$this->tank]]);
        self::assertStringNotContainsString($foreign, (string) $this->browser->getResponse()->getContent());
        self::assertGreaterThan(10, $page->filter('select[name="with[]"]')->first()->filter('option')->count());
        $page = $this->browser->request('GET', '/compare', ['with' => [$this->tank, "$this->tank~thin-soil"]]);
        $token = $page->filter('.compare-differ input[name="_token"]')->first()->attr('value');
        $sent = ['_token' => $token, 'part' => 'bed', 'from' => $foreign, 'base' => 1];
        $this->browser->request('POST', "/tanks/$this->tank/compare/take", $sent);
        self::assertResponseStatusCodeSame(404);
    }

    public function testOneDayIsAskedForAlone(): void
    {
        foreach (['0' => 0, '364' => 364, '365' => 364, '-3' => 0, 'x' => 0] as $asked => $shown) {
            $page = $this->browser->request('GET', '/compare/day', ['with' => [$this->tank, $this->tank], 'day' => (string) $asked]);
            self::assertResponseIsSuccessful();
            self::assertSame((string) $shown, $page->filter('[data-compare-day]')->attr('data-day'));
        }
        $this->browser->request('GET', '/compare');
        self::assertResponseIsSuccessful();
    }

    #[TestWith(['01890000-0000-7000-8000-000000000000', true])]
    #[TestWith(['01890000-0000-7000-8000-000000000000@3', true])]
    #[TestWith(['01890000-0000-7000-8000-000000000000~thin-soil', true])]
    #[TestWith(['01890000-0000-7000-8000-000000000000!', true])]
    #[TestWith(['01890000-0000-7000-8000-000000000000@', false])]
    #[TestWith(['01890000-0000-7000-8000-000000000000~nothing', false])]
    #[TestWith(['zz890000-0000-7000-8000-000000000000', false])]
    #[TestWith(['', false])]
    public function testAThingIsReadAsItIsWritten(string $text, bool $is): void
    {
        self::assertSame($is ? $text : null, Thing::read($text)?->text());
    }
}
