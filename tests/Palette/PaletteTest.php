<?php

declare(strict_types=1);

namespace Olvek\Tests\Palette;

use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Service\Account\KeeperRepository;
use Olvek\Tests\BenchTestCase;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Component\DomCrawler\Crawler;

/** The catalogue as pictures beside a tank. */
final class PaletteTest extends BenchTestCase
{
    public function testEveryKindIsThereOnceWithItsPicture(): void
    {
        $counts = [
            'plants' => \count(Catalogue::shipped()->plants),
            'animals' => \count(Catalogue::shipped()->animals),
            'hardscape' => \count(Catalogue::shipped()->hardscape),
            'lamps' => \count(Catalogue::shipped()->lamps),
        ];
        foreach ($counts as $list => $count) {
            $page = $this->browser->request('GET', "/tanks/$this->tank/palette/$list");
            self::assertResponseIsSuccessful();
            self::assertCount($count, $page->filter('[data-card]'));
            $bare = $page->filter('[data-card]')->reduce(static fn (Crawler $card): bool => 0 === $card->filter('svg path')->count());
            self::assertSame([], $bare->extract(['data-card']), 'each has a picture');
        }
    }

    public function testSearchedByAnyNameAndSiftedByWhatWouldLiveHere(): void
    {
        $page = $this->browser->request('GET', "/tanks/$this->tank/palette/animals?q=MEDAKA");
        self::assertSame(['oryzias-latipes'], $page->filter('[data-card]')->extract(['data-card']));
        $page = $this->browser->request('GET', "/tanks/$this->tank/palette/animals?q=goldfish&fits=1");
        self::assertCount(0, $page->filter('[data-card]'));
        self::assertStringContainsString('Nothing of that name', $this->text('.palette .empty'));
        $page = $this->browser->request('GET', "/tanks/$this->tank/palette/animals?q=goldfish");
        self::assertStringContainsString('Needs a tank of 300', $page->filter('[data-card]')->text());
        self::assertStringContainsString('not suitable', $page->filter('[data-card] .state')->text());
    }

    public function testAThingIsTakenByAPlainForm(): void
    {
        $page = $this->browser->request('GET', "/tanks/$this->tank/palette/plants?q=java+fern");
        $this->browser->submit($page->filter('[data-card="microsorum-pteropus"] .pick-add button')->form());
        self::assertResponseRedirects();
        $kinds = array_map(static fn ($c): string => $c->kind->id, $this->plan()->clumps);
        self::assertContains('microsorum-pteropus', $kinds);
        $page = $this->browser->request('GET', "/tanks/$this->tank/palette/caps");
        $this->browser->submit($page->filter('[data-card="fine-gravel"] .pick-add button')->form());
        self::assertSame('fine-gravel', $this->plan()->bed->cap?->mix->parts[0][0]->id);
    }

    public function testWhatIsOnHandComesFirstAndIsNotBought(): void
    {
        $page = $this->browser->request('GET', "/tanks/$this->tank/palette/plants");
        $form = $page->filter('[data-card="taxiphyllum-barbieri"] .pick-stock button')->form();
        $this->browser->submit($form, ['pieces' => '7']);
        $page = $this->browser->followRedirect();
        self::assertSame('taxiphyllum-barbieri', $page->filter('[data-card]')->first()->attr('data-card'));
        self::assertSame('On hand', $page->filter('.palette-name')->first()->text());
        self::assertSame(['taxiphyllum-barbieri' => 7], $this->service(KeeperRepository::class)->named('Runa')?->stock());
        $this->browser->submit($page->filter('[data-card="taxiphyllum-barbieri"] .pick-add button')->form());
        $clumps = $this->plan()->clumps;
        self::assertFalse($clumps[\count($clumps) - 1]->source->isBought());
        $page = $this->browser->request('GET', "/tanks/$this->tank/palette/plants");
        $this->browser->submit($page->filter('[data-card="taxiphyllum-barbieri"] .pick-stock button')->form(), ['pieces' => '0']);
        self::assertSame([], $this->service(KeeperRepository::class)->named('Runa')?->stock());
    }

    #[TestWith(['taxiphyllum-barbieri', 'some'])]
    #[TestWith(['taxiphyllum-barbieri', '-1'])]
    #[TestWith(['taxiphyllum-barbieri', '5001'])]
    #[TestWith(['plastic-palm', '5'])]
    public function testNonsenseOnHandIsRefused(string $kind, string $pieces): void
    {
        $page = $this->browser->request('GET', "/tanks/$this->tank/palette/plants");
        $token = (string) $page->filter('.pick-stock input[name="_token"]')->first()->attr('value');
        $this->browser->request(
            'POST',
            "/tanks/$this->tank/palette/plants/stock",
            ['_token' => $token, 'kind' => $kind, 'pieces' => $pieces],
        );
        self::assertResponseStatusCodeSame(422);
        self::assertNotSame('', $this->text('.palette .field-error'));
    }

    public function testThereIsNoOtherPalette(): void
    {
        $this->browser->request('GET', "/tanks/$this->tank/palette/hats");
        self::assertResponseStatusCodeSame(404);
    }
}
