<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Judgement\Solve;

use Olvek\Core\Basis\TimeLimit\NoTimeLimit;
use Olvek\Core\Basis\TimeLimit\OutOfTime;
use Olvek\Core\Basis\TimeLimit\TimeLimit;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Judgement\Margin\MarginId;
use Olvek\Core\Judgement\Margin\RemedySearch;
use Olvek\Core\Judgement\Solve\BedDepth;
use Olvek\Core\Judgement\Solve\EarliestStart;
use Olvek\Core\Judgement\Solve\LeastPlants;
use Olvek\Core\Judgement\Solve\LightHours;
use Olvek\Core\Judgement\Solve\LongestHoliday;
use Olvek\Core\Judgement\Solve\MostStock;
use Olvek\Core\Judgement\Solve\Question;
use Olvek\Core\Judgement\Solve\Trial;
use Olvek\Core\Judgement\Solve\WeeklyTrim;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Simulation\Run\Pace;
use Olvek\Core\Tests\Said;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** When nobody waits any longer, what is known by then is the answer, and it says so. */
final class TimeLimitTest extends TestCase
{
    /** Patience for so many years beyond the first. */
    private static function years(int $left): TimeLimit
    {
        return new class($left) implements TimeLimit {
            public function __construct(private int $left)
            {
            }

            public function isSpent(): bool
            {
                return --$this->left < 0;
            }
        };
    }

    /** @return iterable<string, array{Question, int}> each with years after which it is not done yet */
    public static function questions(): iterable
    {
        $editor = new Editor(Sample::catalogue());
        yield 'stock' => [new MostStock($editor, Sample::catalogue()->animals['neocaridina-davidi']), 2];
        yield 'plants' => [new LeastPlants($editor, Sample::catalogue()), 2];
        yield 'light' => [new LightHours($editor), 3];
        yield 'depth' => [new BedDepth($editor, 2.0), 1];
        yield 'start' => [new EarliestStart($editor), 1];
        yield 'holiday' => [new LongestHoliday($editor), 2];
    }

    #[DataProvider('questions')]
    public function testQuestionsAreBrokenOffInWords(Question $question, int $years): void
    {
        foreach ([0, $years] as $left) {
            $answer = $question->solve(Sample::planted(), self::years($left));
            if ($answer->runs > 0) {
                self::assertSame($left + 1, $answer->runs, 'one more than there was patience for, and no further');
            }
            if (!$answer->complete) {
                self::assertNotSame('', Said::all($answer->sentences));
                self::assertSame([] !== $answer->edits(), $answer->found);
                Sample::edit(Sample::planted(), $answer->edits()); // what is offered can be taken
            }
        }
        self::assertTrue($question->solve(Sample::planted())->complete, 'who waits gets the whole answer');
    }

    /** Work may be counted instead of timed: then nothing is run beyond the count, however long somebody waits. */
    public function testYearsAreCounted(): void
    {
        $trial = new Trial(new Editor(Sample::catalogue()), new NoTimeLimit(), 2);
        $trial->judged(Sample::planted(), pace: Pace::Rough);
        $trial->judged(Sample::planted(), pace: Pace::Rough);
        try {
            $trial->judged(Sample::planted(), pace: Pace::Rough);
            self::fail('a third year was run');
        } catch (OutOfTime) {
            self::assertSame(2, $trial->runs);
            self::assertTrue($trial->brokenOff);
        }
    }

    public function testWhatNeedsOneYearIsNeverBrokenOff(): void
    {
        self::assertTrue((new WeeklyTrim(new Editor(Sample::catalogue())))->solve(Sample::planted(), self::years(0))->complete);
    }

    public function testHelpsAreTheBestOfWhatWasTried(): void
    {
        $helps = new RemedySearch(new Editor(Sample::catalogue()));
        self::assertSame([], $helps->for(Sample::planted(), MarginId::Oxygen, UnitSystem::Metric, patience: self::years(0)));
        self::assertLessThanOrEqual(
            1,
            \count($helps->for(Sample::planted(), MarginId::Oxygen, UnitSystem::Metric, patience: self::years(1))),
        );
    }
}
