<?php

declare(strict_types=1);

namespace Olvek\Tests\Judging;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Judgement\Margin\Judge;
use Olvek\Core\Judgement\Margin\Margin;
use Olvek\Core\Judgement\Margin\MarginId;
use Olvek\Core\Judgement\Margin\MarginState;
use Olvek\Core\Judgement\Margin\Spread;
use Olvek\Core\Judgement\Margin\Uncertainty;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Service\Judging\Outcome;
use Olvek\Service\Judging\Questions;
use PHPUnit\Framework\TestCase;

/** What the Bench keeps of a judgement. */
final class OutcomeTest extends TestCase
{
    private static function plan(): Plan
    {
        return (new PlanDocument(Catalogue::shipped()))->fromJson(
            (string) file_get_contents(__DIR__.'/../../demo/waiting-hall.plan.json'),
        );
    }

    private static function outcome(string $edit = '', string $text = ''): Outcome
    {
        $plan = self::plan();
        $plan = '' === $edit ? $plan : (new Editor(Catalogue::shipped()))->apply($plan, [$edit => $text], UnitSystem::Metric)->plan;

        return Outcome::drawn(Judge::judge($plan), $plan);
    }

    public function testEveryMarginIsShownOnce(): void
    {
        $outcome = self::outcome();
        $shown = [];
        foreach ($outcome->voices() as $margins) {
            foreach ([...$margins['matter'], ...$margins['rest']] as $margin) {
                $shown[] = $margin->id->value;
            }
            self::assertSame([], array_filter($margins['matter'], static fn (Margin $m): bool => MarginState::Holds === $m->state));
            self::assertSame([], array_filter($margins['rest'], static fn (Margin $m): bool => MarginState::Holds !== $m->state));
        }
        self::assertSame([], array_diff(array_map(static fn (Margin $m): string => $m->id->value, $outcome->margins), $shown));
        self::assertSame($shown, array_unique($shown));
    }

    public function testDifferencesNameOnlyWhatMoved(): void
    {
        $before = self::outcome();
        self::assertSame([], self::outcome()->differences($before));
        $moved = array_column(self::outcome('light.hours', '6')->differences($before), null, 'name');
        self::assertArrayHasKey('light for plants', $moved);
        self::assertArrayNotHasKey('planted floor', $moved);
        self::assertNotSame($moved['light for plants']['before'], $moved['light for plants']['after']);
    }

    public function testItGrowsSureWithoutChangingItsMind(): void
    {
        $outcome = self::outcome();
        self::assertFalse($outcome->isSure());
        $sure = $outcome->with(
            new Uncertainty(
                array_fill_keys(array_map(static fn (Margin $m): string => $m->id->value, $outcome->margins), new Spread(1.0, 2.0, 60, 64)),
                64,
                64,
            ),
            self::plan(),
        );
        self::assertTrue($sure->isSure());
        self::assertSame([$outcome->state, $outcome->hardestDay], [$sure->state, $sure->hardestDay]);
        self::assertEquals([...$outcome->verdict, new Message('verdict.sure', ['holds' => 64, 'of' => 64])], $sure->verdict);
        self::assertSame(60, $sure->margin(MarginId::Oxygen)?->spread?->holds);
    }

    /** What seven of ten uncertain tanks come to fails, whatever the likeliest does; and the first sentence says so. */
    public function testWhatMostTanksComeToDecides(): void
    {
        $sure = self::outcome()->with(new Uncertainty(['harm look' => new Spread(0.0, 40.0, 20, 64)], 20, 64), self::plan());
        self::assertSame(MarginState::Fails, $sure->state);
        self::assertSame('harm.possible', $sure->verdict[0]->id);
    }

    public function testEveryQuestionHasItsName(): void
    {
        $questions = new Questions(new Editor(Catalogue::shipped()), Catalogue::shipped());
        foreach (Questions::NAMES as $name) {
            self::assertNotNull($questions->named($name, 'neocaridina-davidi'), $name);
        }
        self::assertNull($questions->named('stock', 'whale'));
        self::assertNull($questions->named('weather'));
    }
}
