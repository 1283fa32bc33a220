<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Keeping\Log;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Keeping\Log\ActualPlan;
use Olvek\Core\Keeping\Log\Log;
use Olvek\Core\Keeping\Log\LogFile;
use Olvek\Core\Keeping\Log\LoggedEvent;
use Olvek\Core\Keeping\Log\Reading;
use Olvek\Core\Nature\Water\Measure;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Plan\InvalidPlan;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Simulation\Run\Trace;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\TestCase;

/** A tank in its life: what the logbook says, and from then on what the plan says. */
final class ActualLifeTest extends TestCase
{
    private static function plan(): Plan
    {
        return Sample::edit(Sample::planted(), ['events.add.change' => '60', 'plants.add.salvinia-natans' => '12']);
    }

    /** @param list<LoggedEvent> $events */
    private static function life(Plan $plan, array $events, int $today, bool $happened, int $days = 120): Trace
    {
        $actual = ActualPlan::upTo($plan, new Log([], $events), $today, static fn (): bool => $happened);

        return (new Runner($actual->plan))->run($days, $actual->events);
    }

    public function testWhatWasPlannedAndIsNotLoggedMayHaveHappenedOrNot(): void
    {
        $plan = self::plan();
        self::assertCount(1, ActualPlan::unlogged($plan, new Log(), 60));
        self::assertCount(0, ActualPlan::unlogged($plan, new Log(), 59));
        $logged = static fn (int $day): Log => new Log([], [new LoggedEvent($day, EventKind::Change, 0.3)]);
        self::assertCount(0, ActualPlan::unlogged($plan, $logged(53), 70));
        self::assertCount(1, ActualPlan::unlogged($plan, $logged(52), 70));
        self::assertCount(0, ActualPlan::unlogged($plan, $logged(67), 70));
        self::assertCount(1, ActualPlan::unlogged($plan, $logged(68), 70));
        $phosphate = static fn (bool $happened): float => self::life($plan, [], 70, $happened)->columns['phosphate'][61];
        self::assertNotEquals($phosphate(true), $phosphate(false));
        // What lies ahead happens.
        self::assertSame(
            self::life($plan, [], 59, true)->columns['phosphate'][61],
            self::life($plan, [], 59, false)->columns['phosphate'][61],
        );
    }

    public function testWhoLogsChangesHasMadeNoOthers(): void
    {
        $plan = Sample::edit(
            self::plan(),
            ['care.changeShare' => '50', 'care.changeEvery' => '10', 'events.e1.day' => '300', 'water.nitrate' => '40'],
        );
        $none = self::life(Sample::edit($plan, ['care.changeEvery' => '0']), [], 70, false);
        $planned = self::life($plan, [], 70, false);
        $logged = self::life($plan, [new LoggedEvent(35, EventKind::Change, 0.01)], 70, false);
        self::assertEqualsWithDelta($none->columns['phosphate'][34], $logged->columns['phosphate'][34], 1e-9);
        self::assertNotEqualsWithDelta($planned->columns['phosphate'][34], $logged->columns['phosphate'][34], 1e-3);
        // From tomorrow on the plan's care goes on.
        self::assertNotEqualsWithDelta($none->columns['phosphate'][85], $logged->columns['phosphate'][85], 1e-3);
    }

    /** @param list<LoggedEvent> $events */
    private static function cover(array $events): float
    {
        return max([0.0, ...self::life(self::plan(), $events, 100, false, 101)->columns['cover']]);
    }

    public function testWhoLogsCutsHasMadeNoOthers(): void
    {
        self::assertLessThan(0.75, self::cover([]));
        self::assertGreaterThan(0.8, self::cover([new LoggedEvent(5, EventKind::Trim, 0.01, 'c1')]));
    }

    public function testAnimalsThatAreToComeLaterComeLater(): void
    {
        $plan = Sample::edit(self::plan(), ['animals.a1.day' => '90']);
        $heads = static fn (int $today): float => self::life($plan, [], $today, false)->columns['heads'][100];
        self::assertGreaterThan(5.0, $heads(89));
        self::assertSame(0.0, $heads(90));
    }

    public function testAnimalsAreAsManyAsWereCounted(): void
    {
        $log = new Log([new Reading(50, Measure::Heads, 4.0, 'a1'), new Reading(50, Measure::Heads, 9.0, 'gone')], [
            new LoggedEvent(28, EventKind::Stock, 10, 'a1'),
        ]);
        $actual = ActualPlan::upTo(self::plan(), $log, 60, static fn (): bool => false);
        $trace = (new Runner($actual->plan))->run(52, $actual->events);
        self::assertEqualsWithDelta(4.0, $trace->columns['heads'][50], 0.2);
    }

    public function testALogbookIsReadFromItsFile(): void
    {
        $text = "\u{FEFF}day,kind,what,amount,of,note\n2026-05-29,reading,nitrate,2.5,,\n2026-06-01,deed,trim,0.4,c1,\"two\nlines\"\n"
            ."2026-06-02,sighting,threads,,,\n2026-06-03,sighting,algae,0,,\n2026-06-03,note,note,,,hello\n";
        $log = LogFile::read($text, new \DateTimeImmutable('2026-05-24'));
        self::assertSame([5, 2.5], [$log->readings[0]->day, $log->readings[0]->value]);
        self::assertSame([8, 'c1'], [$log->events[0]->day, $log->events[0]->of]);
        self::assertSame([9 => true, 10 => false], $log->algae);
        $numbered = LogFile::read("after_filling,kind,what,amount\n7,reading,kh,6\n");
        self::assertSame(7, $numbered->readings[0]->day);
    }

    public function testEveryFaultOfAFileIsToldByItsLine(): void
    {
        $faults = static function (string $text, ?string $filled = null): array {
            try {
                LogFile::read($text, null === $filled ? null : new \DateTimeImmutable($filled));
            } catch (InvalidPlan $invalid) {
                return $invalid->messages(UnitSystem::Metric);
            }

            return [];
        };
        self::assertCount(1, $faults(''));
        self::assertCount(1, $faults("a,b\n1,2\n"));
        $rows = ['1096,reading,kh,6', '-1,reading,kh,6', '3,dream,kh,6', '3,reading,luck,6', '3,reading,kh,six', '1095,reading,kh,6'];
        self::assertCount(5, $faults("after_filling,kind,what,amount\n".implode("\n", $rows)."\n"));
        self::assertStringContainsString(
            'when the tank was filled',
            implode('', $faults("day,kind,what,amount\n2026-05-24,reading,kh,6\n")),
        );
        self::assertSame([], $faults("day,kind,what,amount\n2026-05-24,reading,kh,6\n", '2026-05-24'));
        self::assertCount(1, $faults("day,kind,what,amount\n2026-05-23,reading,kh,6\n", '2026-05-24'));
        self::assertCount(1, $faults("day,kind,what,amount\n2026-02-30,reading,kh,6\n", '2026-01-24'));
    }
}
