<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Judgement\Margin;

use Olvek\Core\Judgement\Margin\Asked;
use Olvek\Core\Judgement\Margin\MarginId;
use Olvek\Core\Judgement\Margin\Voice;
use PHPUnit\Framework\TestCase;

/** Every question depends on some margin, and the animals' welfare always decides whether they may come. */
final class AskedTest extends TestCase
{
    public function testEachQuestionHasMarginsThatDecideIt(): void
    {
        foreach (Asked::cases() as $question) {
            self::assertNotSame([], $question->margins(), $question->name);
        }
    }

    public function testWelfareDecidesWhichAnimalsMayCome(): void
    {
        foreach (MarginId::cases() as $id) {
            if (Voice::Welfare === $id->about()->voice) {
                self::assertContains($id, Asked::WishedAnimals->margins());
            }
        }
    }

    /** Practice is advice; a question that hinged on it would refuse what works. The cap alone is what a depth is asked about. */
    public function testPracticeDecidesNothingButTheBed(): void
    {
        foreach (Asked::cases() as $question) {
            $practice = array_filter($question->margins(), static fn (MarginId $id): bool => Voice::Practice === $id->about()->voice);
            self::assertSame(Asked::BedDepth === $question ? [MarginId::Cap] : [], array_values($practice), $question->name);
        }
    }
}
