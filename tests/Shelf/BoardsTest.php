<?php

declare(strict_types=1);

namespace Olvek\Tests\Shelf;

use Olvek\Service\Editing\TankEditor;
use Olvek\Tests\BenchTestCase;
use Olvek\Tests\FilledTank;

/** A long shelf has several boards. */
final class BoardsTest extends BenchTestCase
{
    use FilledTank;

    public function testTwelveTanksStandOnABoard(): void
    {
        for ($n = 2; $n <= 14; ++$n) {
            $this->service(TankEditor::class)->begin($this->keeper, $this->demoPlan()->withName("Tank $n"), 'created');
        }
        $this->browser->request('GET', '/');
        self::assertSelectorCount(12, '.shelf-tank');
        self::assertSame(['1', '2'], $this->browser->getCrawler()->filter('.boards a')->extract(['_text']));
        $this->browser->click($this->browser->getCrawler()->filter('.boards a')->last()->link());
        self::assertSame(['Tank 13', 'Tank 14'], $this->browser->getCrawler()->filter('.shelf-tank h2')->extract(['_text']));
        foreach (['3', '0', 'last'] as $none) {
            $this->browser->request('GET', "/?board=$none");
            self::assertResponseStatusCodeSame(404);
        }
    }

    /** Filled 16 days ago and tested three days ago: what came every week is two days late, and the next test is due. */
    public function testATankSaysWhatIsDueAndWhatWasRead(): void
    {
        $this->newTank($this->keeper);
        $this->fill(16);
        $this->post('test', ['test' => ['ammonia' => '0.5', 'nitrite' => '0'], 'day' => $this->day(-6)]);
        $this->post('test', ['test' => ['ammonia' => '0', 'nitrite' => '0.2'], 'day' => $this->day(-3)]);
        $this->browser->request('GET', '/');
        self::assertStringContainsString('Test ammonia, nitrite', $this->text('.shelf-due'));
        self::assertMatchesRegularExpression('/(one thing|\d+ things) late/', $this->text('.shelf-due'));
        self::assertSelectorCount(1, '.shelf-due', 'the other one is not filled');
        self::assertStringContainsString('Ammonia 0 mg/L as NH₄, Nitrite 0.20 mg/L as NO₂', $this->text('.shelf'));
        self::assertStringNotContainsString('0.50', $this->text('.shelf'), 'only what was read last');
    }

    public function testAShortShelfHasNone(): void
    {
        $this->browser->request('GET', '/');
        self::assertSelectorNotExists('.boards');
    }
}
