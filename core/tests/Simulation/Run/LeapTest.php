<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Simulation\Run;

use Olvek\Core\Judgement\Margin\Judge;
use Olvek\Core\Judgement\Margin\MarginId;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\MassBalance;
use Olvek\Core\Simulation\Run\Pace;
use Olvek\Core\Simulation\Run\Parameters;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Simulation\Run\State;
use Olvek\Core\Simulation\Run\UsualCare;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A rough run leaps over steady days: nothing is lost by it, nothing that happens is missed, and margins stand about where they stood. */
final class LeapTest extends TestCase
{
    /** Place on its gauge, a third of which is a state, by which a margin may move. J. */
    private const NEAR = 0.1;
    /** The same of plant mass, which hangs on whether the last cut before a winter falls on this side of it or that. J. */
    private const NEAR_OF_MASS = 0.25;

    /** @return iterable<string, array{Plan}> */
    public static function plans(): iterable
    {
        yield 'planted' => [Sample::planted()];
        yield 'outdoors' => [
            Sample::edit(Sample::planted(), ['site.aspect' => 'open', 'site.swing' => '8 °C', 'site.temperature' => '15 °C']),
        ];
        yield 'with changes' => [Sample::edit(Sample::planted(), ['care.changeShare' => '25', 'care.changeEvery' => '14'])];
        foreach ([11, 12, 13] as $seed) {
            yield "random $seed" => [Sample::random($seed)];
        }
    }

    #[DataProvider('plans')]
    public function testTheBooksCloseOnEveryDay(Plan $plan): void
    {
        $parameters = new Parameters();
        $first = null;
        $days = 0;
        (new Runner($plan))->run(
            200,
            UsualCare::events(),
            watch: static function (int $day, State $state, MassBalance $books) use (&$first, &$days, $parameters): void {
                ++$days;
                foreach (['nitrogen', 'phosphorus', 'potassium', 'iron', 'carbon'] as $element) {
                    $held = MassBalance::held($state, $parameters)[$element];
                    $first[$element] ??= $held - $books->{$element};
                    self::assertEqualsWithDelta(
                        0.0,
                        ($held - $books->{$element} - $first[$element]) / max(1.0, $held),
                        1e-5,
                        "$element on day $day",
                    );
                }
            },
            pace: Pace::Rough,
        );
        self::assertSame(200, $days);
    }

    #[DataProvider('plans')]
    public function testMarginsStandAboutWhereTheyStood(Plan $plan): void
    {
        $whole = Judge::judge($plan);
        $rough = Judge::judge($plan, pace: Pace::Rough);
        foreach ($whole->margins as $margin) {
            self::assertEqualsWithDelta(
                $margin->position(),
                $rough->margin($margin->id)->position(),
                MarginId::Mass === $margin->id ? self::NEAR_OF_MASS : self::NEAR,
                $margin->name,
            );
        }
        self::assertSame($whole->trace->days(), $rough->trace->days());
    }

    /**
     * The day that is run for nothing before the first goes by hours in both; what follows goes by two in a rough run, under a lamp that
     * never changes too, and comes out near, but not as if it went by one.
     */
    public function testARoughDayGoesByTwoHours(): void
    {
        $runner = new Runner(Sample::planted());
        $whole = $runner->run(1)->columns['carbonDioxide'][0];
        $rough = $runner->run(1, pace: Pace::Rough)->columns['carbonDioxide'][0];
        self::assertNotEqualsWithDelta($whole, $rough, 1e-9);
        self::assertEqualsWithDelta($whole, $rough, self::NEAR * $whole);
        self::assertSame($whole, $runner->run(1)->columns['carbonDioxide'][0], 'and the next whole one by hours again');
    }

    public function testWhatIsPlannedHappensOnItsDay(): void
    {
        $plan = Sample::edit(Sample::planted(), ['events.add' => 'change 151', 'events.e1.share' => '50']);
        $traces = array_map(
            static fn (Pace $pace): array => (new Runner($plan))->run(160, UsualCare::events(), pace: $pace)->columns['generalHardness'],
            [Pace::Whole, Pace::Rough],
        );
        foreach ($traces as $hardness) {
            self::assertGreaterThan(0.3, abs($hardness[151] - $hardness[150]));
            self::assertLessThan(0.1, abs($hardness[150] - $hardness[149]));
        }
    }
}
