<?php

declare(strict_types=1);

namespace Olvek\Tests\Tank;

use Doctrine\DBAL\Connection;
use Olvek\Service\Tank\Bounds;
use Olvek\Service\Tank\Holding;
use Olvek\Service\Tank\Holdings;
use Olvek\Tests\BenchTestCase;
use Olvek\Tests\FilledTank;
use Symfony\Component\Uid\Uuid;

/** What one keeper may hold: to the last of it, and not one more. */
final class BoundsTest extends BenchTestCase
{
    use FilledTank;

    private function bounds(int $tanks = 9, int $lines = 9, int $photos = 9, int $megabytes = 9): Bounds
    {
        return new Bounds($this->service(Holdings::class), $tanks, $lines, $photos, $megabytes);
    }

    public function testUpToTheBoundAndNoFarther(): void
    {
        // One tank stands there.
        self::assertNull($this->bounds(tanks: 2)->fault($this->keeper, new Holding(tanks: 1)));
        self::assertStringContainsString(
            ': 2 tanks, removed tanks included. Nothing was saved.',
            (string) $this->bounds(tanks: 2)->fault($this->keeper, new Holding(tanks: 2)),
        );
        self::assertNull($this->bounds(lines: 5)->fault($this->keeper, new Holding(lines: 5)));
        self::assertNotNull($this->bounds(lines: 5)->fault($this->keeper, new Holding(lines: 6)));
        self::assertNull($this->bounds(photos: 5)->fault($this->keeper, new Holding(photos: 5)));
        self::assertNotNull($this->bounds(photos: 5)->fault($this->keeper, new Holding(photos: 6)));
        $left = 1_000_000 - $this->service(Holdings::class)->all($this->keeper)->bytes;
        self::assertNull($this->bounds(megabytes: 1)->fault($this->keeper, new Holding(bytes: $left)));
        self::assertNotNull($this->bounds(megabytes: 1)->fault($this->keeper, new Holding(bytes: $left + 1)));
        self::assertNull($this->bounds(tanks: 0)->fault($this->keeper, new Holding(lines: 1)), 'of which too many are there is not asked');
    }

    public function testAFullLogbookSaysSoAndKeepsNothingMore(): void
    {
        $this->fill(5);
        $most = $this->service(Bounds::class)->most->lines;
        $this->service(Connection::class)->executeStatement('UPDATE tank SET log_lines = ? WHERE id = ?', [$most - 1, $this->tank]);
        $this->post('test', ['test' => ['ph' => '7.1'], 'day' => $this->day(-1)]);
        self::assertCount(1, $this->entries());
        $this->post('test', ['test' => ['ph' => '7.2'], 'day' => $this->day(0)]);
        self::assertStringContainsString('1,000,000 log entries', (string) $this->browser->getResponse()->getContent());
        self::assertFalse($this->browser->getResponse()->isSuccessful());
        self::assertCount(1, $this->entries());
        self::assertSame($most, $this->stored()->logLines());
    }

    public function testTheAccountPageShowsWhatIsHeld(): void
    {
        $this->browser->request('GET', '/account');
        self::assertMatchesRegularExpression(
            '/tanks ?1 of 400 log entries ?0 of 1,000,000 photos ?0 of 5,000/',
            $this->text('.account-room'),
        );
    }

    /** As after a cut connection: the same form comes again, though the tank has moved on by it. */
    public function testAChangeThatIsSentTwiceIsOneRevision(): void
    {
        $page = $this->browser->request('GET', "/tanks/$this->tank");
        $sent = [
            '_token' => $page->filter('#edit input[name="_token"]')->attr('value'),
            '_change' => $page->filter('#edit input[name="_change"]')->attr('value'),
            'base' => $page->filter('#edit input[name="base"]')->attr('value'),
            'edits' => ['site.temperature' => '24'],
        ];
        $before = $this->revisions();
        foreach ([1, 2] as $ignored) {
            $this->browser->request('POST', "/tanks/$this->tank/edit", $sent);
            self::assertResponseStatusCodeSame(303);
        }
        self::assertSame($before + 1, $this->revisions());
        // Another change from the same page is one that has been overtaken.
        $other = ['_change' => Uuid::v4()->toRfc4122(), 'edits' => ['site.temperature' => '25']];
        $this->browser->request('POST', "/tanks/$this->tank/edit", $other + $sent);
        self::assertResponseStatusCodeSame(409);
        self::assertSame($before + 1, $this->revisions());
    }
}
