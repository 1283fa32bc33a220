<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Judgement\Sign;

use Olvek\Core\Judgement\Sign\Foresight;
use Olvek\Core\Judgement\Sign\Notice;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** A tank read by itself: on both sides of what it speaks up for. */
final class ForesightTest extends TestCase
{
    /** @return array<string> */
    private static function noticed(string $edits, string $log, int $day = 60): array
    {
        // Ammonia that a test just does not show may be unexpected all the same: that is told calmly.
        return array_map(static fn (Notice $n): string => $n->id, array_filter(
            Foresight::of(Cases::case($edits, $log, $day, '')),
            static fn (Notice $n): bool => $n->isUrgent || 'ammonia' !== $n->id,
        ));
    }

    public function testAQuietTankIsLeftAlone(): void
    {
        self::assertSame([], self::noticed('', '28 deed stock 10 a1; 58 reading ammonia 0; 58 reading nitrite 0; 58 reading nitrate 0.2'));
    }

    #[TestWith(['ammonia', '60 reading ammonia 0.24', '60 reading ammonia 0.25'])]
    #[TestWith(['nitrite', '60 reading nitrite 0.09', '60 reading nitrite 0.1'])]
    #[TestWith(['food', '58 deed feed 0.089', '58 deed feed 0.091'])]
    #[TestWith(['losses', '58 deed lost 1 a1', '58 deed lost 2 a1'])]
    #[TestWith(['food', '53 deed feed 0.2', '54 deed feed 0.2'])]
    public function testItSpeaksFromItsLimitOn(string $id, string $below, string $above): void
    {
        self::assertNotContains($id, self::noticed('', "28 deed stock 10 a1; $below"));
        self::assertContains($id, self::noticed('', "28 deed stock 10 a1; $above"));
    }

    /** Without animals ammonia of a start is no news. */
    public function testAStartWithoutAnimalsIsLeftAlone(): void
    {
        self::assertNotContains('nitrite', self::noticed('animals.a1.day=90', '20 reading nitrite 2', 20));
    }

    public function testAReadingThatNobodyExpectsIsNews(): void
    {
        $notices = Foresight::of(Cases::case('', '28 deed stock 10 a1; 60 reading nitrate 12', 60, ''));
        self::assertSame(['nitrate'], array_map(static fn (Notice $n): string => $n->id, $notices));
        self::assertStringContainsString('were to be expected', $notices[0]->words);
        self::assertSame(60, $notices[0]->day);
        self::assertFalse($notices[0]->isUrgent);
    }

    public function testOxygenThatWillRunLowIsUrgent(): void
    {
        $notices = Foresight::of(Cases::case(
            'site.temperature=31 °C; animals.a1.count=70; feeding.grams=0.9; plants.add.salvinia-natans=300',
            '',
            45,
            '',
        ));
        $oxygen = array_values(array_filter($notices, static fn (Notice $n): bool => 'oxygen' === $n->id));
        self::assertCount(1, $oxygen);
        self::assertTrue($oxygen[0]->isUrgent);
        self::assertSame($oxygen[0], $notices[0], 'the urgent first');
    }

    public function testPlantsThatStopAreNamed(): void
    {
        $notices = Foresight::of(Cases::case(
            'animals.a1.day=900; bed.soil.front=0; bed.soil.back=0; plants.c1.pieces=90; water.nitrate=0; '
                .'light.lumens=30000; light.hours=14',
            '',
            300,
            '',
        ));
        $growth = array_values(array_filter($notices, static fn (Notice $n): bool => 'growth' === $n->id));
        self::assertCount(1, $growth);
        self::assertContains($growth[0]->of, ['c1', 'c2']);
    }
}
