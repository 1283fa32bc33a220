<?php

declare(strict_types=1);

namespace Olvek\Tests\Bench;

use Olvek\Tests\BenchTestCase;
use PHPUnit\Framework\Attributes\TestWith;

/** The tank at a glance: a change that is only tried, another day, a drawing on its own. */
final class GlanceTest extends BenchTestCase
{
    /**
     * @param array<string, string> $edits
     *
     * @return array{parts?: array<string, array{html: string}>, message?: string}
     */
    private function tried(array $edits): array
    {
        $page = $this->browser->request('GET', "/tanks/$this->tank");
        $this->browser->request(
            'POST',
            "/tanks/$this->tank/try",
            ['_token' => $page->filter('#edit input[name="_token"]')->attr('value'), 'edits' => $edits],
            server: ['HTTP_OLVEK_PARTS' => '{}'],
        );
        $answer = json_decode((string) $this->browser->getResponse()->getContent(), true);
        self::assertIsArray($answer);

        /** @var array{parts?: array<string, array{html: string}>, message?: string} $answer */
        return $answer;
    }

    public function testAChangeIsJudgedWithoutBeingSaved(): void
    {
        $parts = $this->tried(['waterLine' => '25'])['parts'] ?? [];
        self::assertResponseIsSuccessful();
        self::assertEqualsCanonicalizing(
            ['front', 'hours', 'verdict', 'margins'],
            array_keys($parts),
            'what is looked at, and nothing else',
        );
        self::assertStringContainsString('Not saved yet; judged roughly, for half a year.', $parts['verdict']['html']);
        self::assertStringContainsString('aria-valuenow="25"', $parts['front']['html']);
        self::assertSame(1, $this->revisions());
        self::assertEqualsWithDelta(0.335, $this->plan()->waterLine, 1e-9);
    }

    /** @param array<string, string> $edits */
    #[TestWith([['waterLine' => '400'], 'must lie above the bottom'])]
    #[TestWith([['bed.cap.back' => '-2'], 'Cap at the back: from 0'])]
    #[TestWith([['plants.c1.place' => '140'], 'Left to right: from 0'])]
    #[TestWith([['nonsense' => '1'], 'does not know'])]
    public function testWhatCannotBeIsTold(array $edits, string $why): void
    {
        $answer = $this->tried($edits);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString($why, $answer['message'] ?? '');
    }

    public function testADayShowsTheTankAsTheRunHasIt(): void
    {
        $day = function (string $asked): string {
            $this->browser->request('GET', "/tanks/$this->tank/day?day=$asked", server: ['HTTP_OLVEK_PARTS' => '{}']);
            self::assertResponseIsSuccessful();

            return (string) $this->browser->getResponse()->getContent();
        };
        self::assertStringContainsString('aria-valuetext=\"day 120\"', $day('120'));
        self::assertNotSame($day('0'), $day('200'));
        self::assertStringContainsString('aria-valuetext=\"day 364\"', $day('900'), 'the run has no later day');
        self::assertStringContainsString('"front"', $day('never'));
    }

    /** @param list<string> $seen */
    #[TestWith(['', ['front', 'hours'], true])]
    #[TestWith(['front', ['front', 'hours'], true])]
    #[TestWith(['side', ['side'], true])]
    #[TestWith(['floor', ['floor'], true])]
    #[TestWith(['all', ['front', 'side', 'floor', 'hours'], false])]
    public function testOnlyDrawingsInSightAreMade(string $turn, array $seen, bool $outOfSight): void
    {
        foreach (["/day?day=12&turn=$turn", "?turn=$turn"] as $asked) {
            $this->browser->request('GET', "/tanks/$this->tank$asked", server: ['HTTP_OLVEK_PARTS' => '{}']);
            $answer = json_decode((string) $this->browser->getResponse()->getContent(), true);
            self::assertIsArray($answer);
            self::assertIsArray($answer['parts']);
            self::assertEqualsCanonicalizing($seen, array_intersect(['front', 'side', 'floor', 'hours'], array_keys($answer['parts'])));
            self::assertSame($outOfSight, $answer['outOfSight'], 'whether the page is to ask for the rest');
        }
        $whole = $this->browser->request('GET', "/tanks/$this->tank?turn=$turn");
        self::assertCount(4, $whole->filter('.views > .part'), 'a page without scripts has them all');
        self::assertCount(1, $whole->filter('input[name="turn"][checked]'));
        self::assertSame('' === $turn || 'all' === $turn ? 'front' : $turn, $whole->filter('input[name="turn"][checked]')->attr('value'));
    }

    #[TestWith(['front'])]
    #[TestWith(['side'])]
    #[TestWith(['floor'])]
    #[TestWith(['hours'])]
    #[TestWith(['year'])]
    public function testDrawingsStandOnTheirOwn(string $name): void
    {
        $this->browser->request('GET', "/tanks/$this->tank/drawing/$name.svg?day=60");
        self::assertResponseIsSuccessful();
        self::assertResponseHeaderSame('Content-Type', 'image/svg+xml');
        $svg = (string) $this->browser->getResponse()->getContent();
        $document = new \DOMDocument();
        self::assertTrue($document->loadXML($svg), 'well-formed');
        self::assertStringNotContainsString('var(--', $svg, 'no variable that only the page knows');
        self::assertStringNotContainsString('light-dark', $svg);
        self::assertStringNotContainsString('color-mix', $svg);
        self::assertStringNotContainsString('role="slider"', $svg);
        self::assertGreaterThan(5, $document->getElementsByTagName('path')->length);
    }

    public function testWhatIsWrittenIntoTheDaysIsShownAndMarked(): void
    {
        $this->send(['events.add' => 'change 42']);
        $this->browser->followRedirect();
        self::assertSelectorExists('#h-events-e4-day[aria-valuenow="42"]');
        self::assertSelectorExists('#f-events-e4-share');
        $this->send(['events.e4.share' => '400']);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('from 1', $this->text('#f-events-e4-share-error'));
    }
}
