<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Judgement\Sign;

use Olvek\Core\Judgement\Sign\Knowledge;
use Olvek\Core\Judgement\Sign\Remedy;
use Olvek\Core\Judgement\Sign\Trial;
use Olvek\Core\Judgement\Sign\Watch;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** What is advised is tried on the tank's own days ahead. */
final class TrialTest extends TestCase
{
    private static function trial(string $cause, string $edits, string $log, int $day, string $signs): ?Trial
    {
        return Trial::of(
            Cases::case($edits, $log, $day, $signs),
            Knowledge::shipped()->causes[$cause],
            new Editor(Sample::catalogue()),
        );
    }

    public function testLessFoodLeavesLessNitrate(): void
    {
        $trial = self::trial('too-much-food', 'feeding.grams=0.2', '', 100, 'many-snails');
        self::assertNotNull($trial);
        self::assertTrue($trial->helps, $trial->says);
        self::assertSame('100 mg of food a day', $trial->words);
        self::assertArrayHasKey('events.add.feed', $trial->typed());
        self::assertStringStartsWith('101 ', $trial->typed()['events.add.feed']);
    }

    public function testAChangeOfWaterTakesItsPartOfWhatWasRead(): void
    {
        $trial = self::trial('ammonia', '', '10 deed stock 10 a1; 14 reading ammonia 2', 14, 'gasping-all-day:a1');
        self::assertTrue($trial?->helps);
        self::assertStringContainsString('would be left', $trial->says);
        self::assertStringContainsString('1.5 mg/L as NH₄', str_replace("\u{00A0}", ' ', $trial->says), '0.6 of 2 mg N/L');
    }

    /** Floaters at a third are as they shall be: nothing is planned; above they are thinned to it. */
    public function testFloatersAreThinnedToAThird(): void
    {
        $trial = static fn (string $cover): ?Trial => self::trial(
            'night-oxygen',
            'plants.add.salvinia-natans=20',
            "80 reading cover $cover",
            80,
            'gasping',
        );
        self::assertNull($trial('0.33'));
        self::assertNotNull($trial('0.4'));
        self::assertStringContainsString('67', $trial('1')?->typed()['events.add.trim'] ?? '');
    }

    #[TestWith(['new-diatoms', 'brown-dust'])]
    #[TestWith(['imported-illness', 'spots'])]
    public function testWhereThereIsNothingToPlanNothingIsTried(string $cause, string $signs): void
    {
        self::assertNull(self::trial($cause, '', '', 40, $signs));
    }

    /** Without food there is none to halve; without a lamp none to set shorter; at five hours it stays. */
    public function testWhatIsNotThereIsNotLessened(): void
    {
        self::assertNull(self::trial('too-much-food', 'feeding.grams=0', '', 60, 'many-snails'));
        self::assertNull(self::trial('light-ahead', 'light.hours=5', '', 60, 'green-dust'));
        self::assertNotNull(self::trial('light-ahead', 'light.hours=5.5', '', 60, 'green-dust'));
    }

    public function testEachRemedyCanBePlanned(): void
    {
        $case = Cases::case('plants.add.salvinia-natans=60', '80 reading cover 0.9', 80, 'threads');
        foreach (Remedy::cases() as $remedy) {
            $changes = $remedy->changes($case, 81);
            self::assertNotSame([], $changes, $remedy->value);
            $edited = (new Editor(Sample::catalogue()))->make($case->plan, $changes);
            self::assertCount(1, $edited->plan->events, $remedy->value);
            self::assertSame(81, $edited->plan->events[0]->day);
            self::assertNotSame('', $remedy->words($case));
        }
    }

    public function testWhatToWatchIsWrittenSo(): void
    {
        self::assertTrue(Watch::parse('nitrate up')?->up);
        self::assertFalse(Watch::parse('algae down')?->up);
        self::assertNotNull(Watch::parse('fed up'));
        self::assertNull(Watch::parse('nitrate'));
        self::assertNull(Watch::parse('moon up'));
    }
}
