<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Basis\Unit;

use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\UnitSystem;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class UnitSystemTest extends TestCase
{
    /**
     * Two values that are told side by side never look alike unless they are.
     *
     * @param list<float> $values
     * @param list<string> $texts
     */
    #[TestWith([[5.0, 5.04], ['5 L', '5.04 L']])]
    #[TestWith([[5.0, 4.9996], ['5 L', '4.9996 L']])]
    #[TestWith([[5.0, 5.0], ['5 L', '5 L']])]
    #[TestWith([[5.0, 7.26], ['5 L', '7.3 L']])]
    public function testWhatDiffersLooksDifferent(array $values, array $texts): void
    {
        self::assertSame($texts, str_replace("\u{00A0}", ' ', UnitSystem::Metric->apart(Dimension::Volume, $values)));
    }

    #[TestWith([0.005, '0.005 L'])]
    #[TestWith([500.0, '500 L'])]
    #[TestWith([1 / 3, '0.333 L'])]
    #[TestWith([\INF, 'no number at all'])]
    public function testABoundIsToldAsItIs(float $bound, string $text): void
    {
        self::assertSame(
            $text,
            str_replace("\u{00A0}", ' ', (new Number('bags', Dimension::Volume, 0.0, 1.0))->sayExactly($bound, UnitSystem::Metric)),
        );
    }
}
