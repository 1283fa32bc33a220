<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Keeping\Log;

use Olvek\Core\Keeping\Log\Attempt;
use Olvek\Core\Keeping\Log\Improved;
use Olvek\Core\Keeping\Log\LogFile;
use Olvek\Core\Keeping\Log\Sign;
use Olvek\Core\Planning\Plan\InvalidPlan;
use PHPUnit\Framework\TestCase;

/** What was tried against a sign, and what came of it, as lines of a logbook. */
final class AttemptTest extends TestCase
{
    public function testAnAnswerIsToTheNewestThatWaits(): void
    {
        $log = LogFile::read(<<<'CSV'
            after_filling,kind,what,amount,of
            10,tried,lean-water,14,pale-tips:c1
            20,came,lean-water,-1,pale-tips:c1
            30,tried,lean-water,14,pale-tips:c1
            31,tried,iron-short,14,pale-tips:c1
            44,came,lean-water,1,pale-tips:c1
            45,came,lean-water,1,pale-tips:c1
            CSV);
        self::assertSame(
            [['lean-water', 10, 24, Improved::Worse], ['lean-water', 30, 44, Improved::Better], ['iron-short', 31, 45, null]],
            array_map(static fn (Attempt $a): array => [$a->cause, $a->day, $a->look, $a->came], $log->attempts),
        );
        self::assertSame([Sign::PaleTips, 'c1'], [$log->attempts[0]->sign, $log->attempts[0]->of]);
        self::assertCount(1, $log->upTo(29)->attempts);
    }

    public function testAnswersAreKeptAsNumbers(): void
    {
        foreach (Improved::cases() as $came) {
            self::assertSame($came, Improved::ofAmount($came->amount()));
        }
    }

    public function testSignsOfAFileAreThoseOfTheList(): void
    {
        $log = LogFile::read("after_filling,kind,what,amount,of\n5,sighting,haze,,\n6,sighting,algae,1,\n7,sighting,threads,,c1\n");
        self::assertSame([Sign::Haze, Sign::Threads], array_column($log->sightings, 'sign'));
        self::assertSame([6 => true, 7 => true], $log->algae);
        $this->expectException(InvalidPlan::class);
        LogFile::read("after_filling,kind,what,amount,of\n5,sighting,hazy,,\n");
    }
}
