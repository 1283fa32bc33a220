<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Keeping\Care;

use Olvek\Core\Basis\Message\Amount;
use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Keeping\Care\Care;
use Olvek\Core\Keeping\Care\Task;
use Olvek\Core\Keeping\Log\Log;
use Olvek\Core\Keeping\Log\LogAction;
use Olvek\Core\Keeping\Log\LoggedEvent;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Simulation\Run\UsualCare;
use Olvek\Core\Tests\Said;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\TestCase;

/** What a tank asks for: from its plan, and from what its run does. */
final class CareTest extends TestCase
{
    /** @return array<string, Task> */
    private static function tasks(Plan $plan): array
    {
        return array_column(
            array_map(
                static fn (Task $t): array => [$t->id, $t],
                Care::of($plan, (new Runner($plan))->run(365, UsualCare::events())),
            ),
            1,
            0,
        );
    }

    public function testWhatThePlanSaysIsDated(): void
    {
        $tasks = self::tasks(
            Sample::edit(Sample::planted(), [
                'plants.c2.day' => '10',
                'events.add.change' => '40',
                'light.startShare' => '80',
                'light.stepShare' => '10',
                'care.changeShare' => '10',
                'care.changeEvery' => '120',
            ]),
        );
        self::assertSame(
            [10, 28, 40, 7, 14, 120],
            array_map(static fn (string $id): int => $tasks[$id]->day, [
                'plant-c2',
                'stock-a1',
                'event-e1',
                'light-7',
                'light-14',
                'change',
            ]),
        );
        self::assertSame('when.from(every: 120, day: 120)', Said::plain($tasks['change']->when()));
        self::assertSame('yes', $tasks['light-7']->message->values['gated']);
        $days = array_values(array_map(static fn (Task $t): int => $t->day, $tasks));
        $sorted = $days;
        sort($sorted);
        self::assertSame($sorted, $days, 'in the order of days');
    }

    /** C: bottled bacteria are tested daily for two weeks; then, as all, twice a week to four weeks, weekly to twelve, monthly. */
    /**
     * @param array<string, string> $edits
     *
     * @return array<string, string>
     */
    private static function changes(array $edits): array
    {
        return array_map(
            static fn (Task $t): string => Said::plain($t->when()),
            array_filter(
                self::tasks(Sample::edit(Sample::planted(), $edits)),
                static fn (Task $t): bool => str_starts_with($t->id, 'change'),
            ),
        );
    }

    public function testChangesAreAskedForAsOftenAsWasSaidLast(): void
    {
        $care = ['care.changeShare' => '10', 'care.changeEvery' => '10'];
        self::assertSame(['change' => 'when.from(every: 10, day: 10)'], self::changes($care));
        self::assertSame(
            ['change' => 'when.until(every: 10, day: 10, until: 34)'],
            self::changes([...$care, 'events.add.changes' => '35 0']),
        );
        self::assertSame(
            ['change' => 'when.until(every: 10, day: 10, until: 34)', 'change-35' => 'when.from(every: 7, day: 35)'],
            self::changes([...$care, 'events.add.changes' => '35 7']),
        );
        self::assertSame([], self::changes(['events.add.changes' => '35 0']));
        // None before the next word on it.
        self::assertSame([], self::changes([...$care, 'events.add.changes' => '9 0']));
    }

    public function testWhatIsInTheLogIsDone(): void
    {
        $tasks = self::tasks(Sample::edit(Sample::planted(), [
            'care.changeShare' => '10',
            'care.changeEvery' => '10',
            'plants.add.salvinia-natans' => '9',
            'events.add.leaves' => '60',
        ]));
        $log = static fn (int $day, EventKind $kind, ?string $of = null): Log => new Log([], [new LoggedEvent($day, $kind, 1.0, $of)]);
        // Of what comes every ten days, five before and after; of what comes once, a week.
        self::assertTrue($tasks['change']->isDone($log(25, EventKind::Change), 30));
        self::assertFalse($tasks['change']->isDone($log(24, EventKind::Change), 30));
        self::assertTrue($tasks['change']->isDone($log(35, EventKind::Change), 30));
        self::assertFalse($tasks['change']->isDone($log(36, EventKind::Change), 30));
        self::assertTrue($tasks['event-e1']->isDone($log(53, EventKind::Leaves), 60));
        self::assertFalse($tasks['event-e1']->isDone($log(52, EventKind::Leaves), 60));
        self::assertTrue($tasks['top-up']->isDone($log(7, EventKind::Task, LogAction::TOPPED), 7));
        self::assertFalse($tasks['top-up']->isDone($log(7, EventKind::Task, 'glass-cleaned'), 7));
        self::assertTrue($tasks['floaters']->isDone($log(14, EventKind::Trim, 'c3'), 14));
        self::assertFalse($tasks['floaters']->isDone($log(14, EventKind::Trim, 'c1'), 14));
        self::assertFalse($tasks['look']->isDone($log(7, EventKind::Change), 7));
    }

