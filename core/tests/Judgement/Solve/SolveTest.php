<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Judgement\Solve;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Judgement\Margin\Asked;
use Olvek\Core\Judgement\Margin\Judge;
use Olvek\Core\Judgement\Margin\MarginId;
use Olvek\Core\Judgement\Margin\MarginState;
use Olvek\Core\Judgement\Solve\Answer;
use Olvek\Core\Judgement\Solve\BedDepth;
use Olvek\Core\Judgement\Solve\EarliestStart;
use Olvek\Core\Judgement\Solve\LeastPlants;
use Olvek\Core\Judgement\Solve\LightHours;
use Olvek\Core\Judgement\Solve\LongestHoliday;
use Olvek\Core\Judgement\Solve\MostFood;
use Olvek\Core\Judgement\Solve\MostStock;
use Olvek\Core\Judgement\Solve\Trial;
use Olvek\Core\Judgement\Solve\WeeklyTrim;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Event\Holiday;
use Olvek\Core\Planning\Plan\Method;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\UsualAmount;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Simulation\Run\UsualCare;
use Olvek\Core\Tests\Replay\Tanks;
use Olvek\Core\Tests\Said;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\TestCase;

/** Each inverse question: the answer taken holds, a step beyond it does not, and where there is none it says why. */
final class SolveTest extends TestCase
{
    private static function editor(): Editor
    {
        return new Editor(Sample::catalogue());
    }

    private static function taken(Plan $plan, Answer $answer): Plan
    {
        return self::editor()->apply($plan, $answer->edits(), UnitSystem::Metric)->plan;
    }

    public function testTheMostStock(): void
    {
        $plan = Sample::planted();
        $question = new MostStock(self::editor(), Sample::catalogue()->animals['neocaridina-davidi']);
        $answer = $question->solve($plan);
        self::assertTrue($answer->found, Said::all($answer->sentences));
        $full = self::taken($plan, $answer);
        self::assertNull(Trial::forbids(Judge::judge($full), Asked::MostStock));
        $group = $full->groups[\count($full->groups) - 1];
        $more = Sample::edit($full, [
            "animals.$group->id.count" => (string) ($group->count + 1),
            'feeding.grams' => \sprintf('%.6f', $full->feed->grams * UsualAmount::food($group->kind, $group->count + 1)
                / UsualAmount::food($group->kind, $group->count)),
        ]);
        self::assertNotNull(Trial::forbids(Judge::judge($more), Asked::MostStock), 'one more is too many');
        $none = $question->solve(Sample::edit($plan, ['site.temperature' => '5 °C']));
        self::assertFalse($none->found);
        self::assertMatchesRegularExpression('/^answer.stock-none\(least: 1, .* harm\./', Said::all($none->sentences));
    }

    public function testTheLeastPlants(): void
    {
        $plan = Sample::planted();
        $answer = (new LeastPlants(self::editor(), Sample::catalogue()))->solve($plan);
        self::assertTrue($answer->found, Said::all($answer->sentences));
        $lean = self::taken($plan, $answer);
        $mass = static fn (Plan $p): float => array_sum(array_map(static fn ($c): float => $c->biomass(), $p->clumps));
        self::assertLessThan($mass($plan), $mass($lean));
        self::assertNull(Trial::forbids(Judge::judge($lean), Asked::LeastPlants));
        self::assertFalse(
            (new LeastPlants(self::editor(), Sample::catalogue()))->solve(Sample::edit($plan, ['light.lumens' => '0']))->found,
        );
    }

    public function testTheHoursOfLight(): void
    {
        $answer = (new LightHours(self::editor()))->solve(Sample::planted());
        self::assertTrue($answer->found);
        $lit = self::taken(Sample::planted(), $answer);
        self::assertNull(Trial::forbids(Judge::judge($lit), Asked::LightHours));
        self::assertGreaterThanOrEqual(6.0, $lit->lamp->hours, 'not the shortest day that any plant survives');
        self::assertLessThanOrEqual(10.0, $lit->lamp->hours);
        $dim = (new LightHours(self::editor()))->solve(Sample::edit(Sample::planted(), ['light.lumens' => '60']));
        self::assertFalse($dim->found);
        self::assertMatchesRegularExpression('/^answer.light-none harm.plants\(.*cause: dark/', Said::all($dim->sentences));
    }

