<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Judgement\Start;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Judgement\Start\FirstWeeks;
use Olvek\Core\Judgement\Start\Gate;
use Olvek\Core\Judgement\Start\GateState;
use Olvek\Core\Judgement\Start\Quarantine;
use Olvek\Core\Judgement\Start\TankToday;
use Olvek\Core\Keeping\Care\Care;
use Olvek\Core\Keeping\Care\Task;
use Olvek\Core\Keeping\Log\Log;
use Olvek\Core\Keeping\Log\LoggedEvent;
use Olvek\Core\Keeping\Log\Reading;
use Olvek\Core\Keeping\Log\TestKit;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Nature\Water\Measure;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Change\QuarantineTank;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\StartWay;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\TestCase;

/** A tank for newcomers: bare, seeded, watched for four weeks. */
final class QuarantineTest extends TestCase
{
    private static function plan(): Plan
    {
        $plan = Plan::starting('Apart', Sample::catalogue());
        $plan = (new Editor(Catalogue::shipped()))->make($plan, QuarantineTank::changes($plan), UnitSystem::Metric)->plan;

        return Sample::edit($plan, ['animals.add.heterandria-formosa' => '6 on 1']);
    }

    /**
     * @param list<LoggedEvent> $events
     *
     * @return array<string, Gate>
     */
    private static function gates(array $events, int $today): array
    {
        $quiet = [];
        foreach (range(0, $today) as $day) {
            $quiet[] = new Reading($day, Measure::Ammonia, 0.0);
            $quiet[] = new Reading($day, Measure::Nitrite, 0.0);
        }
        $weeks = FirstWeeks::of(new TankToday(self::plan(), new Log($quiet, $events), $today, TestKit::of()));

        return array_column(array_map(static fn (Gate $g): array => [$g->id, $g], $weeks->gates), 1, 0);
    }

    public function testItIsBareSeededAndChangedOften(): void
    {
        $plan = self::plan();
        self::assertNull($plan->bed->soil);
        self::assertNull($plan->bed->cap);
        self::assertSame([StartWay::Quarantine, 3], [$plan->preparation->way, $plan->care->changeEvery]);
        self::assertTrue($plan->equipment->filters());
        $run = (new Runner($plan))->run(60);
        $tasks = array_filter(Care::of($plan, $run), static fn (Task $t): bool => 'look' === $t->id);
        self::assertSame([1], array_values(array_map(static fn (Task $t): int => $t->every, $tasks)));
    }

    public function testFourWeeksAfterTheLastCameTheyMoveOn(): void
    {
        $came = [new LoggedEvent(0, EventKind::Seed, 1.0), new LoggedEvent(2, EventKind::Stock, 6, 'a1')];
        self::assertSame(GateState::Passed, self::gates($came, 5)['seed']->state);
        self::assertSame(GateState::Waits, self::gates($came, 2 + Quarantine::DAYS - 1)['apart']->state);
        $over = self::gates($came, 2 + Quarantine::DAYS);
        self::assertSame(GateState::Passed, $over['apart']->state);
        self::assertSame(GateState::Ready, $over['moved']->state);
        // Another newcomer, and the days begin anew.
        $again = [...$came, new LoggedEvent(20, EventKind::Stock, 2, 'a1')];
        self::assertSame(GateState::Waits, self::gates($again, 20 + Quarantine::DAYS - 1)['apart']->state);
        self::assertSame(GateState::Passed, self::gates($again, 20 + Quarantine::DAYS)['apart']->state);
        $moved = [...$came, new LoggedEvent(31, EventKind::TakeOut, 6, 'a1')];
        self::assertSame(GateState::Passed, self::gates($moved, 31)['moved']->state);
    }
}
