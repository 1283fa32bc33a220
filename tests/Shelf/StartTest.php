<?php

declare(strict_types=1);

namespace Olvek\Tests\Shelf;

use Olvek\Tests\BenchTestCase;

final class StartTest extends BenchTestCase
{
    public function testATankIsBegunInEitherSystem(): void
    {
        $page = $this->browser->request('GET', '/tanks/new');
        $this->browser->submit($page->selectButton('Create tank')->form(), [
            'edits[name]' => 'Gangway',
            'edits[vessel.length]' => '2 ft',
            'edits[waterLine]' => '12 in',
        ]);
        self::assertResponseRedirects();
        $this->browser->followRedirect();
        self::assertSame('Gangway', $this->text('h1'));
        self::assertSame('60.96', $this->browser->getCrawler()->filter('#f-vessel-length')->attr('value'));
        self::assertStringContainsString('Nothing grows here yet', $this->text('.verdict-sentence'));
    }

    public function testAbsurdTanksAreRefusedBesideTheirCause(): void
    {
        $page = $this->browser->request('GET', '/tanks/new');
        $this->browser->submit($page->selectButton('Create tank')->form(), ['edits[name]' => '', 'edits[vessel.length]' => '60 gal']);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('“gal” is not a unit', $this->text('#f-vessel-length-error'));
        self::assertSame('60 gal', $this->browser->getCrawler()->filter('#f-vessel-length')->attr('value'));
    }

    public function testAPlanGoesOutAndComesBackAsItWas(): void
    {
        $this->browser->request('GET', "/tanks/$this->tank/plan.json");
        self::assertResponseHeaderSame('Content-Type', 'application/json');
        $json = (string) $this->browser->getResponse()->getContent();
        $page = $this->browser->request('GET', '/tanks/new');
        $this->browser->submit($page->selectButton('Import')->form(), ['plan' => $json]);
        $this->browser->followRedirect();
        $this->browser->request('GET', $this->browser->getRequest()->getPathInfo().'/plan.json');
        self::assertSame($json, $this->browser->getResponse()->getContent());
    }

    public function testAFileThatIsNoPlanIsToldLineByLine(): void
    {
        $page = $this->browser->request('GET', '/tanks/new');
        $this->browser->submit($page->selectButton('Import')->form(), [
            'plan' => '{"format": "olvek.plan", "version": 1, "waterLine": "high"}',
        ]);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('waterLine: This must be a number.', $this->text('#import-problems'));
        self::assertStringContainsString('"high"', $this->browser->getCrawler()->filter('#plan')->text(), 'the text is still there');
        $this->browser->submit($this->browser->getCrawler()->selectButton('Import')->form(), ['plan' => 'hello']);
        self::assertStringContainsString('not JSON', $this->text('#import-problems'));
    }

    public function testAFiveMegabytePasteIsTurnedAway(): void
    {
        $this->browser->request('POST', '/tanks/import', server: ['CONTENT_LENGTH' => '5000000'], content: str_repeat('x', 5_000_000));
        self::assertResponseStatusCodeSame(413);
        self::assertStringContainsString('larger than one megabyte', $this->text('.lead'));
    }
}