    public function testTestsGetRarer(): void
    {
        $tests = static fn (Plan $plan): array => array_values(
            array_map(
                static fn (Task $t): array => [$t->day, $t->every, $t->until],
                array_filter(self::tasks($plan), static fn (Task $t): bool => str_starts_with($t->id, 'test-')),
            ),
        );
        self::assertSame([[1, 3, 28], [31, 7, 84], [91, 30, 365]], $tests(Sample::planted()));
        self::assertSame([1, 1, 14], $tests(Sample::edit(Sample::planted(), ['start.way' => 'bottled']))[0]);
    }

    /** An open tank loses about a centimetre a week (C); on 0.169 m² that is some 1.7 L. A sealed one nothing. */
    public function testTopUpsAreAsLargeAsWhatDriesUp(): void
    {
        $volume = self::tasks(Sample::planted())['top-up']->message->values['volume'];
        self::assertInstanceOf(Amount::class, $volume);
        self::assertEqualsWithDelta(1.7, $volume->base, 0.8);
        self::assertArrayNotHasKey('top-up', self::tasks(Sample::edit(Sample::planted(), ['site.sealed' => 'yes'])));
    }

    public function testCutsFallOnTheDaysOnWhichTheRunCuts(): void
    {
        $plan = Sample::planted();
        $trace = (new Runner($plan))->run(365, UsualCare::events());
        $cuts = array_filter(Care::of($plan, $trace), static fn (Task $t): bool => str_starts_with($t->id, 'cut-c1'));
        self::assertNotSame([], $cuts, 'forty stems of a fast kind overgrow');
        foreach ($cuts as $cut) {
            self::assertLessThan(0.85 * $trace->clumps[$cut->day - 1][0], $trace->clumps[$cut->day][0]);
        }
    }

    /**
     * Every week from day 7: on day 16 the 14th is the last time that has come and the 21st the next; before it ever came, the first two.
     */
    public function testATaskIsAskedAboutWhenItLastCameAndNext(): void
    {
        self::assertSame([14, 21], (new Task('look', 7, Message::text('Look'), 7))->around(16));
        self::assertSame([14, 21], (new Task('look', 7, Message::text('Look'), 7))->around(14), 'on its day');
        self::assertSame([7, 14], (new Task('look', 7, Message::text('Look'), 7))->around(3));
        self::assertSame([40], (new Task('change', 40, Message::text('Change')))->around(90), 'once is once');
        self::assertSame([28], (new Task('test', 1, Message::text('Test'), 3, 28))->around(30), 'not beyond its last day');
        self::assertSame([], (new Task('test', 1, Message::text('Test'), 3, 28))->around(60));
    }

    public function testWhatTheGatesAskForIsMarked(): void
    {
        foreach (self::tasks(Sample::planted()) as $id => $task) {
            self::assertSame(1 === preg_match('/^(test-|stock-|feed$)/', $id), $task->start, $id);
        }
    }

    /**
     * Amazon frogbit doubles in days: what the run takes out over the year, in 40 g handfuls, is said; litter is asked for where a method
     * feeds on it.
     */
    public function testFloatersComeOutByTheHandfulAndLitterGoesIn(): void
    {
        $floating = Sample::edit(Sample::planted(), ['plants.add' => 'limnobium-laevigatum', 'feeding.grams' => '0.3']);
        self::assertContains(self::tasks($floating)['floaters']->message->id, ['task.floaters', 'task.floaters-half']);
        self::assertArrayNotHasKey('floaters', self::tasks(Sample::planted()));
        self::assertArrayNotHasKey('litter', self::tasks(Sample::planted()));
        self::assertSame(60, self::tasks(Sample::edit(Sample::planted(), ['method' => 'slow-swamp']))['litter']->every);
        self::assertArrayHasKey('litter', self::tasks(Sample::edit(Sample::planted(), ['events.add.leaves' => '30'])));
    }
}
