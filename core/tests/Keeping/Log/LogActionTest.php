<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Keeping\Log;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Keeping\Log\ActualPlan;
use Olvek\Core\Keeping\Log\Log;
use Olvek\Core\Keeping\Log\LogAction;
use Olvek\Core\Keeping\Log\LoggedEvent;
use Olvek\Core\Keeping\Log\Sign;
use Olvek\Core\Keeping\Log\TestKit;
use Olvek\Core\Nature\Water\Measure;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Event\Fertilise;
use Olvek\Core\Planning\Event\Light;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\TestCase;

/** What is offered at the tank: each can be logged, and a run understands it. */
final class LogActionTest extends TestCase
{
    public function testAllThatIsOfferedCanBeLoggedAndRun(): void
    {
        $plan = Sample::planted();
        $ids = [];
        $events = [];
        foreach (LogAction::of($plan) as $action) {
            self::assertNotContains($action->id(), $ids, 'each once');
            $ids[] = $action->id();
            self::assertSame($action->id(), LogAction::find($plan, $action->kind, $action->of)?->id());
            self::assertNotNull($action->kind->happens()->done, 'the logbook has words for it');
            // What was spent has no usual amount: it is asked for.
            self::assertSame(LogAction::SPENT !== $action->of, $action->isUsual());
            if (null !== $action->number && null !== $action->amount) {
                self::assertTrue($action->number->allows($action->amount), $action->id());
            }
            if (EventKind::Task !== $action->kind) {
                $events[] = new LoggedEvent(40, $action->kind, $action->amount ?? 0.0, $action->of);
            }
        }
        foreach (['task-topped-up', 'change', 'trim-c1', 'feed', 'stock-a1', 'take-out-a1', 'lost-a1', 'light'] as $id) {
            self::assertContains($id, $ids);
        }
        $actual = ActualPlan::of($plan, new Log([], $events));
        $trace = (new Runner($actual->plan))->run(60, $actual->events);
        self::assertSame(60, $trace->days());
    }

    public function testNothingIsOfferedOfWhatIsNotInThePlan(): void
    {
        self::assertNull(LogAction::find(Sample::planted(), EventKind::Trim, 'c99'));
        self::assertNull(LogAction::find(Sample::planted(), EventKind::Trim, null));
        self::assertNull(LogAction::find(Sample::planted(), EventKind::Holiday, null));
    }

    /** Two of six die: four are left, in a run as at the tank. */
    public function testTheDeadAreCounted(): void
    {
        $plan = Sample::planted();
        $heads = static function (array $events) use ($plan): float {
            /** @var list<LoggedEvent> $events */
            $actual = ActualPlan::of($plan, new Log([], [new LoggedEvent(20, EventKind::Stock, 6, 'a1'), ...$events]));

            return (new Runner($actual->plan))->run(45, $actual->events)->on(41)->heads[0];
        };
        $all = $heads([]);
        self::assertEqualsWithDelta(2.0, $all - $heads([new LoggedEvent(41, EventKind::Lost, 2, 'a1')]), 0.1);
    }

    /** What one bottle holds goes with its nitrogen; hours of light do not change its strength. */
    public function testWhatIsLoggedWithOneNumberIsWholeAgain(): void
    {
        $given = EventKind::Fertilise->logged(3, 1.0, null);
        self::assertInstanceOf(Fertilise::class, $given);
        self::assertSame([1.0, 0.1, 2.0, 0.1], [$given->nitrogen, $given->phosphorus, $given->potassium, $given->iron]);
        $light = EventKind::Light->logged(3, 9.0, null);
        self::assertInstanceOf(Light::class, $light);
        self::assertSame([9.0, 1.0], [$light->hours, $light->strength]);
    }

    public function testStepsOfAKitAreReadingsThatItCanShow(): void
    {
        foreach (['', 'N,N,N', 'NH3,NO2,NO3'] as $code) {
            $kit = TestKit::of($code);
            foreach (Measure::cases() as $measure) {
                [$least, $most] = $measure->bounds();
                $before = -1.0;
                foreach ($kit->steps($measure) as $step) {
                    self::assertGreaterThan($before, $step);
                    $base = $kit->toBase($measure, $step);
                    self::assertGreaterThanOrEqual($least, $base);
                    self::assertLessThanOrEqual($most, $base);
                    $before = $step;
                }
            }
        }
        $kit = TestKit::of();
        self::assertNotSame($kit->steps(Measure::CarbonateHardness), $kit->steps(Measure::CarbonateHardness, UnitSystem::Us));
    }

    public function testSignsAreToldApart(): void
    {
        $words = array_map(static fn (Sign $s): string => $s->words(), Sign::cases());
        self::assertSame($words, array_unique($words));
        self::assertTrue(Sign::Threads->isAlga());
        self::assertFalse(Sign::Tint->isAlga());
        self::assertSame(['clump', 'group', null], [Sign::Holes->of(), Sign::Gasping->of(), Sign::Film->of()]);
    }
}
