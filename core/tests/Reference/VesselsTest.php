<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Reference;

use Olvek\Core\Nature\Vessel\Barrel;
use Olvek\Core\Nature\Vessel\Bowl;
use Olvek\Core\Nature\Vessel\JarLying;
use Olvek\Core\Nature\Vessel\TiltedFlask;
use Olvek\Core\Nature\Vessel\Tub;
use Olvek\Core\Nature\Vessel\Vessel;
use Olvek\Core\Nature\Vessel\VesselShape;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Every shape against brute numerical integration in SciPy (vessels.csv, make-vessels.py), and against closed formulas where there are any.
 */
final class VesselsTest extends TestCase
{
    /** @return iterable<string, array{Vessel, array<string, string>}> */
    public static function vessels(): iterable
    {
        $lines = file(__DIR__.'/vessels.csv', \FILE_IGNORE_NEW_LINES);
        self::assertIsArray($lines);
        $header = explode(',', $lines[0]);
        foreach (\array_slice($lines, 1) as $line) {
            $row = array_combine($header, explode(',', $line));
            $shape = VesselShape::from($row['shape']);
            yield $row['name'] => [
                $shape->make(array_combine($shape->measures(), array_map(floatval(...), explode(' ', $row['measures'])))),
                $row,
            ];
        }
    }

    /** @param array<string, string> $row */
    #[DataProvider('vessels')]
    public function testHoldsWhatIntegrationSays(Vessel $vessel, array $row): void
    {
        self::assertNull($vessel->broken());
        self::assertEqualsWithDelta((float) $row['litres'], $vessel->volumeBelow((float) $row['line']), 1e-4 * (float) $row['litres']);
        self::assertEqualsWithDelta(
            (float) $row['under_slope'],
            $vessel->volumeUnderSlope((float) $row['front'], (float) $row['back']),
            0.003 * (float) $row['under_slope'],
        );
        self::assertEqualsWithDelta((float) $row['surface'], $vessel->areaAt((float) $row['line']), 1e-4 * (float) $row['surface']);
        // Levelled, a slope is a level.
        self::assertEqualsWithDelta($vessel->volumeBelow(0.05), $vessel->volumeUnderSlope(0.05, 0.05), 1e-9);
    }

    public function testEveryShapeIsInTheTable(): void
    {
        $shapes = array_map(static fn (array $v): string => $v[0]->shape()->value, array_values(iterator_to_array(self::vessels())));
        self::assertSame([], array_diff(array_column(VesselShape::cases(), 'value'), $shapes));
    }

    /**
     * Closed formulas by hand: half a sphere 2/3 π R³; a cap of height h, π h² (3R − h)/3; half a lying cylinder, π R² L/2; a cone cut off;
     * R = 10 cm throughout.
     */
    public function testClosedFormulas(): void
    {
        $half = new Bowl(0.204, 0.102, 0.204, 0.002);
        self::assertEqualsWithDelta((2 / 3) * \M_PI, $half->grossVolume(), 1e-6);
        $flask = new TiltedFlask(0.204, 0.15, 0.002);
        self::assertEqualsWithDelta((1000 * \M_PI * 0.05 ** 2 * (0.3 - 0.05)) / 3, $flask->volumeBelow(0.05), 1e-9);
        $jar = new JarLying(0.204, 0.304, 0.002);
        self::assertEqualsWithDelta((1000 * \M_PI * 0.01 * 0.3) / 2, $jar->volumeBelow(0.1), 1e-9);
        self::assertEqualsWithDelta(1000 * \M_PI * 0.01 * 0.3, $jar->grossVolume(), 1e-9);
        $tub = new Tub(0.402, 0.202, 0.301, 0.001);
        self::assertEqualsWithDelta(((1000 * \M_PI * 0.3) / 12) * (0.2 ** 2 + 0.2 * 0.4 + 0.4 ** 2), $tub->grossVolume(), 1e-9);
        $straight = new Barrel(0.402, 0.402, 0.301, 0.001);
        self::assertEqualsWithDelta(1000 * \M_PI * 0.04 * 0.3, $straight->grossVolume(), 1e-9);
        // Archimedes: the wall of a zone of a sphere is 2πRh.
        self::assertEqualsWithDelta(2 * \M_PI * 0.1 * 0.08, $flask->wallArea(0.03, 0.11), 2e-5);
    }

    public function testShapesThatCannotBeAreRefusedWithTheMeasure(): void
    {
        self::assertSame('height', (new Bowl(0.3, 0.5, 0.2, 0.004))->broken()[0] ?? null);
        self::assertSame('mouth', (new Bowl(0.3, 0.2, 0.4, 0.004))->broken()[0] ?? null);
        self::assertSame('lip', (new TiltedFlask(0.2, 0.21, 0.003))->broken()[0] ?? null);
        self::assertSame('foot', (new Tub(0.4, 0.5, 0.3, 0.004))->broken()[0] ?? null);
    }

    /** One shape turned into another keeps the plan whole. */
    public function testAnyShapeBecomesAnyOther(): void
    {
        foreach (VesselShape::cases() as $from) {
            $plan = Sample::edit(Sample::planted(), ['vessel.shape' => $from->value, 'waterLine' => '14 cm']);
            foreach (VesselShape::cases() as $to) {
                self::assertSame($to, Sample::edit($plan, ['vessel.shape' => $to->value, 'waterLine' => '12 cm'])->vessel->shape());
            }
        }
    }
}
