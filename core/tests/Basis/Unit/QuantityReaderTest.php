<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Basis\Unit;

use Olvek\Core\Basis\Unit\QuantityReader;
use Olvek\Core\Basis\Unit\Unit;
use Olvek\Core\Basis\Unit\UnreadableQuantity;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
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
        yield 'feet and inches' => ['2 ft 6 in', Unit::Centimetre, 0.762];
        yield 'the same by signs' => ['2′ 6 1/2″', Unit::Inch, 0.7747];
        yield 'feet and a bare number' => ['2 ft 6', Unit::Inch, 0.762];
        yield 'pounds and ounces' => ['1 lb 8 oz', Unit::Gram, 680.388555];
        yield 'hours and minutes' => ['1 h 30 min', Unit::Hour, 1.5];
        yield 'three decimals' => ['1.125 in', Unit::Inch, 0.028575];
        yield 'a comma and three digits after a nought' => ['0,125 m', Unit::Metre, 0.125];
        yield 'parts per million of what is dissolved' => ['0.25 ppm', Unit::MilligramPerLitre, 0.25];
        yield 'parts per million of hardness' => ['178.48 ppm', Unit::GermanDegree, 10.0];
        yield 'a fraction of one sign' => ['½ in', Unit::Centimetre, 0.0127];
        yield 'a number and a fraction of one sign' => ['1½"', Unit::Centimetre, 0.0381];
        yield 'Arabic digits' => ['٨٫٥', Unit::Hour, 8.5];
        yield 'full-width digits' => ['１２', Unit::Centimetre, 0.12];
        yield 'hours and minutes by a colon' => ['08:30', Unit::Hour, 8.5];
        yield 'no-break space' => ["3\u{00A0}cm", Unit::Inch, 0.03];
    }

    #[DataProvider('readable')]
    public function testReadsWhatKeepersType(string $typed, Unit $bare, float $expected): void
    {
        self::assertEqualsWithDelta($expected, QuantityReader::read($typed, $bare), 1e-12);
    }

    /** Digits in groups are asked about: nobody knows whether 1,500 is one and a half. */
    #[TestWith(['1,500', 'mean 1.5 or 1500'])]
    #[TestWith(['12,000 L', 'mean 12 or 12000'])]
    #[TestWith(['1,234,567', 'without them'])]
    #[TestWith(['1.234.567', 'without them'])]
    #[TestWith(['1,234.5', 'without them'])]
    #[TestWith(['1.234,5', 'without them'])]
    #[TestWith(['1 500', 'without them'])]
    #[TestWith(['1’500', 'without them'])]
    public function testGroupsAreAskedAbout(string $typed, string $why): void
    {
        $this->expectException(UnreadableQuantity::class);
        $this->expectExceptionMessage($why);
        QuantityReader::read($typed, Unit::Litre);
    }

    #[TestWith(['2 pm', 14.0])]
    #[TestWith(['2:30 p.m.', 14.5])]
    #[TestWith(['12 am', 0.0])]
    #[TestWith(['12:15 pm', 12.25])]
    #[TestWith(['9:30', 9.5])]
    #[TestWith(['24:00', 24.0])]
    #[TestWith(['14', null])]
    #[TestWith(['25:00', null])]
    #[TestWith(['13 pm', null])]
    #[TestWith(['0 am', null])]
    #[TestWith(['9:75', null])]
    public function testTimesOfDay(string $typed, ?float $hours): void
    {
        self::assertSame($hours, QuantityReader::clock($typed));
    }

    /** @return iterable<array{string}> */
    public static function unreadable(): iterable
    {
        foreach (
            [
                '',
                '  ',
                'deep',
                '1..2',
                '7.2.1',
                '08:30',
                '½½',
                '1/0',
                '3 cm 4',
                '2 gal',
                '5 parsec',
                '1 2.5',
                'NaN',
                'INF',
                '1e999',
                str_repeat('9', 5000),
                "1\n2",
                '0x1F',
                '--1',
                '2 ft 14 in',
            ] as $typed
        ) {
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
