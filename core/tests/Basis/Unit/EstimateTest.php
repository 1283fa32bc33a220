<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Basis\Unit;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\Estimate;
use Olvek\Core\Basis\Unit\Provenance;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class EstimateTest extends TestCase
{
    public function testReadsValueRangeAndMark(): void
    {
        $estimate = Estimate::parse('0.18 [0.15..0.2] M');

        self::assertSame([0.18, 0.15, 0.2, Provenance::Memory], [$estimate->value, $estimate->low, $estimate->high, $estimate->provenance]);
        self::assertSame(25.0, Estimate::parse('25 C')->high);
    }

    #[TestWith(['0.18 M'])]
    #[TestWith(['0.18 [0.2..0.3] M'])]
    #[TestWith(['0.18 [0.1..0.3]'])]
    #[TestWith(['0.18 [0.1..0.3] X'])]
    #[TestWith(['much'])]
    public function testRefusesWhatHasNoRangeOrMark(string $text): void
    {
        $this->expectException(\InvalidArgumentException::class);
        Estimate::parse($text);
    }

    public function testNumbersAsText(): void
    {
        self::assertSame('2.5', Decimal::trimmed(2.5000001, 2));
        self::assertSame("\u{2212}3", Decimal::trimmed(-3.0, 1));
        self::assertSame('0', Decimal::trimmed(-0.001, 1));
        self::assertSame('0.012', Decimal::significant(0.01234, 2));
        self::assertSame('1200', Decimal::significant(1234.0, 2));
        self::assertSame('0', Decimal::significant(0.0, 2));
        self::assertSame('10', Decimal::significant(9.999999, 2), 'and not 10.0');
        self::assertSame('9.9', Decimal::significant(9.94, 2));
        self::assertSame('0.10', Decimal::significant(0.0996, 2));
    }
}
