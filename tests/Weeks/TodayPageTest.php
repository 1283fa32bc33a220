<?php

declare(strict_types=1);

namespace Olvek\Tests\Weeks;

use Olvek\Tests\BenchTestCase;
use Olvek\Tests\FilledTank;

/** The page of a tank's day: what is off is marked where it is, what is due is done in place, and a start is part of it while it lasts. */
final class TodayPageTest extends BenchTestCase
{
    use FilledTank;

    private function stocked(int $daysAgo, int $since): void
    {
        $this->fill($daysAgo);
        $this->log(['kind' => 'did', 'what' => 'stock', 'of' => 'a1', 'amount' => '10', 'day' => $this->day(-$since)]);
    }

    public function testHarmThatWasReadIsSaidFirstAndMarked(): void
    {
        $this->stocked(30, 20);
        $this->post('test', ['test' => ['ammonia' => '0', 'nitrite' => '2'], 'day' => $this->day(-1)]);
        $page = $this->browser->request('GET', "/tanks/$this->tank/today");
        self::assertStringContainsString('A test yesterday showed nitrite at a level that harms the animals', $this->text('.verdict-line'));
        self::assertStringStartsWith('fails', $this->text('.verdict-line'));
        $mark = $page->filter('.tank-mark')->first();
        self::assertStringContainsString('tank-mark-fails', (string) $mark->attr('class'));
        self::assertStringContainsString('Change a third', $page->filter((string) $mark->attr('href'))->text());
        self::assertCount($page->filter('.tank-mark')->count(), $page->filter('.tank-note'));
        $this->browser->request('GET', '/');
        self::assertStringContainsString('A test yesterday showed nitrite', $this->text('main'), 'the shelf says the same');
        // The water was changed: what is left harms nobody.
        $this->log(['kind' => 'did', 'what' => 'change', 'amount' => '60', 'day' => $this->day(0)]);
        $this->browser->request('GET', "/tanks/$this->tank/today");
        self::assertStringNotContainsString('A test yesterday', $this->text('.verdict-line'));
    }

    public function testMarksLieWithinTheDrawingAndApart(): void
    {
        $this->stocked(30, 20);
        $page = $this->browser->request('GET', "/tanks/$this->tank/today");
        [, , $width, $height] = array_map(floatval(...), explode(' ', (string) $page->filter('.today-tank svg')->attr('viewBox')));
        $places = $page->filter('.tank-mark circle')->each(static fn ($c): array => [(float) $c->attr('cx'), (float) $c->attr('cy')]);
        self::assertNotEmpty($places);
        foreach ($places as $n => [$x, $y]) {
            self::assertTrue($x > 15 && $x < $width - 15 && $y > 15 && $y < $height - 15, "$x, $y");
            foreach (\array_slice($places, $n + 1) as [$otherX, $otherY]) {
                self::assertGreaterThan(30, hypot($x - $otherX, $y - $otherY));
            }
        }
    }

    public function testWhatIsDueIsDoneOnThePage(): void
    {
        $this->fill(120);
        $page = $this->browser->request('GET', "/tanks/$this->tank/today");
        $due = $page->filter('#due .due');
        self::assertGreaterThan(0, $due->count());
        $this->browser->submit($due->filter('form.due-do')->first()->form());
        self::assertResponseRedirects("/tanks/$this->tank/today#due");
        self::assertCount($due->count() - 1, $this->browser->followRedirect()->filter('#due .due'));
        self::assertSelectorNotExists('.due-tank', 'the tank need not be named on its own page');
    }

    public function testAStartIsPartOfThePageWhileItLasts(): void
    {
        $this->stocked(55, 50);
        $this->browser->request('GET', "/tanks/$this->tank/today");
        self::assertSelectorExists('#today-title');
        $this->browser->request('GET', "/tanks/$this->tank/weeks");
        self::assertResponseRedirects("/tanks/$this->tank/today#today");
        $this->fill(56);
        $this->browser->request('GET', "/tanks/$this->tank/today");
        self::assertSelectorNotExists('#today-title');
        $this->browser->request('GET', "/tanks/$this->tank/weeks");
        self::assertResponseRedirects("/tanks/$this->tank/log?way=read#read");
        $this->browser->followRedirect();
        self::assertSelectorExists('#read[open]');
    }

    /** Whoever is refused sees why, and what was typed, on the same page, however old the tank. */
    public function testARefusedTestOfAnOldTankIsNotLost(): void
    {
        $this->stocked(200, 150);
        $this->post('test', ['test' => ['nitrite' => 'a lot']]);
        self::assertResponseStatusCodeSame(422);
        self::assertSame('a lot', $this->browser->getCrawler()->filter('#test-nitrite')->attr('value'));
        self::assertSelectorExists('#error-nitrite');
    }
}
