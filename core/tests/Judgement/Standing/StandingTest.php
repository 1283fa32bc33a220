<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Judgement\Standing;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Judgement\Margin\DawnOxygen;
use Olvek\Core\Judgement\Margin\Harm\Harm;
use Olvek\Core\Judgement\Margin\Harm\HarmId;
use Olvek\Core\Judgement\Margin\Judge;
use Olvek\Core\Judgement\Margin\MarginState;
use Olvek\Core\Judgement\Standing\EstimatedTank;
use Olvek\Core\Judgement\Standing\HarmShares;
use Olvek\Core\Judgement\Standing\Prospect;
use Olvek\Core\Judgement\Standing\SimulatedTank;
use Olvek\Core\Judgement\Standing\Standing;
use Olvek\Core\Keeping\Estimation\Estimator;
use Olvek\Core\Keeping\Log\Log;
use Olvek\Core\Keeping\Log\LoggedEvent;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\TestCase;

/** A running tank is judged by what lies ahead of it, not by its first year. */
final class StandingTest extends TestCase
{
    private const TODAY = 120;

    private static function standing(Plan $plan, Log $log): Standing
    {
        return Standing::likely((new Estimator($plan, $log, self::TODAY))->lived([], true), self::TODAY, $log);
    }

    /** @return list<string> ids of what weighs something */
    private static function ids(Standing $standing): array
    {
        return array_map(static fn (Harm $h): string => $h->id->value, $standing->weighing());
    }

    public function testWhatIsOverIsNotHeldAgainstIt(): void
    {
        // A plan that lets fish in over fresh ammonia fails; a tank in which they came later stands as it is.
        $plan = Sample::edit(Sample::planted(), ['animals.a1.day' => '2', 'events.add.dose' => '1 4 mg/L']);
        self::assertContains('losses', array_map(static fn (Harm $h): string => $h->id->value, Judge::judge($plan)->weighing()));
        $standing = self::standing($plan, new Log([], [
            new LoggedEvent(1, EventKind::Dose, 4),
            new LoggedEvent(60, EventKind::Stock, 10, 'a1'),
            new LoggedEvent(60, EventKind::Feed, 0.05),
        ]));
        self::assertNotContains('losses', self::ids($standing));
        self::assertNotContains('water', self::ids($standing));
        self::assertSame('running.holds', $standing->verdict[0]->id);
        self::assertSame(self::TODAY, $standing->snapshot->day);
    }

    /** Company, room and water are those of the animals that are in, however many were planned. */
    public function testOnlyThoseThatAreInCount(): void
    {
        $plan = Sample::edit(Sample::planted(), ['animals.add' => 'betta-splendens']);
        $group = $plan->groups[1]->id;
        $plan = Sample::edit($plan, ["animals.$group.count" => '2', "animals.$group.sexes" => 'males']);
        self::assertSame(MarginState::Fails, Judge::judge($plan)->state);
        $stocked = static fn (int $fighters): Standing => self::standing($plan, new Log([], [
            new LoggedEvent(40, EventKind::Stock, 10, 'a1'),
            ...0 === $fighters ? [] : [new LoggedEvent(40, EventKind::Stock, $fighters, $group)],
            new LoggedEvent(40, EventKind::Feed, 0.05),
        ]));
        self::assertContains('company', self::ids($stocked(2)));
        self::assertNotContains('company', self::ids($stocked(0)), 'they never came');
        self::assertContains('Least killifish', (array) $stocked(0)->verdict[0]->values['kinds']);
        self::assertNotContains('Betta', (array) $stocked(0)->verdict[0]->values['kinds']);
    }

    /** Night's oxygen is held against those that are in, however much others would need. */
    public function testWhoIsNotInNeedsNoOxygen(): void
    {
        $plan = Sample::edit(Sample::planted(), ['animals.add' => 'pseudogastromyzon-myersi']);
        $need = static function (LoggedEvent ...$events) use ($plan): float {
            $lived = (new Estimator($plan, new Log([], array_values($events)), self::TODAY))->lived([], true);

            return DawnOxygen::need(Prospect::outlook($lived, self::TODAY)->present);
        };
        $killifish = new LoggedEvent(40, EventKind::Stock, 10, 'a1');
        self::assertSame($plan->groups[0]->kind->oxygen->value, $need($killifish));
        self::assertSame(
            $plan->groups[1]->kind->oxygen->value,
            $need($killifish, new LoggedEvent(self::TODAY, EventKind::Stock, 4, $plan->groups[1]->id)),
        );
    }

