<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Judgement\Margin;

use Olvek\Core\Judgement\Margin\Asked;
use Olvek\Core\Judgement\Margin\Harm\HarmId;
use PHPUnit\Framework\TestCase;

/** Every question depends on some harm, and what harms animals decides whether they may come. */
final class AskedTest extends TestCase
{
    public function testEachQuestionHasHarmsThatDecideIt(): void
    {
        foreach (Asked::cases() as $question) {
            self::assertNotSame([], $question->harms(), $question->name);
            self::assertSame($question->harms(), array_unique($question->harms(), \SORT_REGULAR));
        }
    }

    public function testWhatHarmsAnimalsDecidesWhichMayCome(): void
    {
        foreach ([HarmId::Losses, HarmId::Water, HarmId::Waters, HarmId::Temperature, HarmId::Room, HarmId::Company] as $harm) {
            self::assertContains($harm, Asked::WishedAnimals->harms());
            self::assertContains($harm, Asked::MostStock->harms());
        }
    }
}
