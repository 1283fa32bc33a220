<?php

declare(strict_types=1);

namespace Olvek\Console\Demo;

use Doctrine\ORM\EntityManagerInterface;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Keeping\Log\LogBuilder;
use Olvek\Core\Keeping\Log\LoggedEvent;
use Olvek\Core\Keeping\Log\TestKit;
use Olvek\Core\Nature\Water\Measure;
use Olvek\Core\Planning\Event\Event;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Plan\Group;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Steps\Steps;
use Olvek\Core\Simulation\Run\Parameters;
use Olvek\Core\Simulation\Run\Trace;
use Olvek\Service\Build\StepMark;
use Olvek\Service\Log\Entry;
use Olvek\Service\Log\EntryKind;
use Olvek\Service\Log\Logbook;
use Olvek\Service\Tank\Tank;

/**
 * Invented logbooks for the ferry landing: what the model would have, read with a drop test's colours and a fixed seed's noise. All marked
 * as made up.
 */
final readonly class Diary
{
    private const SEED = 20_260_524;
    /** Colours of an invented kit, in mg/L of the ion. */
    private const COLOURS = [
        Measure::Ammonia->value => [0, 0.05, 0.1, 0.25, 0.5, 1, 2, 4],
        Measure::Nitrite->value => [0, 0.05, 0.1, 0.2, 0.4, 0.8, 1.6, 3.3],
        Measure::Nitrate->value => [0, 1, 2, 5, 10, 20, 30, 50],
    ];
    private const NOISE = 0.2;

    public function __construct(private EntityManagerInterface $entities)
    {
    }

    /**
     * @param int                      $age    days since it was filled
     * @param list<int>                $tests  days on which it was tested
     * @param array<string, float>     $unlike how this tank differs from the plan's own run, by parameter
     * @param array<int, bool>         $algae  whether algae showed, by day
     * @param list<Event>              $events what happened to it beside
     *
     * @return Lived how it went
     */
    public function write(
        Tank $tank,
        Plan $plan,
        \DateTimeImmutable $today,
        int $age,
        array $tests,
        array $unlike = [],
        array $algae = [],
        array $events = [],
    ): Lived {
        $filled = $today->modify("-$age days");
        $days = array_column(array_map(static fn (Group $g): array => [$g->id, $g->day], $plan->groups), 1, 0);
        foreach (Steps::of($plan) as $step) {
            // Those of a group's arrival end in its id.
            $day = $days[explode('-', $step->id, 2)[1] ?? ''] ?? 0;
            if ($day <= $age) {
                $note = Steps::FILL === $step->id ? 'made up' : '';
                $this->entities->persist(new StepMark($tank, $step->id, true, $filled->modify("+$day days"), $note));
            }
        }
        $on = static fn (int $day): \DateTimeImmutable => $filled->modify("+$day days");
        $lived = Lived::of($plan, (new Parameters())->with($unlike), $age, $events);
        $trace = $lived->trace;
        $dice = new \Random\Randomizer(new \Random\Engine\Xoshiro256StarStar(self::SEED));
        foreach ($tests as $day) {
            foreach (self::read($trace, $day, $dice, $tank->keeper->units()) as [$measure, $value, $words]) {
                $this->entities->persist(new Entry($tank, $on($day), EntryKind::Reading, $measure->value, $value, null, $words, true));
            }
        }
        foreach ($plan->groups as $group) {
            if ($group->day <= $age) {
                $this->done($tank, $on($group->day), EventKind::Stock, (float) $group->count, $group);
            }
        }
        if ($plan->feed->grams > 0 && $plan->feedFrom <= $age) {
            $this->done($tank, $on($plan->feedFrom), EventKind::Feed, $plan->feed->grams);
        }
        foreach ($algae as $day => $shows) {
            $this->entities->persist(
                new Entry(
                    $tank,
                    $on($day),
                    EntryKind::Sighting,
                    LogBuilder::ALGAE,
                    $shows ? 1.0 : 0.0,
                    null,
                    $shows ? 'Algae show' : 'No algae to be seen',
                    true,
                ),
            );
        }
        $this->entities->flush();

        return $lived;
    }

    /** Something done; kept with the next write(). */
    public function done(Tank $tank, \DateTimeImmutable $on, EventKind $kind, float $amount, ?Group $group = null): void
    {
        $this->entities->persist(
            new Entry(
                $tank,
                $on,
                EntryKind::Done,
                $kind->value,
                $amount,
                $group?->id,
                LoggedEvent::line($kind, $amount, TestKit::of(), $group),
                true,
            ),
        );
    }

    /** @return iterable<array{Measure, float, string}> */
    private static function read(Trace $trace, int $day, \Random\Randomizer $dice, UnitSystem $units): iterable
    {
        $kit = TestKit::of();
        $noise = static fn (): float => exp((self::NOISE * $dice->getInt(-1000, 1000)) / 500);
        foreach (self::COLOURS as $id => $colours) {
            $measure = Measure::from($id);
            $shown = $kit->fromBase($measure, $trace->columns[$id][$day] * $noise());
            $colour = array_reduce(
                $colours,
                static fn (float $best, float|int $c): float => abs($c - $shown) < abs($best - $shown) ? (float) $c : $best,
                1e9,
            );
            yield [$measure, $kit->toBase($measure, $colour), Logbook::line($measure, $kit->toBase($measure, $colour), $kit, $units)];
        }
        $pH = round(5 * ($trace->columns['pH'][$day] + 0.1 * log($noise()))) / 5;
        yield [Measure::Acidity, $pH, Logbook::line(Measure::Acidity, $pH, $kit, $units)];
    }
}
