<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Unit;

use Olvek\Core\Estimation\Quantity;
use Olvek\Core\Estimation\Shown;
use Olvek\Core\Unit\CaseAttribute;
use Olvek\Core\Water\Measure;
use Olvek\Core\Water\Measured;
use PHPUnit\Framework\TestCase;

final class CaseAttributeTest extends TestCase
{
    public function testItIsReadOnceAndTheSameForACase(): void
    {
        $read = CaseAttribute::of(Measure::Nitrate, Measured::class);
        self::assertSame('nitrate', $read?->label);
        self::assertSame($read, CaseAttribute::of(Measure::Nitrate, Measured::class));
        self::assertNotSame($read, CaseAttribute::of(Measure::Nitrite, Measured::class));
    }

    public function testACaseWithoutItHasNone(): void
    {
        self::assertNull(CaseAttribute::of(Quantity::Acidity, Shown::class));
        self::assertNull(CaseAttribute::of(Measure::Nitrate, Shown::class));
    }
}