    public function testTheDepthsOfTheBed(): void
    {
        $answer = (new BedDepth(self::editor(), 1.0))->solve(Sample::planted());
        self::assertTrue($answer->found, Said::all($answer->sentences));
        $laid = Judge::judge(self::taken(Sample::planted(), $answer));
        self::assertGreaterThanOrEqual(1.0, $laid->margin(MarginId::Soil)->measure);
        self::assertSame(MarginState::Holds, $laid->margin(MarginId::Cap)->state);
        self::assertFalse((new BedDepth(self::editor(), 12.5))->solve(Sample::planted())->found);
        self::assertFalse((new BedDepth(self::editor()))->solve(Sample::edit(Sample::planted(), ['bed.soil.material' => 'none']))->found);
    }

    public function testWhereThePlansOwnRulesForbidEveryTryTheyAreQuoted(): void
    {
        $shallow = Sample::edit(Plan::starting('Dish', Sample::catalogue()), [
            'bed.soil.front' => '0.5 cm',
            'bed.soil.back' => '0.5 cm',
            'bed.cap.front' => '0.5 cm',
            'bed.cap.back' => '0.5 cm',
            'waterLine' => '3.5 cm',
        ]);
        $depth = (new BedDepth(self::editor()))->solve($shallow);
        self::assertFalse($depth->found);
        self::assertMatchesRegularExpression('/water/', Said::all($depth->sentences));
        $stuffed = Sample::edit(Sample::planted(), ['feeding.grams' => '1000']);
        $stock = (new MostStock(self::editor(), Sample::catalogue()->animals['neocaridina-davidi']))->solve($stuffed);
        self::assertSame(
            'text(text: Dry food a day: from 0 g to 1000 g; this says 1011.25 g.)',
            str_replace("\u{00A0}", ' ', Said::all($stock->sentences)),
        );
    }

    public function testTheEarliestDays(): void
    {
        $plan = Sample::edit(
            Sample::edit(Sample::planted(), [
                'animals.a1.day' => '0',
                'animals.add' => 'physella-acuta',
                'feeding.grams' => '0.15',
                'animals.a1.count' => '20',
            ]),
            ['animals.a2.day' => '0'],
        );
        $answer = (new EarliestStart(self::editor()))->solve($plan);
        self::assertTrue($answer->found, Said::all($answer->sentences));
        $waiting = self::taken($plan, $answer);
        $days = array_column(array_map(static fn ($g): array => [$g->kind->id, $g->day], $waiting->groups), 1, 0);
        self::assertGreaterThanOrEqual($days['physella-acuta'], $days['heterandria-formosa'], 'snails first');
        self::assertNull(Trial::forbids(Judge::judge($waiting), Asked::EarliestStart));
        $dosed = Sample::edit(Sample::edit($plan, ['events.add.dose' => '30']), []);
        $after = array_map(static fn ($g): int => $g->day, self::taken($dosed, (new EarliestStart(self::editor()))->solve($dosed))->groups);
        self::assertNotSame([], $after);
        self::assertSame([], array_filter($after, static fn (int $day): bool => $day <= 30), 'nobody doses ammonia onto animals');
        self::assertFalse((new EarliestStart(self::editor()))->solve(Sample::edit($plan, ['site.temperature' => '6 °C']))->found);
    }

    /** What is trimmed holds what was fed, less what gas and changes take: by hand from the answer's own terms. */
    /** Food by bisection; and the stock margin, which reads the same off one run, never promises half as much again. */
    public function testTheFoodThatIsCarried(): void
    {
        foreach ([Sample::planted(), Tanks::of(Method::HillBed, 'box'), Tanks::of(Method::BaggedSoil, 'cube')] as $plan) {
            $answer = (new MostFood(self::editor()))->solve($plan);
            self::assertTrue($answer->found, Said::all($answer->sentences));
            $most = self::taken($plan, $answer);
            self::assertNull(Trial::forbids(Judge::judge($most), Asked::MostFood));
            $times = $most->feed->grams / $plan->feed->grams;
            $more = $plan->withFeed($most->feed->withGrams(($times + 0.11) * $plan->feed->grams), $plan->feedFrom);
            self::assertTrue($times >= 20.0 || null !== Trial::forbids(Judge::judge($more), Asked::MostFood));
            self::assertLessThan(1.5, Judge::judge($plan)->margin(MarginId::Stock)->measure / self::nitrateTimes($plan));
            self::assertGreaterThan(0.3, Judge::judge($plan)->margin(MarginId::Stock)->measure / self::nitrateTimes($plan));
        }
        self::assertFalse((new MostFood(self::editor()))->solve(Sample::edit(Sample::planted(), ['feeding.grams' => '0']))->found);
        self::assertFalse(
            (new MostFood(self::editor()))->solve(Sample::edit(Sample::planted(), ['feeding.grams' => '3', 'animals.a1.count' => '300']))
                ->found,
        );
    }

