<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Simulation\Run;

use Olvek\Core\Planning\Event\Counted;
use Olvek\Core\Planning\Event\Deaths;
use Olvek\Core\Planning\Event\Dose;
use Olvek\Core\Planning\Event\Event;
use Olvek\Core\Planning\Event\Feed;
use Olvek\Core\Planning\Event\Holiday;
use Olvek\Core\Planning\Event\LampOff;
use Olvek\Core\Planning\Event\Leaves;
use Olvek\Core\Planning\Event\Light;
use Olvek\Core\Planning\Event\MulmOut;
use Olvek\Core\Planning\Event\Plant;
use Olvek\Core\Planning\Event\Remove;
use Olvek\Core\Planning\Event\Spell;
use Olvek\Core\Planning\Event\Stock;
use Olvek\Core\Planning\Event\TakeOut;
use Olvek\Core\Planning\Event\Tank;
use Olvek\Core\Planning\Event\ThinFloaters;
use Olvek\Core\Planning\Event\Trim;
use Olvek\Core\Planning\Event\TrimAbove;
use Olvek\Core\Planning\Event\TrimOvergrown;
use Olvek\Core\Planning\Event\WaterChange;
use Olvek\Core\Planning\Event\WaterChangeRoutine;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Conditions;
use Olvek\Core\Simulation\Run\MassBalance;
use Olvek\Core\Simulation\Run\Parameters;
use Olvek\Core\Simulation\Run\RunConstants;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Simulation\Run\RunningTank;
use Olvek\Core\Simulation\Run\State;
use Olvek\Core\Simulation\Run\Trace;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\TestCase;

/** Each event does what it says, by hand; that the books close over all of them is MassBalanceTest's. */
final class EventTest extends TestCase
{
    private Plan $plan;
    private RunConstants $facts;
    private State $state;
    private Conditions $conditions;
    private MassBalance $books;

    protected function setUp(): void
    {
        $this->plan = Sample::edit(Sample::planted(), ['plants.add.salvinia-natans' => '20', 'animals.a1.day' => '0']);
        $this->facts = new RunConstants($this->plan, new Parameters());
        $this->state = new State($this->facts);
        $this->state->animals[0] = 10.0;
        $this->state->heads[0] = 20.0;
        $this->state->litter->nitrogen = 8.0;
        $this->state->litter->carbon = 100.0;
        $this->conditions = new Conditions($this->plan);
        $this->books = new MassBalance();
    }

    private function happen(Event $event, int $day): void
    {
        $tank = $this->tank($day);
        self::assertTrue($event->due($day, $tank));
        $event->happen($day, $tank);
    }

    private function tank(int $day): Tank
    {
        return new RunningTank($day, $this->state, $this->conditions, $this->facts, $this->books);
    }

    public function testADoseAndAChange(): void
    {
        self::assertFalse((new Dose(3, 2.0))->due(4, $this->tank(4)));
        $ammonia = $this->state->ammonia;
        $this->happen(new Dose(3, 2.0), 3);
        self::assertEqualsWithDelta($ammonia + 2 * $this->state->volume, $this->state->ammonia, 1e-9);
        $before = clone $this->state;
        $this->happen(new WaterChange(5, 0.4), 5);
        self::assertEqualsWithDelta(0.6 * $before->ammonia, $this->state->ammonia, 1e-9, 'tap water brings no ammonia');
        self::assertSame($before->volume, $this->state->volume);
        self::assertSame($before->biomass, $this->state->biomass);
        self::assertSame($before->litter->carbon, $this->state->litter->carbon, 'a change is no siphoning');
    }

    public function testFoodLampAndWarmth(): void
    {
        $this->happen(new Feed(4, 0.7), 4);
        $this->happen(new Light(4, 6.5, 0.5), 4);
        $this->happen(new LampOff(4, 3), 4);
        $this->happen(new Spell(4, 10, -5.0), 4);
        $this->happen(new Holiday(4, 14), 4);
        $c = $this->conditions;
        self::assertSame(
            [0.7, 6.5, 0.5, 7, 14, -5.0, 18],
            [$c->food, $c->lightHours, $c->lightShare, $c->darkUntil, $c->spellUntil, $c->spell, $c->awayUntil],
        );
    }

