<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Judgement\Ask;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Judgement\Ask\AskOutcome;
use Olvek\Core\Judgement\Ask\AskVerdict;
use Olvek\Core\Judgement\Ask\Comparison;
use Olvek\Core\Judgement\Ask\FutureOnly;
use Olvek\Core\Judgement\Ask\Now;
use Olvek\Core\Judgement\Ask\Proposal;
use Olvek\Core\Judgement\Ask\Proposals;
use Olvek\Core\Judgement\Ask\SitterCard;
use Olvek\Core\Judgement\Ask\Topic;
use Olvek\Core\Judgement\Standing\Prospect;
use Olvek\Core\Judgement\Standing\SimulatedTank;
use Olvek\Core\Keeping\Estimation\Estimate;
use Olvek\Core\Keeping\Estimation\Estimator;
use Olvek\Core\Keeping\Log\Log;
use Olvek\Core\Keeping\Log\LoggedEvent;
use Olvek\Core\Planning\Change\Changes;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Plan\InvalidPlan;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\TestCase;

/** What is asked of a running tank, and what comes of it. */
final class AskTest extends TestCase
{
    private const TODAY = 80;
    private static ?Estimate $estimate = null;

    private static function plan(): Plan
    {
        return Sample::edit(Sample::planted(), [
            'plants.add.salvinia-natans' => '12',
            'care.changeShare' => '20',
            'care.changeEvery' => '10',
        ]);
    }

    private static function log(): Log
    {
        return new Log([], [
            new LoggedEvent(28, EventKind::Stock, 10, 'a1'),
            new LoggedEvent(28, EventKind::Feed, 0.03),
            new LoggedEvent(40, EventKind::Light, 9.0),
            new LoggedEvent(90, EventKind::Feed, 0.3),
        ]);
    }

    private static function estimator(): Estimator
    {
        return new Estimator(self::plan(), self::log(), self::TODAY);
    }

    private static function estimate(): Estimate
    {
        return self::$estimate ??= self::estimator()->estimate() ?? throw new \LogicException('there was time');
    }

    private static function now(): Now
    {
        return Now::of(self::plan(), self::log(), self::TODAY, self::estimate());
    }

    /** @return array<string, Proposal> by topic and whom */
    private static function proposals(): array
    {
        $named = [];
        foreach (Proposals::of(self::now(), self::TODAY + 1, Sample::catalogue(), UnitSystem::Metric) as $proposal) {
            $name = trim("{$proposal->topic->value} $proposal->of ".(Topic::Thin === $proposal->topic ? (string) $proposal->amount : ''));
            $named[$name] ??= $proposal;
        }

        return $named;
    }

    public function testATankStandsAsItsLogSays(): void
    {
        $now = self::now();
        self::assertSame([0.03, 9.0, 10], [$now->food, $now->hours, $now->changeEvery]);
        self::assertTrue($now->isIn(self::plan()->groups[0]));
        $empty = Now::of(self::plan(), new Log(), self::TODAY, self::estimate());
        self::assertFalse($empty->isIn(self::plan()->groups[0]));
        self::assertSame(self::plan()->feed->grams, $empty->food);
    }

    public function testEverythingThatIsOfferedCanBePlannedAndLeavesThePastAlone(): void
    {
        $proposals = self::proposals();
        foreach (Topic::cases() as $topic) {
            self::assertNotSame([], array_filter($proposals, static fn (Proposal $p): bool => $topic === $p->topic), $topic->words());
        }
        foreach ($proposals as $proposal) {
            foreach (UnitSystem::cases() as $units) {
                $then = (new Editor(Sample::catalogue()))->apply(self::plan(), Changes::typed($proposal->changes), $units)->plan;
                FutureOnly::check(self::plan(), $then, self::TODAY);
                self::assertNotEquals(self::plan(), $then, $proposal->words);
            }
        }
        // One asks for more of those that are in, who then get more food; and stops the changes that there are.
        self::assertSame(
            ['events.add.stock' => '81 a1 6', 'events.add.feed'],
            [
                'events.add.stock' => Changes::typed($proposals['more a1']->changes)['events.add.stock'],
                array_keys(Changes::typed($proposals['more a1']->changes))[1],
            ],
        );
        self::assertSame(['events.add.changes' => '81 0'], Changes::typed($proposals['changes']->changes));
        self::assertSame(10.0, $proposals['light']->amount);
    }

    public function testWhatATankHasNotIsNotAskedAbout(): void
    {
        $of = static fn (Topic $topic, ?string $of): ?Proposal => Proposal::of(
            $topic,
            self::now(),
            self::TODAY + 1,
            $of,
            null,
            Sample::catalogue(),
            UnitSystem::Metric,
        );
        self::assertNull($of(Topic::More, 'a9'));
        self::assertNull($of(Topic::Kind, 'unicorn'));
        self::assertNull($of(Topic::Thin, 'c1'));
        self::assertNotNull($of(Topic::Thin, 'c3'));
    }

