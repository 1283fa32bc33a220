<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Fit;

use Olvek\Core\Event\EventKind;
use Olvek\Core\Fit\LifeBand;
use Olvek\Core\Log\Log;
use Olvek\Core\Log\LoggedEvent;
use Olvek\Core\Tests\Sample;
use Olvek\Core\TimeLimit\NoTimeLimit;
use Olvek\Core\TimeLimit\TimeLimit;
use Olvek\Core\Water\Measure;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class LifeBandTest extends TestCase
{
    public function testEveryMeasureHasItsBandOnEveryDay(): void
    {
        $life = LifeBand::of(Sample::planted(), new Log(), 40, new NoTimeLimit());
        self::assertNotNull($life);
        self::assertTrue($life->isWhole());
        foreach (Measure::cases() as $measure) {
            $band = $life->bands[$measure->value];
            self::assertCount(40, $band);
            [$least, $most] = $measure->bounds();
            foreach ($band as [$low, $middle, $high]) {
                self::assertLessThanOrEqual($middle, $low);
                self::assertLessThanOrEqual($high, $middle);
                self::assertGreaterThanOrEqual($least, $low);
                self::assertLessThanOrEqual($most, $high);
            }
        }
        self::assertGreaterThan($life->bands['nitrite'][20][0], $life->bands['nitrite'][20][2], 'tanks differ');
        self::assertEquals($life, LifeBand::of(Sample::planted(), new Log(), 40, new NoTimeLimit()), 'the same each time');
    }

    /** What was logged is gone through: ammonia that was dosed is there from its day on, and not before. */
    public function testItGoesTheWayOfTheLogbook(): void
    {
        $dosed = new Log([], [new LoggedEvent(9, EventKind::Dose, 2.0)]);
        [$still, $with] = array_map(
            static fn (Log $log): ?LifeBand => LifeBand::of(Sample::planted(), $log, 12, new NoTimeLimit()),
            [new Log(), $dosed],
        );
        self::assertNotNull($still);
        self::assertNotNull($with);
        self::assertSame($still->bands['ammonia'][8], $with->bands['ammonia'][8]);
        self::assertGreaterThan($still->bands['ammonia'][9][1] + 1.0, $with->bands['ammonia'][9][1]);
    }

    #[TestWith([4, false])]
    #[TestWith([5, true])]
    public function testTooFewTanksAreNoBand(int $tanks, bool $band): void
    {
        $patience = new class($tanks) implements TimeLimit {
            public function __construct(private int $left)
            {
            }

            public function isSpent(): bool
            {
                return $this->left-- <= 0;
            }
        };
        $life = LifeBand::of(Sample::planted(), new Log(), 3, $patience);
        self::assertSame($band, null !== $life);
        self::assertFalse($life?->isWhole() ?? false);
    }
}