    public function testPlantsComeAndGo(): void
    {
        [$stems, $crypts, $floaters] = $this->state->biomass;
        $grams = 5 * $this->plan->clumps[0]->kind->dryPerPiece->value;
        $this->happen(new Plant(9, 'c1', 5), 9);
        self::assertEqualsWithDelta($stems + $grams, $this->state->biomass[0], 1e-9);
        self::assertSame([9.0, $grams], [$this->state->plantedOn[0], $this->state->plantedMass[0]]);
        $nitrogen = $this->state->leafNitrogen[1];
        $this->happen(new Trim(9, 'c2', 0.25), 9);
        self::assertEqualsWithDelta(0.75 * $crypts, $this->state->biomass[1], 1e-9);
        self::assertEqualsWithDelta(0.75 * $nitrogen, $this->state->leafNitrogen[1], 1e-9, 'what is cut takes its nitrogen along');
        self::assertSame($floaters, $this->state->biomass[2]);
        $this->happen(new Remove(10, 'c2'), 10);
        self::assertEqualsWithDelta(
            [0.0, 0.0],
            [$this->state->biomass[1], $this->state->leafNitrogen[1]],
            1e-12,
            'out with all that is in it',
        );
    }

    public function testFloatersAreThinnedOnlyWhereTheyCover(): void
    {
        $densest = $this->plan->clumps[2]->kind->mat->value;
        $this->state->biomass[2] = 0.5 * $densest * $this->facts->surface;
        self::assertFalse((new ThinFloaters(0.6, 0.3))->due(1, $this->tank(1)));
        $stems = $this->state->biomass[0];
        $this->happen(new ThinFloaters(0.4, 0.3), 1);
        self::assertEqualsWithDelta(0.3 * $densest * $this->facts->surface, $this->state->biomass[2], 1e-9);
        self::assertSame($stems, $this->state->biomass[0]);
    }

    public function testTrimmingByDensityAndByGrowth(): void
    {
        $this->state->biomass[0] = 90 * $this->facts->floor;
        $this->state->biomass[1] = 20 * $this->facts->floor;
        $this->state->biomass[2] = 10 * $this->facts->floor;
        self::assertFalse((new TrimAbove(111.0, 60.0))->due(1, $this->tank(1)));
        $this->happen(new TrimAbove(109.0, 60.0), 1);
        self::assertEqualsWithDelta(60 * $this->facts->floor, $this->state->biomass[0] + $this->state->biomass[1], 1e-9);
        self::assertEqualsWithDelta((60 / 110) * 90 * $this->facts->floor, $this->state->biomass[0], 1e-9, 'each gives its share');
        self::assertEqualsWithDelta(10 * $this->facts->floor, $this->state->biomass[2], 1e-9, 'floaters stand in the air');

        $planted = $this->state->plantedMass[1];
        $this->state->biomass[0] = 2.9 * $this->state->plantedMass[0];
        $this->state->biomass[1] = 3.1 * $planted;
        $stems = $this->state->biomass[0];
        $this->happen(new TrimOvergrown(3.0, 2.0), 1);
        self::assertEqualsWithDelta(2 * $planted, $this->state->biomass[1], 1e-9);
        self::assertSame($stems, $this->state->biomass[0], 'not yet overgrown');
    }

    public function testAnimalsComeGoAndDie(): void
    {
        $each = $this->plan->groups[0]->kind->grams->value;
        $this->happen(new Stock(2, 'a1', 4), 2);
        self::assertEqualsWithDelta(10 + 4 * $each, $this->state->animals[0], 1e-9);
        self::assertEqualsWithDelta(24.0, $this->state->heads[0], 1e-9);
        [$grams, $mulm] = [$this->state->animals[0], $this->state->scraps->nitrogen];
        $this->happen(new Deaths(3, 'a1', 0.25), 3);
        self::assertEqualsWithDelta(18.0, $this->state->heads[0], 1e-9);
        self::assertEqualsWithDelta(0.75 * $grams, $this->state->animals[0], 1e-9);
        self::assertEqualsWithDelta(
            $mulm + 0.25 * $grams * MassBalance::ANIMAL_NITROGEN,
            $this->state->scraps->nitrogen,
            1e-9,
            'the dead lie where they fell',
        );
        $this->happen(new TakeOut(4, 'a1', 1000), 4);
        self::assertSame([0.0, 0.0], [$this->state->animals[0], $this->state->heads[0]], 'no more can be taken out than there is');
    }

