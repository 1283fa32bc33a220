<?php

declare(strict_types=1);

namespace Olvek\Tests\Site;

use Olvek\Tests\BenchTestCase;
use PHPUnit\Framework\Attributes\TestWith;

/** An address that only takes forms, opened by hand or reloaded, leads to its page; what is none stays none. */
final class WayBackTest extends BenchTestCase
{
    #[TestWith(['/edit', ''])]
    #[TestWith(['/undo', ''])]
    #[TestWith(['/build/sheet', '/build'])]
    #[TestWith(['/build/steps/soil', '/build'])]
    #[TestWith(['/weeks/test', '/weeks'])]
    #[TestWith(['/history/1/name', '/history'])]
    public function testItLeadsToThePage(string $address, string $page): void
    {
        $this->browser->request('GET', "/tanks/$this->tank$address");
        self::assertResponseRedirects("/tanks/$this->tank$page", 303);
        // Pages that have moved lead on.
        $this->browser->followRedirects();
        $this->browser->request('GET', "/tanks/$this->tank$page");
        self::assertResponseIsSuccessful();
    }

    public function testWhatIsSentTheWrongWayIsStillRefused(): void
    {
        $this->browser->request('DELETE', "/tanks/$this->tank/edit");
        self::assertResponseStatusCodeSame(405);
        $this->browser->request('GET', '/tanks/01890000-0000-7000-8000-000000000000/edit');
        $this->browser->followRedirect();
        self::assertResponseStatusCodeSame(404, 'somebody else’s tank is no tank');
    }

    /** Without scripts the stage whose button was pressed stays open, and is where the page is opened. */
    public function testTheStageThatWasSavedStaysOpen(): void
    {
        $this->browser->request('GET', "/tanks/$this->tank");
        $button = $this->browser->getCrawler()->filter('#plants .save');
        self::assertSame('stage', $button->attr('name'));
        $page = $this->browser->getCrawler();
        $this->browser->request('POST', "/tanks/$this->tank/edit", [
            '_token' => $page->filter('#edit input[name="_token"]')->attr('value'),
            'base' => $page->filter('#edit input[name="base"]')->attr('value'),
            'edits' => ['light.hours' => '7'],
            'stage' => 'plants',
        ]);
        self::assertStringEndsWith('stage=plants#plants', (string) $this->browser->getResponse()->headers->get('Location'));
        $this->browser->followRedirect();
        self::assertSelectorExists('#plants[open]');
        self::assertSelectorNotExists('#light[open]');
    }
}
