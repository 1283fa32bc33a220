<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Nature\Water;

use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Keeping\Estimation\Observation;
use Olvek\Core\Keeping\Estimation\Scale;
use Olvek\Core\Keeping\Log\TestKit;
use Olvek\Core\Nature\Water\Measure;
use Olvek\Core\Nature\Water\Measured;
use Olvek\Core\Planning\Plan\Group;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Simulation\Run\Trace;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The registry of readings is complete: a new case fails here until its description is. */
final class MeasureTest extends TestCase
{
    private static ?Trace $trace = null;

    /** @return iterable<string, array{Measure}> */
    public static function measures(): iterable
    {
        foreach (Measure::cases() as $measure) {
            yield $measure->value => [$measure];
        }
    }

    #[DataProvider('measures')]
    public function testItIsDescribed(Measure $measure): void
    {
        self::assertCount(1, (new \ReflectionEnumBackedCase(Measure::class, $measure->name))->getAttributes(Measured::class));
        self::assertNotSame('', $measure->label());
        self::assertContains($measure->measured()->of, [null, 'clump', 'group']);
        if (Dimension::Concentration === $measure->dimension()) {
            self::assertStringStartsWith('mg/L', $measure->measured()->unit);
        }
    }

    /** Counts of animals are put into the run; all else is held against what the run has on that day. */
    #[DataProvider('measures')]
    public function testARunSaysWhatWouldBeRead(Measure $measure): void
    {
        if ('group' === $measure->measured()->of) {
            self::assertTrue($measure->isWhole());

            return;
        }
        $plan = Sample::planted();
        self::$trace ??= (new Runner($plan))->run(20);
        $clump = 'clump' === $measure->measured()->of ? 0 : null;
        $predicted = (new Observation(12, $measure, 0.0, 1.0, $clump, 10))->predicted(self::$trace, $plan);
        self::assertFinite($predicted);
        $base = Scale::of($measure)->base($predicted);
        if (Measure::Level !== $measure) {
            // Litres that dried up: what a ruler reads depends on the vessel.
            self::assertGreaterThanOrEqual($measure->bounds()[0], $base);
            self::assertLessThanOrEqual($measure->bounds()[1], $base);
        }
    }

    /** What can be pressed can be taken, in each way in which a kit or a keeper has it. */
    #[DataProvider('measures')]
    public function testStepsOfKitsAreReadingsInAscendingOrder(Measure $measure): void
    {
        $seen = 0;
        foreach (TestKit::choices($measure) as $ion) {
            $code = implode(',', array_map(static fn (Measure $m): string => $m === $measure ? $ion : '', Measure::asIons()));
            foreach (UnitSystem::cases() as $units) {
                $kit = TestKit::of($code);
                $before = -\INF;
                foreach ($kit->steps($measure, $units) as $step) {
                    self::assertGreaterThan($before, $step);
                    $before = $step;
                    $base = $units->unitFor($measure->dimension())->toBase($kit->toBase($measure, $step));
                    self::assertGreaterThanOrEqual($measure->bounds()[0], $base);
                    self::assertLessThanOrEqual($measure->bounds()[1], $base);
                    ++$seen;
                }
            }
        }
        self::assertSame([] === $measure->measured()->steps, 0 === $seen);
    }

    #[DataProvider('measures')]
    public function testAColumnIsFoundByItsNameAndByEveryOtherWord(Measure $measure): void
    {
        foreach ([$measure->value, ...$measure->measured()->aliases] as $word) {
            self::assertSame($measure, Measure::byWord($word), $word);
        }
    }

    /** As many can be counted as can be kept. */
    public function testAsManyAreCountedAsThereMayBe(): void
    {
        foreach (Measure::ofGroups() as $measure) {
            self::assertSame((float) Group::MOST, $measure->bounds()[1], $measure->value);
        }
    }

    public function testADescriptionThatCannotBeIsRefused(): void
    {
        $this->expectException(\InvalidArgumentException::class);
        new Measured('upside down', Dimension::Count, [1.0, 0.0], 0.1);
    }

    public function testIonsNeedTheirElement(): void
    {
        $this->expectException(\InvalidArgumentException::class);
        new Measured('of nothing', Dimension::Concentration, [0.0, 1.0], 0.1, element: 'N');
    }
}
