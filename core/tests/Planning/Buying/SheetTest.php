<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Planning\Buying;

use Olvek\Core\Basis\Unit\MolarMass;
use Olvek\Core\Nature\Water\Ammonium;
use Olvek\Core\Nature\Water\WaterChange;
use Olvek\Core\Planning\Buying\BuyLine;
use Olvek\Core\Planning\Buying\Sheet;
use Olvek\Core\Planning\Buying\Shop;
use Olvek\Core\Planning\Buying\ShoppingList;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\Quantities;
use Olvek\Core\Tests\Said;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** The build sheet, each example worked by hand beside it. */
final class SheetTest extends TestCase
{
    /** 58.8 × 28.8 cm inside: 3 cm of soil of coir 2, compost 1 are 5.08032 L; 4 cm of sand 6.77376 L. */
    private static function plan(): Plan
    {
        return Sample::edit(Sample::planted(), [
            'bed.soil.mix' => 'coir 2, garden-compost 1',
            'bed.soil.front' => '3',
            'bed.soil.back' => '3',
            'bed.cap.front' => '4',
            'bed.cap.back' => '4',
        ]);
    }

    private static function line(Sheet $sheet, string $id): BuyLine
    {
        return array_column(array_map(static fn (BuyLine $l): array => [$l->material->id, $l], $sheet->materials), 1, 0)[$id];
    }

    /** Coir ⅔ of 5.08032 = 3.38688 L laid, with 15 % 3.89491; sand with 5 % 7.11245. */
    public function testAllowances(): void
    {
        $sheet = Sheet::of(self::plan(), Sample::catalogue());
        self::assertEqualsWithDelta(3.38688, self::line($sheet, 'coir')->laid, 1e-6);
        self::assertEqualsWithDelta(3.89491, self::line($sheet, 'coir')->needed, 1e-5);
        self::assertEqualsWithDelta(7.11245, self::line($sheet, 'coarse-sand')->needed, 1e-5);
        self::assertEqualsWithDelta(
            7.11245 * Sample::catalogue()->materials['coarse-sand']->density->value,
            self::line($sheet, 'coarse-sand')->kilograms,
            1e-4,
        );
    }

    /** 7.11 L of sand, 2 on hand: 5.11 to buy, in bags of 2.5 L three, at 4 apiece 12. */
    public function testBagsAndPrices(): void
    {
        $sheet = Sheet::of(
            self::plan(),
            Sample::catalogue(),
            new Shop(['coarse-sand' => 2.5, 'coir' => 5.0], ['coarse-sand' => 4.0], ['coarse-sand' => 2.0]),
        );
        $sand = self::line($sheet, 'coarse-sand');
        self::assertSame(3, $sand->bags);
        self::assertSame(12.0, $sand->cost);
        self::assertSame(1, self::line($sheet, 'coir')->bags);
        self::assertNull(self::line($sheet, 'coir')->cost);
        self::assertSame(12.0, $sheet->cost);
        self::assertSame(2, $sheet->unpriced, 'coir and compost');
        $plenty = self::line(
            Sheet::of(self::plan(), Sample::catalogue(), new Shop(['coarse-sand' => 2.5], [], ['coarse-sand' => 20.0])),
            'coarse-sand',
        );
        self::assertSame([0.0, 0], [$plenty->toBuy, $plenty->bags]);
    }

    /** 5.84237 L of mix in buckets of 2 L: 2.92 of them, each 1.333 L of coir and 0.667 of compost. */
    public function testTheMixIsMadeByTheBucket(): void
    {
        $mixes = Sheet::of(self::plan(), Sample::catalogue(), bucket: 2.0)->mixes;
        self::assertCount(1, $mixes);
        self::assertEqualsWithDelta(2.921184, $mixes[0]->buckets, 1e-5);
        self::assertEqualsWithDelta(4 / 3, $mixes[0]->rows[0]['inBucket'], 1e-9);
        self::assertEqualsWithDelta(2 / 3, $mixes[0]->rows[1]['inBucket'], 1e-9);
        $small = Sheet::of(self::plan(), Sample::catalogue())->mixes[0];
        self::assertEqualsWithDelta(1.0, $small->buckets, 1e-9, 'less than a bucketful is one');
        self::assertEqualsWithDelta(5.842368, $small->bucket, 1e-6);
    }