    public function testHowSureItIsComesFromAllTanks(): void
    {
        $estimator = new Estimator(Sample::planted(), new Log(), self::TODAY);
        $scores = \array_slice($estimator->prior(), 0, 6);
        $tanks = array_map(static fn (array $of): SimulatedTank => SimulatedTank::run($estimator, $of, true), $scores);
        $estimated = EstimatedTank::of($estimator, $scores, SimulatedTank::members($tanks), $scores, $tanks);
        self::assertTrue($estimated->standing->isSure());
        self::assertFalse(self::standing(Sample::planted(), new Log())->isSure());
        $sure = $estimated->standing->verdict[\count($estimated->standing->verdict) - 1];
        self::assertSame(['running.sure', 6], [$sure->id, $sure->values['of']]);
        self::assertSame(\count(array_filter($estimated->standing->sound)), $sure->values['holds']);
        self::assertSame(Estimator::middle($scores), $estimated->likeliest);
    }

    public function testATankRunForItsReadingsAloneHasNoProspect(): void
    {
        $tank = SimulatedTank::run(new Estimator(Sample::planted(), new Log(), 10), [], false);
        $this->expectException(\LogicException::class);
        SimulatedTank::prospects([$tank]);
    }

    /** Of ten tanks: none says it, one makes it tight, four make it fail. */
    public function testStatesTurnAtAShareOfTheTanks(): void
    {
        $of = static function (int $failing, int $tanks = 10): array {
            $harms = [];
            for ($n = 0; $n < $tanks; ++$n) {
                $harms[] = $n < $failing ? [self::harm('guppy', 0.3 + $n / 100)] : [];
            }

            return HarmShares::among($harms);
        };
        self::assertSame([], $of(0));
        self::assertSame(MarginState::Holds, $of(1, 11)[0]->state, 'less than one in ten');
        self::assertSame(MarginState::Tight, $of(1)[0]->state);
        self::assertSame(MarginState::Tight, $of(3)[0]->state);
        self::assertSame('harm.possible', $of(3)[0]->message->id, 'the middle one of the tanks is spared');
        self::assertSame('avert.losses', $of(3)[0]->averts[0]->id, 'averted as where it comes about');
        self::assertSame(MarginState::Fails, $of(4)[0]->state);
        self::assertSame('harm.losses', $of(4)[0]->message->id);
        self::assertEqualsWithDelta(0.32, $of(4)[0]->amount, 1e-9, 'as in the middle one of those in which it does');
        self::assertSame(0.4, $of(4)[0]->sure);
    }

    public function testKindsAreToldApartAndClumpsAreNot(): void
    {
        $both = HarmShares::among([[self::harm('guppy', 0.3), self::harm('shrimp', 0.5)], [self::harm('guppy', 0.3)]]);
        self::assertSame(['guppy' => 1.0, 'shrimp' => 0.5], array_column(
            array_map(static fn (Harm $h): array => [$h->about, $h->sure], $both),
            1,
            0,
        ));
        $plants = static fn (string $clumps): Harm => new Harm(HarmId::Plants, $clumps, 0.5, 60, new Message('harm.plants'));
        $faded = HarmShares::among([[$plants('c1')], [$plants('c1 c2')]]);
        self::assertCount(1, $faded);
        self::assertSame(1.0, $faded[0]->sure);
        $near = new Harm(HarmId::Water, 'oxygen', 0.0, 60, new Message('harm.near'), [], 0.2);
        self::assertSame([], HarmShares::among([[$near], [$near]]), 'how likely it is, is counted here');
    }

    private static function harm(string $kind, float $amount): Harm
    {
        return new Harm(HarmId::Losses, $kind, $amount, 130, new Message('harm.losses'), [new Message('avert.losses')]);
    }
}