    /** Times the food at which the water holds 30 mg/L of nitrate, or as much nitrogen in other forms, at the end of a year. */
    private static function nitrateTimes(Plan $plan): float
    {
        $at = static function (float $times) use ($plan): float {
            $trace = (new Runner($plan->withFeed($plan->feed->withGrams($times * $plan->feed->grams), $plan->feedFrom)))->run(
                365,
                UsualCare::events(),
            );

            return 4.4268 * ($trace->mean('nitrate', 335, 365) + $trace->mean('nitrite', 335, 365) + $trace->mean('ammonia', 335, 365));
        };
        $low = 1.0;
        while ($low < 20 && $at($low * 1.5) < 30) {
            $low *= 1.5;
        }
        $high = 1.5 * $low;
        for ($n = 0; $n < 5; ++$n) {
            $middle = sqrt($low * $high);
            $at($middle) < 30 ? ($low = $middle) : ($high = $middle);
        }

        return $low;
    }

    public function testTheWeeklyTrim(): void
    {
        $plan = Sample::edit(Sample::planted(), [
            'plants.add.salvinia-natans' => '3',
            'feeding.grams' => '0.12',
            'animals.a1.count' => '14',
        ]);
        $answer = (new WeeklyTrim(self::editor()))->solve($plan);
        self::assertTrue($answer->found, Said::all($answer->sentences));
        $numbers = array_map(static fn ($t): float => (float) $t->value, array_column($answer->terms, null, 'label'));
        self::assertEqualsWithDelta(7 * 0.12 * 1000 * 0.4 * 0.16, $numbers['fed'], 1.0);
        // The run itself: what it turns to gas in the settled part of its year, and that no water is changed.
        $trace = (new Runner($plan))->run(365, UsualCare::events());
        self::assertEqualsWithDelta(
            7 * $trace->mean('denitrified', 182, 365),
            $numbers['turned to gas in the bed'],
            0.5 + 0.5 * $numbers['turned to gas in the bed'],
        );
        self::assertSame(0.0, $numbers['carried out by water changes']);
        self::assertEqualsWithDelta(
            7 * 0.12 * 1000 * 0.4 * 0.16 - 7 * $trace->mean('denitrified', 182, 365),
            $numbers['must leave with plants'],
            0.1 * $numbers['fed'],
        );
        self::assertSame('answer.trim', $answer->sentences[0]->id);
        $overfed = (new WeeklyTrim(self::editor()))->solve(Sample::edit($plan, ['feeding.grams' => '3', 'animals.a1.count' => '200']));
        self::assertFalse($overfed->found);
        self::assertSame('answer.trim-too-little', $overfed->sentences[0]->id);
    }

    public function testTheLongestHoliday(): void
    {
        $plan = Sample::planted();
        $answer = (new LongestHoliday(self::editor()))->solve($plan);
        self::assertTrue($answer->found, Said::all($answer->sentences));
        $days = $answer->sentences[0]->values['days'];
        self::assertIsInt($days);
        self::assertGreaterThan(14, $days, 'a fortnight harms nothing in a grown tank (C)');
        $left = (new Runner($plan))->run(365, [...UsualCare::events(), new Holiday(182, $days)]);
        self::assertGreaterThanOrEqual(0.74 * $plan->netWater(), $left->lowest('volume')[0]);
        self::assertEqualsWithDelta($plan->netWater(), $left->columns['volume'][182 + $days + 1], 1e-6, 'topped up on return');
        $jar = Sample::edit(Sample::edit($plan, ['feeding.grams' => '0']), ['site.sealed' => 'yes']);
        self::assertSame('answer.holiday-sealed', (new LongestHoliday(self::editor()))->solve($jar)->sentences[0]->id);
    }
}
