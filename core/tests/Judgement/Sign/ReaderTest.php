<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Judgement\Sign;

use Olvek\Core\Judgement\Sign\Evidence;
use Olvek\Core\Judgement\Sign\Explanation;
use Olvek\Core\Judgement\Sign\Facts\Findings;
use Olvek\Core\Judgement\Sign\Knowledge;
use Olvek\Core\Judgement\Sign\NextLook;
use Olvek\Core\Judgement\Sign\RankedCause;
use Olvek\Core\Judgement\Sign\Reader;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** What lies behind signs: held against what the trade says of such tanks, and against the rules of probability. */
final class ReaderTest extends TestCase
{
    private static ?Reader $reader = null;

    private static function reader(): Reader
    {
        return self::$reader ??= new Reader(Knowledge::shipped());
    }

    private static function read(string $edits, string $log, int $day, string $signs, string $told = ''): Explanation
    {
        return self::reader()->read(Cases::case($edits, $log, $day, $signs, $told));
    }

    /** What was asked for: the trade's cause first in four of five cases, within the first three in nineteen of twenty. */
    #[TestWith(['build', 40])]
    #[TestWith(['held', 20])]
    public function testFindsTheTradesCause(string $set, int $least): void
    {
        $cases = array_filter(Cases::all(), static fn (array $c): bool => $c['set'] === $set);
        self::assertGreaterThanOrEqual($least, \count($cases));
        $first = $within = 0;
        $missed = [];
        foreach ($cases as $id => ['case' => $case, 'causes' => $causes]) {
            $ids = array_map(static fn (RankedCause $c): string => $c->cause->id, self::reader()->read($case)->causes);
            $first += \in_array($ids[0] ?? '', $causes, true) ? 1 : 0;
            $within += [] !== array_intersect($causes, \array_slice($ids, 0, 3)) ? 1 : 0;
            if (!\in_array($ids[0] ?? '', $causes, true)) {
                $missed[] = "$id: ".implode(' ', \array_slice($ids, 0, 3));
            }
        }
        self::assertGreaterThanOrEqual(0.8, $first / \count($cases), implode("\n", $missed));
        self::assertGreaterThanOrEqual(0.95, $within / \count($cases), implode("\n", $missed));
    }

    public function testTheHeldOutAreAThird(): void
    {
        $held = \count(array_filter(Cases::all(), static fn (array $c): bool => 'held' === $c['set']));
        self::assertGreaterThanOrEqual(60, \count(Cases::all()));
        self::assertEqualsWithDelta(1 / 3, $held / \count(Cases::all()), 0.06);
    }

    public function testRemovingEvidenceMovesTheShareTheOtherWay(): void
    {
        $moved = 0;
        foreach (Cases::all() as $id => ['case' => $case]) {
            $findings = Findings::of($case);
            $whole = self::reader()->weigh($case, $findings);
            foreach (\array_slice($whole->causes, 0, 3) as $ranked) {
                foreach ([...$ranked->for, ...$ranked->against] as $evidence) {
                    $fact = $evidence->fact->id;
                    $without = self::reader()->sharesWith($case, array_diff_key($findings, [$fact => 0]))[$ranked->cause->id];
                    $message = "$id: {$ranked->cause->id} without $fact";
                    if ($evidence->isFor()) {
                        self::assertLessThanOrEqual($ranked->share + 1e-9, $without, $message);
                    } else {
                        self::assertGreaterThanOrEqual($ranked->share - 1e-9, $without, $message);
                    }
                    $odds = static fn (float $share): float => $share / max(1e-12, 1 - $share);
                    self::assertEqualsWithDelta(1.0, $odds($ranked->share) / ($odds($without) * $evidence->factor), 1e-6, $message);
                    ++$moved;
                }
            }
        }
        self::assertGreaterThan(500, $moved);
    }

    /** A line taken out of the logbook, not only a number of the sum. */
    public function testALineOfTheLogbookSpeaksForItsCause(): void
    {
        $share = static fn (string $log, string $cause): float => self::read('', $log, 16, 'pale-tips:c1')->share($cause);
        self::assertGreaterThan($share('', 'lean-water'), $share('14 reading nitrate 0; 14 reading iron 0', 'lean-water'));
        self::assertLessThan($share('', 'lean-water'), $share('14 reading nitrate 5', 'lean-water'));
        self::assertGreaterThan($share('', 'iron-short'), $share('14 reading nitrate 5; 14 reading iron 0', 'iron-short'));
        $died = static fn (string $log): float => self::read('', $log, 112, 'dead:a1')->share('imported-illness');
        self::assertGreaterThan(
            $died('28 deed stock 10 a1; 112 reading ammonia 0'),
            $died('28 deed stock 10 a1; 105 deed stock 5 a1; 112 reading ammonia 0'),
        );
    }

