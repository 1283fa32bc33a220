<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Judgement\Margin;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Judgement\Margin\Harm\Harm;
use Olvek\Core\Judgement\Margin\Harm\HarmId;
use Olvek\Core\Judgement\Margin\Harm\Harms;
use Olvek\Core\Judgement\Margin\Harm\Poisoning;
use Olvek\Core\Judgement\Margin\Judge;
use Olvek\Core\Judgement\Margin\Likelihood;
use Olvek\Core\Judgement\Margin\MarginState;
use Olvek\Core\Judgement\Margin\Spread;
use Olvek\Core\Judgement\Margin\Uncertainty;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Simulation\Run\Trace;
use Olvek\Core\Simulation\Run\UsualCare;
use Olvek\Core\Tests\Said;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** What is said of likelihood before many tanks have been run. */
final class LikelihoodTest extends TestCase
{
    private static ?Trace $year = null;

    /** @param array<string, float> $columns that are the same all year */
    private static function harm(array $columns): ?Harm
    {
        self::$year ??= (new Runner(Sample::planted()))->run(365, UsualCare::events());
        $trace = clone self::$year;
        foreach ($columns as $column => $value) {
            $trace->columns[$column] = array_fill(0, $trace->days(), $value);
        }
        $water = array_filter(Judge::fromTrace(Sample::planted(), $trace)->harms, static fn (Harm $h): bool => HarmId::Water === $h->id);

        return array_values($water)[0] ?? null;
    }

    /**
     * Least killifish need 3 mg/L, so that a dawn of 2.1 harms; 1.5 above it is near. Nitrite acts from 0.3 mg N/L; 0.15 of it is near.
     *
     * @param array<string, float> $columns
     */
    #[TestWith([['oxygen' => 3.61, 'nitrite' => 0.0], null])]
    #[TestWith([['oxygen' => 3.59, 'nitrite' => 0.0], 'oxygen'])]
    #[TestWith([['oxygen' => 7.0, 'nitrite' => 0.0449], null])]
    #[TestWith([['oxygen' => 7.0, 'nitrite' => 0.0451], 'nitrite'])]
    public function testWaterThatSparesThemNarrowlyIsTight(array $columns, ?string $what): void
    {
        $harm = self::harm($columns);
        self::assertSame($what, $harm?->about);
        if (null !== $what) {
            self::assertNotNull($harm);
            self::assertSame(MarginState::Tight, $harm->state);
            self::assertSame('harm.near', $harm->message->id);
            self::assertNotSame([], $harm->averts);
        }
    }

    #[TestWith([60, 'nitrite'])]
    #[TestWith([61, 'late'])]
    public function testNitriteOfALaterDayIsNotAvertedByAnotherStart(int $day, string $cause): void
    {
        self::assertSame("avert.losses(cause: $cause)", Said::plain(Poisoning::averts('nitrite', $day)));
        self::assertSame('avert.losses(cause: oxygen)', Said::plain(Poisoning::averts('oxygen', $day)));
    }

    public function testWhatHarmsIsNotTellingOfNearnessToo(): void
    {
        self::assertSame('harm.water', self::harm(['oxygen' => 2.0, 'nitrite' => 0.0])?->message->id);
    }

    public function testACountOfTanksTakesThePlaceOfNearness(): void
    {
        $near = self::harm(['oxygen' => 3.0, 'nitrite' => 0.0]);
        self::assertNotNull($near);
        $counted = static fn (int $holds): MarginState => Harms::state(self::uncertainty($holds)->ofHarms([$near]));
        self::assertSame(MarginState::Holds, $counted(32));
        self::assertSame(MarginState::Tight, $counted(28));
        self::assertSame(MarginState::Fails, $counted(18));
    }

    /** Where the likeliest tank and most tanks differ, both are said. */
    public function testWhereTheCountDiffersItSaysSo(): void
    {
        $plan = Sample::planted();
        $judged = Judge::judge($plan);
        self::assertSame(MarginState::Holds, $judged->state);
        $last = static function (int $holds) use ($judged, $plan): string {
            $verdict = $judged->with(self::uncertainty($holds), $plan)->verdict;

            return Said::plain($verdict[\count($verdict) - 1]);
        };
        self::assertSame('verdict.likeliest(state: holds)', $last(18));
        self::assertStringStartsWith('verdict.sure', $last(32));
    }

    private static function uncertainty(int $holds): Uncertainty
    {
        return new Uncertainty(['harm water' => new Spread(0.0, 1.0, $holds, 32)], $holds, 32);
    }

    private static function water(float $amount): Harm
    {
        return new Harm(HarmId::Water, 'oxygen', $amount, 9, new Message('harm.water'));
    }

    /** After a change a harm is as likely as it was, unless one run comes to it or is spared. */
    #[TestWith([32, 0.0, 0.0, MarginState::Holds])]
    #[TestWith([27, 0.0, 0.0, MarginState::Tight])]
    #[TestWith([27, 0.0, 4.1, MarginState::Fails])]
    #[TestWith([32, 0.0, 4.1, MarginState::Fails])]
    #[TestWith([12, 4.1, 4.1, MarginState::Fails])]
    #[TestWith([12, 4.1, 0.0, MarginState::Tight])]
    #[TestWith([31, 4.1, 0.0, MarginState::Holds])]
    public function testAChangeCarriesOverWhatWasCounted(int $holds, float $before, float $now, MarginState $state): void
    {
        $carried = Likelihood::after(self::uncertainty($holds), [self::water($before)], [self::water($now)]);
        self::assertFalse($carried->counted);
        self::assertSame($state, Harms::state($carried->ofHarms([self::water($now)])));
    }
}
