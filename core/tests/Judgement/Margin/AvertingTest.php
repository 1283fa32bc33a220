<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Judgement\Margin;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Judgement\Margin\Harm\Averted;
use Olvek\Core\Judgement\Margin\Harm\Averting;
use Olvek\Core\Judgement\Margin\Harm\HarmId;
use Olvek\Core\Judgement\Margin\Harm\Harms;
use Olvek\Core\Judgement\Margin\Judge;
use Olvek\Core\Judgement\Margin\MarginState;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Tests\Said;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** What is offered against a harm was tried, and works when it is taken. */
final class AvertingTest extends TestCase
{
    private static function editor(): Editor
    {
        return new Editor(Sample::catalogue());
    }

    /** @param array<string, string> $edits */
    #[TestWith([HarmId::Water, ['animals.a1.day' => '0', 'animals.a1.count' => '60', 'feeding.grams' => '0.6'], 'remedy.'])]
    #[TestWith([HarmId::Room, ['animals.a1.count' => '80'], 'remedy.fewer(count: 64'])]
    #[TestWith([HarmId::Temperature, ['site.temperature' => '12 °C'], 'heater'])]
    #[TestWith([HarmId::Losses, ['feeding.grams' => '0', 'animals.a1.count' => '40'], 'feed'])]
    public function testWhatIsOfferedWorks(HarmId $id, array $edits, string $among): void
    {
        $plan = Sample::edit(Sample::planted(), $edits);
        $averted = (new Averting(self::editor()))->of($plan, $id, UnitSystem::Metric);
        self::assertNotSame([], $averted);
        self::assertLessThanOrEqual(3, \count($averted));
        $said = Said::all(array_map(static fn (Averted $a) => $a->message, $averted));
        self::assertStringContainsString($among, $said);
        foreach ($averted as $one) {
            $then = Judge::judge(self::editor()->apply($plan, $one->edits(), UnitSystem::Metric)->plan);
            $left = array_filter($then->harms, static fn ($h): bool => $h->id === $id);
            self::assertSame($one->state, Harms::state(array_values($left)), Said::plain($one->message));
            self::assertNotSame(MarginState::Fails, $one->state);
            self::assertSame($one->tank, $then->state);
        }
    }

    public function testWhatIsNoHarmNeedsNothing(): void
    {
        self::assertSame([], (new Averting(self::editor()))->of(Sample::planted(), HarmId::Losses, UnitSystem::Metric));
    }
}
