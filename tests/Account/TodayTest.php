<?php

declare(strict_types=1);

namespace Olvek\Tests\Account;

use Olvek\Service\Account\Keeper;
use Olvek\Service\Account\Today;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Clock\MockClock;

/** Days are the keeper's own, wherever the server stands. */
final class TodayTest extends TestCase
{
    private static function keeper(string $zone): Keeper
    {
        $keeper = new Keeper('Runa', 'Runa');
        $keeper->liveIn(new \DateTimeZone($zone));

        return $keeper;
    }

    /** At 23:30 UTC on 1 May it is already the 2nd in Tokyo (UTC+9) and still the 1st in Lima (UTC−5). */
    #[TestWith(['UTC', '2026-05-01'])]
    #[TestWith(['Asia/Tokyo', '2026-05-02'])]
    #[TestWith(['America/Lima', '2026-05-01'])]
    public function testTheDayIsTheKeepers(string $zone, string $day): void
    {
        self::assertSame($day, (new Today(new MockClock('2026-05-01 23:30:00 UTC')))->of(self::keeper($zone))->format('Y-m-d'));
    }

    public function testWhatLiesAheadForTheKeeperIsRefused(): void
    {
        $today = new Today(new MockClock('2026-05-01 23:30:00 UTC'));
        self::assertNull($today->orEarlier(self::keeper('America/Lima'), '2026-05-02'));
        self::assertSame('2026-05-02', $today->orEarlier(self::keeper('Asia/Tokyo'), '2026-05-02')?->format('Y-m-d'));
        self::assertSame('2026-05-01', $today->orEarlier(self::keeper('UTC'), '')?->format('Y-m-d'), 'nothing typed is today');
    }

    #[TestWith(['2026-02-29'])]
    #[TestWith(['26-02-01'])]
    #[TestWith(['2026-2-1'])]
    #[TestWith(['2026-02-01 '])]
    #[TestWith(['yesterday'])]
    #[TestWith(["2026-02-01\0"])]
    public function testWhatIsNoDayIsNone(string $typed): void
    {
        self::assertNull(Today::read($typed));
    }

    /** 29 March 2026 has 23 hours in Berlin, 25 October 25: days are counted, not hours. */
    public function testDaysAreCountedNotHours(): void
    {
        foreach (
            [
                ['2026-03-28', '2026-03-30', 2],
                ['2026-10-24', '2026-10-26', 2],
                ['2026-05-01', '2026-05-01', 0],
                ['2026-05-03', '2026-05-01', -2],
                ['2024-02-28', '2024-03-01', 2],
            ] as [$from, $to, $days]
        ) {
            $one = Today::read($from);
            $other = Today::read($to);
            self::assertNotNull($one);
            self::assertNotNull($other);
            self::assertSame($days, Today::between($one, $other), "$from to $to");
        }
    }
}
