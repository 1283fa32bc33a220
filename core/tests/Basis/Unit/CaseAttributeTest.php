<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Basis\Unit;

use Olvek\Core\Basis\Unit\CaseAttribute;
use Olvek\Core\Keeping\Estimation\Quantity;
use Olvek\Core\Keeping\Estimation\Shown;
use Olvek\Core\Nature\Water\Measure;
use Olvek\Core\Nature\Water\Measured;
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
