<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Judgement\Margin;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Judgement\Margin\Harm\Averted;
use Olvek\Core\Judgement\Margin\Harm\Averting;
use Olvek\Core\Judgement\Margin\Harm\Cost;
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
            self::assertNotSame([], $one->cost->messages(), 'each names what it costs');
        }
    }

    /** Work, money and animals are named from the least that matters on, and weigh against each other. */
    public function testACostNamesWhatItTakes(): void
    {
        $said = static fn (float $minutes, float $money, int $animals): string => Said::all(
            (new Cost($minutes, $money, $animals))->messages(),
        );
        self::assertSame('cost.nothing', $said(0.9, 0.9, 0));
        self::assertSame('cost.nothing', $said(-0.9, -0.9, 0));
        self::assertSame('cost.more-work(minutes: 1) cost.more-money(money: 1)', $said(1.0, 1.0, 0));
        self::assertSame('cost.less-work(minutes: 1) cost.less-money(money: 1)', $said(-1.0, -1.0, 0));
        self::assertSame('cost.animals(count: 3)', $said(0.0, 0.0, 3));
        self::assertLessThan((new Cost(2.0, 0.0, 0))->weight(), (new Cost(0.0, 19.0, 0))->weight());
        self::assertGreaterThan((new Cost(2.0, 0.0, 0))->weight(), (new Cost(0.0, 21.0, 0))->weight());

        $plan = Sample::planted();
        $heated = Sample::edit($plan, ['equipment.heating' => 'tank', 'equipment.watts' => '50', 'animals.a1.count' => '7']);
        $cost = Cost::between($plan, Judge::judge($plan)->trace, $heated, Judge::judge($heated)->trace);
        self::assertSame(3, $cost->animals);
        self::assertGreaterThan(10.0, $cost->money, 'a heater is to be bought');
    }

    public function testWhatIsNoHarmNeedsNothing(): void
    {
        self::assertSame([], (new Averting(self::editor()))->of(Sample::planted(), HarmId::Losses, UnitSystem::Metric));
    }
}
