<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Unit;

use Olvek\Core\Unit\QuantityReader;
use Olvek\Core\Unit\Unit;
use Olvek\Core\Unit\UnreadableQuantity;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class QuantityReaderTest extends TestCase
{
    /** @return iterable<string, array{string, Unit, float}> */
    public static function readable(): iterable
    {
        yield 'bare, in the field’s unit' => ['2.5', Unit::Centimetre, 0.025];
        yield 'bare, US' => ['1', Unit::Inch, 0.0254];
        yield 'other system' => ['1 in', Unit::Centimetre, 0.0254];
        yield 'no space' => ['2.5cm', Unit::Inch, 0.025];
        yield 'decimal comma' => ['2,5 cm', Unit::Inch, 0.025];
        yield 'fraction' => ['1/2"', Unit::Centimetre, 0.0127];
        yield 'mixed number' => ['1 1/2 in', Unit::Centimetre, 0.0381];
        yield 'prime sign' => ['2′', Unit::Centimetre, 0.6096];
        yield 'gallons' => ['20 gal', Unit::Litre, 75.70823568];
        yield 'two-word unit' => ['2 imp gal', Unit::Litre, 9.09218];
        yield 'fahrenheit' => ['77 °F', Unit::Celsius, 25.0];
        yield 'negative' => ['-3 cm', Unit::Centimetre, -0.03];
        yield 'true minus' => ['−3', Unit::Centimetre, -0.03];
        yield 'percent' => ['40 %', Unit::Percent, 0.4];
        yield 'milligrams' => ['50 mg', Unit::Gram, 0.05];
        yield 'starts with a point' => ['.5 in', Unit::Inch, 0.0127];
        yield 'exponent' => ['1e2', Unit::Millimetre, 0.1];
        yield 'no-break space' => ["3\u{00A0}cm", Unit::Inch, 0.03];
    }

    #[DataProvider('readable')]
    public function testReadsWhatKeepersType(string $typed, Unit $bare, float $expected): void
    {
        self::assertEqualsWithDelta($expected, QuantityReader::read($typed, $bare), 1e-12);
    }

    /** @return iterable<array{string}> */
    public static function unreadable(): iterable
    {
        foreach (['', '  ', 'deep', '1..2', '1/0', '3 cm 4', '2 gal', '5 parsec', '1 2.5', 'NaN', 'INF', '1e999', str_repeat('9', 5000), "1\n2", '0x1F', '--1'] as $typed) {
            yield [$typed];
        }
    }

    #[DataProvider('unreadable')]
    public function testRefusesTheRestAndSaysWhatToType(string $typed): void
    {
        try {
            QuantityReader::read($typed, Unit::Centimetre);
        } catch (UnreadableQuantity $refused) {
            self::assertLessThan(200, mb_strlen($refused->getMessage()));
            self::assertStringContainsString('cm', $refused->getMessage());

            return;
        }
        self::fail("\"$typed\" was read");
    }
}
