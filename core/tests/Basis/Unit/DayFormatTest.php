<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Basis\Unit;

use Olvek\Core\Basis\Unit\DayFormat;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class DayFormatTest extends TestCase
{
    #[TestWith([DayFormat::YearFirst, '2026-05-24'])]
    #[TestWith([DayFormat::YearFirst, '2026/5/24'])]
    #[TestWith([DayFormat::YearFirst, '2026-05-24T08:30:00Z'])]
    #[TestWith([DayFormat::DayFirst, '24.05.2026'])]
    #[TestWith([DayFormat::DayFirst, '24/5/26'])]
    #[TestWith([DayFormat::DayFirst, '24.05.2026 08:30'])]
    #[TestWith([DayFormat::MonthFirst, '05/24/2026'])]
    #[TestWith([DayFormat::MonthFirst, '5-24-26'])]
    #[TestWith([DayFormat::YearFirst, '24 May 2026'])]
    #[TestWith([DayFormat::DayFirst, '24-May-26'])]
    #[TestWith([DayFormat::MonthFirst, 'May 24, 2026'])]
    public function testOneDayInManyHands(DayFormat $format, string $typed): void
    {
        self::assertSame('2026-05-24T00:00:00+00:00', $format->read($typed)?->format('c'));
    }

    #[TestWith([DayFormat::YearFirst, '24.05.2026'])]
    #[TestWith([DayFormat::DayFirst, '05/24/2026'])]
    #[TestWith([DayFormat::MonthFirst, '05.24.2026'])]
    #[TestWith([DayFormat::DayFirst, '30.02.2026'])]
    #[TestWith([DayFormat::DayFirst, '29.02.2026'])]
    #[TestWith([DayFormat::DayFirst, '24.05-2026'])]
    #[TestWith([DayFormat::YearFirst, '1899-12-31'])]
    #[TestWith([DayFormat::YearFirst, '3000-01-01'])]
    #[TestWith([DayFormat::YearFirst, '24 Mai 2026'])]
    #[TestWith([DayFormat::YearFirst, ''])]
    public function testWhatIsNoDay(DayFormat $format, string $typed): void
    {
        self::assertNull($format->read($typed));
    }

    public function testEdgesOfTheYears(): void
    {
        self::assertNotNull(DayFormat::YearFirst->read('1900-01-01'));
        self::assertNotNull(DayFormat::YearFirst->read('2999-12-31'));
        self::assertNotNull(DayFormat::DayFirst->read('29.02.2028'));
    }

    /** Days up to the twelfth leave it open; a single one above it settles it, and so do days that are the same either way. */
    public function testWhichOrderFits(): void
    {
        self::assertSame([DayFormat::DayFirst, DayFormat::MonthFirst], DayFormat::fitting(['03/04/2026', '12/11/2026']));
        self::assertSame([DayFormat::DayFirst], DayFormat::fitting(['03/04/2026', '13/11/2026']));
        self::assertSame([DayFormat::MonthFirst], DayFormat::fitting(['03/04/2026', '12/13/2026']));
        self::assertCount(1, DayFormat::fitting(['03/03/2026']));
        self::assertSame([], DayFormat::fitting(['13/13/2026']));
        self::assertSame([], DayFormat::fitting([]));
    }
}