    /** @param array<string, string> $edits */
    private static function refused(array $edits): string
    {
        try {
            FutureOnly::check(self::plan(), Sample::edit(self::plan(), $edits), self::TODAY);
        } catch (InvalidPlan $invalid) {
            return implode(' ', $invalid->messages(UnitSystem::Metric));
        }

        return '';
    }

    public function testThePastCannotBeAskedAway(): void
    {
        self::assertSame('', self::refused(['events.add.stock' => '81 a1 6']));
        self::assertStringContainsString('a day after today, day 80', self::refused(['events.add.stock' => '80 a1 6']));
        self::assertSame('', self::refused(['animals.add.neocaridina-davidi' => '6 on 81']));
        self::assertStringContainsString('6 on 81', self::refused(['animals.add.neocaridina-davidi' => '6 on 80']));
        self::assertStringContainsString('events.add.KIND', self::refused(['light.hours' => '9']));
    }

    public function testTenTimesTheFishAreOneTooManyAndNothingIsNothing(): void
    {
        $asNow = array_map(AskOutcome::all(...), self::estimate()->asNow);
        $then = Sample::edit(self::plan(), ['events.add.stock' => '81 a1 150', 'events.add.feed' => '81 0.8 g']);
        $run = static fn (?Plan $plan): array => array_map(
            static fn (array $scores): SimulatedTank => SimulatedTank::run(self::estimator(), $scores, true, $plan),
            self::estimate()->scores,
        );
        $goesOn = SimulatedTank::prospects($run(null));
        $sound = array_map(static fn (Prospect $p): bool => $p->isSound(), $goesOn);
        $tanks = $run($then);
        $crowd = Comparison::of(
            $then,
            $asNow,
            array_map(AskOutcome::all(...), self::estimate()->ahead(SimulatedTank::members($tanks))),
            $sound,
            SimulatedTank::prospects($tanks),
        );
        self::assertSame(AskVerdict::BetterNot, $crowd->verdict);
        self::assertFalse($crowd->verdict->isGood());
        self::assertSame(['ask.verdict', 'better_not'], [$crowd->sentences[0]->id, $crowd->sentences[0]->values['verdict']]);
        self::assertStringStartsWith('harm.', $crowd->sentences[1]->id, 'what would come to harm');
        self::assertLessThan($crowd->held, $crowd->holds);
        foreach ($crowd->lines as $line) {
            if (AskOutcome::Oxygen === $line->outcome) {
                self::assertTrue($line->isClear());
                self::assertLessThan(0.0, $line->differs[1]);
            }
        }
        $same = Comparison::of(self::plan(), $asNow, $asNow, $sound, $goesOn);
        self::assertSame($same->held, $same->holds);
        foreach ($same->lines as $line) {
            self::assertFalse($line->isClear());
            self::assertSame([0.0, 0.0, 0.0], $line->differs);
        }
    }

    public function testAVerdictTurnsWhereItSays(): void
    {
        $of = static fn (int $held, int $holds): AskVerdict => AskVerdict::of($held / 20, $holds / 20);
        self::assertSame(AskVerdict::Fine, $of(18, 16));
        self::assertSame(AskVerdict::Unsure, $of(18, 15));
        self::assertSame(AskVerdict::Helps, $of(14, 16));
        self::assertSame(AskVerdict::Unsure, $of(14, 15));
        self::assertSame(AskVerdict::Unsure, $of(15, 10));
        self::assertSame(AskVerdict::BetterNot, $of(16, 10));
        self::assertSame(AskVerdict::BetterNot, $of(12, 9));
        self::assertSame(AskVerdict::Unsure, $of(10, 9));
    }

    public function testEachLimitHoldsUpToItself(): void
    {
        $plan = self::plan();
        foreach (AskOutcome::cases() as $outcome) {
            $limit = $outcome->limit($plan);
            if (null === $limit) {
                self::assertTrue($outcome->holds(1e9, $plan));
                continue;
            }
            $beyond = AskOutcome::Oxygen === $outcome ? -1 : 1;
            self::assertTrue($outcome->holds($limit - $beyond * 0.001, $plan));
            self::assertFalse($outcome->holds($limit + $beyond * 0.001, $plan));
        }
    }

    public function testASitterFeedsOnlyWhereItIsLong(): void
    {
        $card = static fn (int $days): SitterCard => SitterCard::of(self::now(), self::estimate(), $days, 2.0, UnitSystem::Metric);
        self::assertStringContainsString('Do not feed', implode(' ', $card(14)->sitter));
        self::assertStringContainsString('at most every third day', implode(' ', $card(15)->sitter));
        self::assertStringNotContainsString('Once a week', implode(' ', $card(7)->sitter));
        self::assertStringContainsString("Once a week pour in about 2\u{00A0}L", implode(' ', $card(8)->sitter));
        self::assertStringContainsString("About 6\u{00A0}L will dry up", implode(' ', $card(21)->prepare));
        self::assertNotSame([], $card(21)->trouble);
    }
}