    public function testSharesAreOfAWhole(): void
    {
        foreach (Cases::all() as $id => ['case' => $case]) {
            $read = self::reader()->read($case);
            $sum = $read->other + array_sum(array_map(static fn (RankedCause $c): float => $c->share, $read->causes));
            self::assertLessThanOrEqual(1 + 1e-9, $sum, $id);
            // Causes below a hundredth, and beyond the eighth, are not told.
            self::assertGreaterThan(0.85, $sum, $id);
            $shares = array_map(static fn (RankedCause $c): float => $c->share, $read->causes);
            self::assertSame(max([0.0, ...$shares]), $read->first()->share ?? 0.0);
        }
    }

    public function testEachEvidenceSaysFromWhereAndWhen(): void
    {
        $read = self::read('', '14 reading nitrate 0; 14 reading iron 0', 16, 'pale-tips:c1');
        $first = $read->first();
        self::assertSame('lean-water', $first?->cause->id);
        $words = implode("\n", array_map(static fn (Evidence $e): string => $e->finding->words, $first->for));
        self::assertStringContainsString('Nitrate read 0', $words);
        self::assertStringContainsString('on day 14', $words);
        self::assertStringContainsString('Ambulia stands for 16 days', $words);
        self::assertStringStartsWith('Most likely', $read->sentence());
    }

    /** What came of it the last time counts: better raises a cause, no change lowers it. */
    public function testTheTanksOwnHistoryCounts(): void
    {
        $share = static fn (string $log): float => self::read('', $log, 120, 'threads')->share('food-ahead');
        $plain = $share('');
        self::assertGreaterThan($plain, $share('60 tried food-ahead 21 threads; 81 came food-ahead 1 threads'));
        self::assertLessThan($plain, $share('60 tried food-ahead 21 threads; 81 came food-ahead 0 threads'));
        self::assertLessThan($plain, $share('60 tried food-ahead 21 threads; 81 came food-ahead -1 threads'));
        self::assertEqualsWithDelta($plain, $share('60 tried food-ahead 21 threads'), 1e-9, 'nobody has looked yet');
        self::assertEqualsWithDelta($plain, $share('60 tried food-ahead 21 film; 81 came food-ahead 1 film'), 1e-9, 'another sign');
    }

    /** A sign that was logged two weeks ago counts, one of fifteen days ago does not. */
    public function testSignsOfTheLastTwoWeeksCount(): void
    {
        $share = static fn (string $log): float => self::read('', $log, 100, 'film')->share('bacteria-bloom');
        self::assertGreaterThan($share(''), $share('87 sighting haze 0'));
        self::assertEqualsWithDelta($share(''), $share('86 sighting haze 0'), 1e-9);
        self::assertEqualsWithDelta($share(''), $share('87 sighting flower 0'), 1e-9);
    }

    public function testTheNextTestTellsTheFirstTwoApart(): void
    {
        $read = self::read('', '', 120, 'pale-tips:c1');
        $two = array_map(static fn (RankedCause $c): string => $c->cause->id, \array_slice($read->causes, 0, 2));
        self::assertContains('nitrogen-short', $two);
        $asked = array_map(static fn (NextLook $l): string => $l->fact->id, $read->looks);
        self::assertNotSame([], array_intersect(['iron-low', 'nitrate-low'], \array_slice($asked, 0, 2)), implode(' ', $asked));
        self::assertStringContainsString('If “', $read->looks[0]->then);
        foreach ($read->looks as $look) {
            self::assertGreaterThan(0.0, $look->tells);
            self::assertLessThanOrEqual(1.0, $look->tells);
        }
        // What was read a week ago is not asked for again.
        $after = self::read('', '118 reading nitrate 3; 118 reading iron 0', 120, 'pale-tips:c1');
        $asked = array_map(static fn (NextLook $l): string => $l->fact->id, $after->looks);
        self::assertSame([], array_intersect(['iron-low', 'nitrate-low'], $asked));
    }

    public function testWhatTheKeeperSaysOverridesTheRun(): void
    {
        $share = static fn (string $told): float => self::read('', '', 12, 'melt:c2', $told)->share('melt-after-move');
        self::assertGreaterThan($share(''), $share('firm-crown=yes'));
        self::assertLessThan($share(''), $share('firm-crown=no'));
    }

    public function testAnUrgentOneSaysSo(): void
    {
        self::assertTrue(self::read('', '10 deed stock 10 a1; 14 reading ammonia 2', 14, 'gasping-all-day:a1')->isUrgent());
        self::assertFalse(self::read('', '', 14, 'brown-dust')->isUrgent());
    }

    public function testWhatNothingExplainsIsSaid(): void
    {
        $read = self::reader()->read(Cases::case('', '', 30, ''));
        self::assertNull($read->first());
        self::assertStringContainsString('Nothing', $read->sentence());
    }
}
