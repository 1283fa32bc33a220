<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Judgement\Standing;

use Olvek\Core\Judgement\Margin\AmmoniaMargin;
use Olvek\Core\Judgement\Margin\Harm\Harm;
use Olvek\Core\Judgement\Margin\MarginState;
use Olvek\Core\Judgement\Margin\Nitrite;
use Olvek\Core\Judgement\Standing\Prospect;
use Olvek\Core\Judgement\Standing\ReadHarm;
use Olvek\Core\Judgement\Standing\Standing;
use Olvek\Core\Keeping\Estimation\Estimator;
use Olvek\Core\Keeping\Estimation\Lived;
use Olvek\Core\Keeping\Log\Log;
use Olvek\Core\Keeping\Log\LoggedEvent;
use Olvek\Core\Keeping\Log\Reading;
use Olvek\Core\Nature\Water\Measure;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What a test has found harms today, whatever a run makes of it. */
final class ReadHarmTest extends TestCase
{
    private const TODAY = 60;
    private static ?Lived $lived = null;

    /** @param list<LoggedEvent> $events */
    private static function log(Measure $measure, float $value, int $day, array $events = []): Log
    {
        // At pH 6 hardly any ammonia is free: the bound of all of it decides.
        return new Log([new Reading($day, Measure::Acidity, 6.0), new Reading($day, $measure, $value)], $events);
    }

    /** @return list<string> */
    private static function found(Log $log): array
    {
        self::$lived ??= (new Estimator(Sample::planted(), new Log([], [new LoggedEvent(40, EventKind::Stock, 10, 'a1')]), self::TODAY))
            ->lived([], true);

        return array_map(static fn (Harm $h): string => $h->about, ReadHarm::of(Prospect::outlook(self::$lived, self::TODAY), $log));
    }

    /** @return iterable<string, array{Measure, float}> */
    public static function bounds(): iterable
    {
        yield 'nitrite' => [Measure::Nitrite, Nitrite::ACT];
        yield 'ammonia' => [Measure::Ammonia, AmmoniaMargin::TEST_ACT];
    }

    #[DataProvider('bounds')]
    public function testItIsHeldAgainstTheBoundOfATest(Measure $measure, float $bound): void
    {
        self::assertSame([], self::found(self::log($measure, 0.99 * $bound, self::TODAY)));
        self::assertSame([$measure->value], self::found(self::log($measure, 1.01 * $bound, self::TODAY)));
    }

    public function testAnOldTestTellsNothing(): void
    {
        $of = static fn (int $age): array => self::found(self::log(Measure::Nitrite, 1.0, self::TODAY - $age));
        self::assertSame(['nitrite'], $of(Log::FRESH));
        self::assertSame([], $of(Log::FRESH + 1));
    }

    public function testWaterThatWasChangedSinceCounts(): void
    {
        $changed = static fn (float $share, int $day): array => self::found(
            self::log(Measure::Nitrite, 2 * Nitrite::ACT, self::TODAY - 1, [new LoggedEvent($day, EventKind::Change, $share)]),
        );
        self::assertSame(['nitrite'], $changed(0.49, self::TODAY - 1));
        self::assertSame([], $changed(0.51, self::TODAY - 1));
        self::assertSame(['nitrite'], $changed(0.51, self::TODAY - 2), 'before the test');
    }

    public function testWhereNobodyIsInItHarmsNobody(): void
    {
        $lived = (new Estimator(Sample::edit(Sample::planted(), ['animals.a1.remove' => '']), new Log(), self::TODAY))->lived([], true);
        self::assertSame([], ReadHarm::of(Prospect::outlook($lived, self::TODAY), self::log(Measure::Nitrite, 1.0, self::TODAY)));
    }

    /** A start without fish runs through nitrite on purpose: those that come later are not harmed by it. */
    public function testThoseThatComeLaterAreNotHarmedToday(): void
    {
        $harmed = static function (int $came, int $read): array {
            $plan = Sample::edit(Sample::planted(), ['animals.a1.day' => (string) $came]);
            $events = $came > self::TODAY ? [] : [new LoggedEvent($came, EventKind::Stock, 10, 'a1')];
            $lived = (new Estimator($plan, new Log([], $events), self::TODAY))->lived([], true);
            $outlook = Prospect::outlook($lived, self::TODAY);
            self::assertTrue($outlook->stocked, 'somebody is in, or comes within the weeks ahead');

            return ReadHarm::of($outlook, self::log(Measure::Nitrite, 1.0, $read));
        };
        self::assertSame([], $harmed(self::TODAY + 1, self::TODAY));
        self::assertCount(1, $harmed(self::TODAY, self::TODAY));
        self::assertSame([], $harmed(self::TODAY, self::TODAY - 1), 'it was read before they came');
    }

    public function testItIsTheFirstThingThatIsSaid(): void
    {
        $log = new Log([new Reading(self::TODAY, Measure::Nitrite, 1.0)], [new LoggedEvent(40, EventKind::Stock, 10, 'a1')]);
        $standing = Standing::likely((new Estimator(Sample::planted(), $log, self::TODAY))->lived([], true), self::TODAY, $log);
        self::assertSame(MarginState::Fails, $standing->state);
        self::assertSame('harm.read', $standing->verdict[0]->id);
        self::assertSame(0, $standing->verdict[0]->values['ago']);
    }
}
