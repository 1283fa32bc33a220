<?php

declare(strict_types=1);

namespace Olvek\Tests\Shelf;

use Olvek\Bench\Road;
use Olvek\Tests\BenchTestCase;

/** A long shelf has several boards. */
final class BoardsTest extends BenchTestCase
{
    public function testTwentyFourTanksStandOnABoard(): void
    {
        for ($n = 2; $n <= 26; ++$n) {
            $this->service(Road::class)->begin($this->keeper, $this->demoPlan()->withName("Tank $n"), 'begun');
        }
        $this->browser->request('GET', '/');
        self::assertSelectorCount(24, '.shelf-tank');
        self::assertSame(['1', '2'], $this->browser->getCrawler()->filter('.boards a')->extract(['_text']));
        $this->browser->click($this->browser->getCrawler()->filter('.boards a')->last()->link());
        self::assertSame(['Tank 25', 'Tank 26'], $this->browser->getCrawler()->filter('.shelf-tank h2')->extract(['_text']));
        foreach (['3', '0', 'last'] as $none) {
            $this->browser->request('GET', "/?board=$none");
            self::assertResponseStatusCodeSame(404);
        }
    }

    public function testAShortShelfHasNone(): void
    {
        $this->browser->request('GET', '/');
        self::assertSelectorNotExists('.boards');
    }
}
