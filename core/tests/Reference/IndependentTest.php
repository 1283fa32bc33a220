<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Reference;

use Olvek\Core\Basis\Unit\Estimate;
use Olvek\Core\Basis\Unit\Provenance;
use Olvek\Core\Nature\Bed\Bed;
use Olvek\Core\Nature\Bed\Layer;
use Olvek\Core\Nature\Bed\Mix;
use Olvek\Core\Nature\Light\Lamp;
use Olvek\Core\Nature\Light\Shade;
use Olvek\Core\Planning\Event\Dose;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/**
 * Pieces of the run against other ways of working them out, which share neither its code nor its approximations: independent.py and the
 * tables that it writes.
 */
final class IndependentTest extends TestCase
{
    /**
     * The leak through a cap against the diffusion equation in depth. The run has no storage in the cap, so that it is early while the sand
     * fills: within a half in the first two weeks, within three tenths from then on. Early is the safe side.
     */
    #[TestWith([0.02])]
    #[TestWith([0.04])]
    #[TestWith([0.06])]
    public function testTheLeakThroughACapFollowsTheDiffusionEquation(float $cap): void
    {
        $catalogue = Sample::catalogue();
        $loam = $catalogue->materials['garden-loam'];
        // 5 L at 1.1 kg/L: 160 mg that is soluble, nitrate apart (60 %); 8250 mg that is older, of which 935 mg ready (C:N 9).
        $soil = $loam->with(
            Estimate::of(160 / 5.5 / 0.4, Provenance::Judgement),
            $loam->slowNitrogen,
            $loam->quickCarbon,
            $loam->slowCarbon,
            $loam->retardation,
            $loam->phosphorus,
            $loam->potassium,
            $loam->iron,
        );
        $plan = Sample::edit(Plan::starting('Bed', $catalogue), [
            'vessel.length' => '0.512 m',
            'vessel.width' => '0.412 m',
            'vessel.height' => '0.36 m',
            'vessel.glass' => '0.006 m',
            'waterLine' => '0.34 m',
            'site.temperature' => '25 °C',
            'light.hours' => '0',
        ]);
        $plan = $plan->withBed(
            new Bed(new Layer(Mix::pure($soil), 0.025, 0.025), new Layer(Mix::pure($catalogue->materials['coarse-sand']), $cap, $cap)),
        );
        $leak = (new Runner($plan))->run(365)->columns['leak'];
        $compared = 0;
        foreach (self::table('cap-pde.csv') as $row) {
            if (abs($row['cap'] - $cap) < 1e-9) {
                $ratio = $leak[(int) $row['day'] - 1] / $row['leak'];
                self::assertGreaterThan(0.75, $ratio, "day {$row['day']}");
                self::assertLessThan($row['day'] < 21 ? 2.4 : 1.3, $ratio, "day {$row['day']}");
                ++$compared;
            }
        }
        self::assertSame(7, $compared);
    }

    /**
     * Light within overlapping discs against points thrown on them: each within 0.08 of the light on the water, all together within 0.02.
     */
    public function testShadesOverlapAsRaysSay(): void
    {
        $layouts = [];
        foreach (self::table('overlap.csv') as $row) {
            $layouts[(int) $row['layout']][(int) $row['disc']] = $row;
        }
        $sum = $off = 0.0;
        foreach ($layouts as $discs) {
            // The class adds the slant of the light to what it is given; here the discs are meant with it.
            $areas = array_map(static fn (array $d): float => \M_PI * ($d['radius'] - Shade::SLANT) ** 2, $discs);
            [$light] = Shade::within(
                array_map(static fn (array $d): array => [$d['x'], $d['z']], $discs),
                $areas,
                array_column($discs, 'leaves'),
                0.18,
                // Rays know nothing of stems that lean.
                0.0,
            );
            foreach ($discs as $i => $disc) {
                self::assertEqualsWithDelta($disc['light'], $light[$i], 0.08, "layout {$disc['layout']}, disc $i");
                $off += $light[$i] - $disc['light'];
                ++$sum;
            }
        }
        self::assertGreaterThan(30, $sum);
        self::assertEqualsWithDelta(0.0, $off / $sum, 0.02);
    }

    /** What a strip lamp sends to the water falls with its height as its rays do, within a tenth up to twice the usual height. */
    public function testALampsLightFallsWithItsHeight(): void
    {
        $rows = self::table('lamp.csv');
        $usual = array_values(array_filter($rows, static fn (array $r): bool => abs($r['height'] - Lamp::USUAL_HEIGHT) < 1e-9))[0]['share'];
        foreach ($rows as ['height' => $height, 'share' => $share]) {
            if ($height <= 0.2) {
                $ours = (new Lamp(1000, 8, 0.6, $height))->landed(0.18) / 0.6;
                self::assertEqualsWithDelta($share / $usual, $ours, 0.1, "$height m");
            }
        }
    }

    /**
     * A fishless dose of 5 mg/L: the run stands between two guilds as texts on waste water have them and slow, keen ones as found in
     * aquaria, give or
     * take a quarter, in the days on which ammonia and nitrite are gone.
     */
    #[TestWith(['cuttings', 0.002])]
    #[TestWith(['bottled', 0.005])]
    #[TestWith(['sponge', 0.1])]
    public function testADoseIsGoneBetweenTwoKindsOfGuilds(string $inoculum, float $share): void
    {
        /** @var array<string, array<int, float>> $gone day by guilds */
        $gone = ['ammonia' => [], 'nitrite' => []];
        foreach (self::table('two-guilds.csv') as $row) {
            if (abs($row['share'] - $share) < 1e-9) {
                foreach (['ammonia', 'nitrite'] as $what) {
                    if ($row['day'] >= 3 && $row[$what] < 0.1 && ('ammonia' === $what || isset($gone['ammonia'][(int) $row['guilds']]))) {
                        $gone[$what][(int) $row['guilds']] ??= $row['day'];
                    }
                }
            }
        }
        $bare = Sample::edit(Plan::starting('Bare', Sample::catalogue()), [
            'bed.soil.material' => 'none',
            'light.hours' => '0',
            'start.inoculum' => $inoculum,
            'site.temperature' => '25 °C',
        ]);
        $trace = (new Runner($bare))->run(60, [new Dose(0, 5.0)]);
        foreach (['ammonia', 'nitrite'] as $what) {
            self::assertCount(2, $gone[$what]);
            $first = array_filter(
                $trace->columns[$what],
                static fn (float $v, int $day): bool => $day >= 3 && $v < 0.1 && $trace->columns['ammonia'][$day] < 0.1,
                \ARRAY_FILTER_USE_BOTH,
            );
            $day = array_key_first($first);
            self::assertGreaterThan(0.75 * min($gone[$what]), $day, $what);
            self::assertLessThan(1.25 * max($gone[$what]), $day, $what);
        }
    }

    /** @return non-empty-list<array<string, float>> */
    private static function table(string $file): array
    {
        $lines = file(__DIR__.'/'.$file, \FILE_IGNORE_NEW_LINES);
        self::assertIsArray($lines);
        $header = explode(',', (string) array_shift($lines));
        $rows = array_map(static fn (string $line): array => array_combine($header, array_map(floatval(...), explode(',', $line))), $lines);
        self::assertNotEmpty($rows);

        return array_values($rows);
    }
}