    /** What is laid is what the Bench says, in any tank. */
    public function testTheSheetAgreesWithTheBench(): void
    {
        for ($seed = 1; $seed <= 60; ++$seed) {
            $plan = Sample::random($seed);
            $laid = array_sum(array_map(static fn (BuyLine $l): float => $l->laid, Sheet::of($plan, Sample::catalogue())->materials));
            self::assertEqualsWithDelta(
                array_sum(array_map(static fn ($n): float => $n->litres, Quantities::of($plan)->materials)),
                $laid,
                1e-9,
                "seed $seed",
            );
        }
    }

    public function testSubstitutesAreOfTheSameUse(): void
    {
        foreach (Sheet::of(self::plan(), Sample::catalogue())->materials as $line) {
            self::assertCount(2, $line->substitutes);
            foreach ($line->substitutes as $other) {
                self::assertSame($line->material->role, $other->role);
            }
        }
    }

    public function testOnlyWhatIsNeeded(): void
    {
        $of = static fn (Plan $plan): array => array_column(ShoppingList::of($plan), 'message', 'id');
        $list = $of(self::plan());
        self::assertArrayNotHasKey('kit.heater', $list);
        self::assertArrayHasKey('kit.foam', $list);
        $warm = $of(
            Sample::edit(self::plan(), ['site.temperature' => '14 °C', 'vessel.shape' => 'barrel', 'light.lumens' => '0']),
        );
        self::assertSame('buy.heater-missing(coldest: 14)', Said::plain($warm['kit.heater']));
        self::assertArrayNotHasKey('kit.foam', $warm);
        self::assertArrayNotHasKey('kit.timer', $warm);
    }

    /**
     * 2 mg N/L in 46 L are 92 mg N: × 53.489/14.007 = 351.3 mg of the salt; of a solution of 10 g/L 35.1 mL or 703 drops. By hand from
     * IUPAC's weights.
     */
    public function testADoseOfAmmoniumChloride(): void
    {
        self::assertEqualsWithDelta(0.3513, Ammonium::grams(2.0, 46.0), 1e-4);
        self::assertEqualsWithDelta(35.13, Ammonium::millilitres(2.0, 46.0, 10.0), 1e-2);
        // Published check: ammonium chloride is 26.19 % nitrogen (CRC Handbook of Chemistry and Physics; M for the page).
        self::assertEqualsWithDelta(0.2619, MolarMass::NITROGEN / MolarMass::AMMONIUM_CHLORIDE, 1e-4);
        $this->expectException(\InvalidArgumentException::class);
        Ammonium::millilitres(2.0, 46.0, 0.0);
    }

    /**
     * From 40 to 25 with tap at 5: (40 − 25)/(40 − 5) = 3/7 of the water, 19.71 of 46 L. From 1 to 0.1 with clean water: 90 %, as four
     * changes of 43.8 % (0.5623⁴ = 0.1).
     */
    public function testAChangeOfWater(): void
    {
        $once = WaterChange::of(40, 25, 5, 46);
        self::assertNotNull($once);
        self::assertEqualsWithDelta(3 / 7, $once->share, 1e-12);
        self::assertEqualsWithDelta(19.714, $once->litres, 1e-3);
        self::assertSame(1, $once->times);
        $often = WaterChange::of(1, 0.1, 0, 46);
        self::assertNotNull($often);
        self::assertSame(4, $often->times);
        self::assertEqualsWithDelta(0.4377, $often->each, 1e-4);
        self::assertEqualsWithDelta(0.1, (1 - $often->each) ** 4, 1e-12);
    }

    #[TestWith([10.0, 20.0, 5.0, 0])]
    #[TestWith([10.0, 10.0, 50.0, 0])]
    public function testNoChangeIsNeededWhereItReadsLessAlready(float $from, float $to, float $tap, int $times): void
    {
        self::assertSame($times, WaterChange::of($from, $to, $tap, 46)?->times);
    }

    public function testTapWaterThatHoldsAsMuchHelpsNothing(): void
    {
        self::assertNull(WaterChange::of(40, 20, 20, 46));
    }
}
