<?php

declare(strict_types=1);

namespace Olvek\Tests\Judging;

use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Simulation\Run\Snapshot;
use Olvek\Service\Drawing\Standalone;
use Olvek\Service\Judging\PackedDays;
use PHPUnit\Framework\TestCase;

/** What the Bench keeps of a run, and what it sends out of the page. */
final class PackedDaysTest extends TestCase
{
    private static function plan(string $name): Plan
    {
        return (new PlanDocument(Catalogue::shipped()))->fromJson((string) file_get_contents(__DIR__."/../../demo/$name.plan.json"));
    }

    /** Packed and unpacked, every day shows what the run had, to the precision of a drawing. */
    public function testEveryDayComesBack(): void
    {
        foreach (['waiting-hall', 'terrace'] as $name) {
            $trace = (new Runner(self::plan($name)))->run(90);
            $album = unserialize(serialize(PackedDays::of($trace)));
            self::assertInstanceOf(PackedDays::class, $album);
            foreach ([0, 1, 44, 89] as $day) {
                $had = get_object_vars($trace->on($day));
                foreach (get_object_vars($album->on($day)) as $what => $kept) {
                    foreach ((array) $kept as $n => $value) {
                        self::assertIsNumeric($value);
                        $before = ((array) $had[$what])[$n];
                        self::assertIsNumeric($before);
                        self::assertEqualsWithDelta(
                            (float) $before,
                            (float) $value,
                            1e-5 * max(1.0, abs((float) $before)),
                            "$name, $what on day $day",
                        );
                    }
                }
            }
        }
    }

    public function testDaysBeyondTheRunAreItsEnds(): void
    {
        $album = PackedDays::of((new Runner(self::plan('galley')))->run(30));
        self::assertSame([0, 29, 29], [$album->on(-5)->day, $album->on(29)->day, $album->on(4000)->day]);
    }

    /** As masses grow, plants stand higher and reach farther, and never beyond their kind. */
    public function testWhatGrowsIsDrawnLarger(): void
    {
        $plan = self::plan('waiting-hall');
        $planted = Snapshot::planned($plan);
        $grown = new Snapshot(
            9,
            array_map(static fn (float $g): float => 4 * $g, $planted->clumps),
            $planted->heads,
            0.0,
            0.0,
            0.0,
            0.0,
            0.0,
            8.0,
            1.0,
            3.0,
        );
        foreach ($plan->clumps as $i => $clump) {
            self::assertGreaterThan($planted->height($plan, $i), $grown->height($plan, $i));
            self::assertLessThanOrEqual($clump->kind->height->value, $grown->height($plan, $i));
            self::assertGreaterThan($planted->spread($plan, $i), $grown->spread($plan, $i));
            self::assertEqualsWithDelta($clump->area(), $planted->spread($plan, $i), 1e-12);
        }
    }

    /** Every paint that a drawing outside the page needs is written out, and is a colour. */
    public function testPaintsAreWrittenOut(): void
    {
        $style = (new Standalone(__DIR__.'/../../assets/styles'))->style();
        self::assertStringNotContainsString('var(', $style);
        foreach (['.soil', '.glass', '.curve-oxygen', '.year-band', '.gate'] as $rule) {
            self::assertStringContainsString($rule, $style);
        }
        self::assertGreaterThan(40, preg_match_all('/(?:fill|stroke|stop-color):\s*([^;}]+)/', $style, $paints));
        foreach ($paints[1] as $paint) {
            self::assertMatchesRegularExpression('/^(none|url\("#[a-z-]+"\)|#[0-9a-f]{6}([0-9a-f]{2})?|white)$/', trim($paint));
        }
    }
}