    public function testAnimalsAreAsManyAsSomebodyCounted(): void
    {
        $this->happen(new Counted(3, 'a1', 30), 3);
        self::assertSame(30.0, $this->state->heads[0]);
        // As heavy each as those that the run knew.
        self::assertEqualsWithDelta(15.0, $this->state->animals[0], 1e-9);
        $this->happen(new Counted(4, 'a1', 0), 4);
        self::assertSame([0.0, 0.0], [$this->state->heads[0], $this->state->animals[0]]);
        $this->happen(new Counted(5, 'a1', 2), 5);
        self::assertEqualsWithDelta(2 * $this->plan->groups[0]->kind->grams->value, $this->state->animals[0], 1e-9);
    }

    public function testChangesComeAsOftenAsWasSaidLast(): void
    {
        $plan = Sample::edit($this->plan, ['care.changeShare' => '30', 'care.changeEvery' => '10', 'water.gh' => '30']);
        $iron = static fn (Event ...$events): array => (new Runner($plan))->run(60, array_values($events))->columns['iron'];
        $usual = $iron();
        $stopped = $iron(new WaterChangeRoutine(25, 0));
        self::assertSame(\array_slice($usual, 0, 30), \array_slice($stopped, 0, 30));
        self::assertNotSame($usual[30], $stopped[30]);
        $oftener = $iron(new WaterChangeRoutine(25, 7, 0.3));
        self::assertSame($usual[27], $oftener[27]);
        self::assertNotSame($usual[28], $oftener[28]);
    }

    public function testMulmIsDrawnOffAndLeavesBringIt(): void
    {
        $this->happen(new MulmOut(1, 0.75), 1);
        self::assertSame([2.0, 25.0], [$this->state->litter->nitrogen, $this->state->litter->carbon]);
        self::assertSame([-6.0, -75.0], [$this->books->nitrogen, $this->books->carbon]);
        $this->happen(new Leaves(1, 3.0), 1);
        self::assertSame([32.0, 1435.0], [$this->state->litter->nitrogen, $this->state->litter->carbon], '10 and 470 mg a gram');
    }

    public function testASpellAndADarknessEnd(): void
    {
        $trace = (new Runner($this->plan))->run(20, [new Spell(5, 3, 4.0), new LampOff(10, 2)]);
        $temperature = $this->plan->site->temperature;
        self::assertEqualsWithDelta(
            [$temperature, $temperature + 4, $temperature + 4, $temperature + 4, $temperature],
            \array_slice($trace->columns['temperature'], 4, 5),
            1e-9,
        );
        self::assertGreaterThan(0.0, $trace->columns['light'][9]);
        self::assertSame([0.0, 0.0], \array_slice($trace->columns['light'], 10, 2));
        self::assertSame($trace->columns['light'][9], $trace->columns['light'][12]);
    }

    public function testNobodyFeedsTopsUpOrThinsWhileAway(): void
    {
        $plan = Sample::edit($this->plan, ['feeding.grams' => '0.1']);
        $rules = [new ThinFloaters(0.5, 0.3)];
        $there = (new Runner($plan))->run(60, $rules);
        $away = (new Runner($plan))->run(60, [new Holiday(20, 25), ...$rules]);
        $column = static fn (Trace $trace, string $name, int $day): float => $trace->columns[$name][$day];

        self::assertSame($column($there, 'food', 19), $column($away, 'food', 19));
        self::assertSame(0.0, $column($away, 'food', 30));
        self::assertGreaterThan(0.0, $column($away, 'food', 45));
        self::assertLessThan($column($there, 'volume', 44), $column($away, 'volume', 44));
        self::assertEqualsWithDelta($column($there, 'volume', 45), $column($away, 'volume', 45), 1e-9, 'filled up on return');
        self::assertGreaterThan(0.5, $column($away, 'cover', 44));
        self::assertLessThan(0.55, max(0.0, ...\array_slice($there->columns['cover'], 20)));
    }
}
