<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Reference;

use Olvek\Core\Nature\Animal\Feed;
use PHPUnit\Framework\TestCase;

/**
 * Timmons & Ebeling (2010), Recirculating Aquaculture, 2nd ed., production of total ammonia nitrogen:
 * P_TAN = F · PC · 0.092; 100 kg of feed a day at 35 % protein gives 3.22 kg TAN a day.
 */
final class FeedTest extends TestCase
{
    public function testWorkedExample(): void
    {
        $feed = new Feed(100_000.0, 0.35);

        self::assertEqualsWithDelta(3_220_000.0, $feed->nitrogen() * Feed::AMMONIA_SHARE, 1e-6);
        self::assertEqualsWithDelta(5_600_000.0, $feed->nitrogen(), 1e-6, '35 kg protein × 16 % nitrogen');
    }

    public function testNothingOfTheFoodIsLost(): void
    {
        self::assertEqualsWithDelta(1.0, Feed::AMMONIA_SHARE + Feed::FAECES_SHARE + Feed::KEPT_SHARE, 1e-12);
        self::assertGreaterThan(0.0, Feed::KEPT_SHARE);
    }
}
