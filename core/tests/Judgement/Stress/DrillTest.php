<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Judgement\Stress;

use Olvek\Core\Judgement\Margin\MarginState;
use Olvek\Core\Judgement\Stress\Drill;
use Olvek\Core\Judgement\Stress\Mishap;
use Olvek\Core\Judgement\Stress\Rehearsal;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\TestCase;

final class DrillTest extends TestCase
{
    /** @return array<string, Rehearsal> by mishap */
    private static function drill(Plan $plan): array
    {
        return array_column(array_map(static fn (Rehearsal $r): array => [$r->mishap->value, $r], Drill::run($plan)), 1, 0);
    }

    /** Full of fish and hardly planted: what a full, planted tank takes brings it down, and it says how soon. */
    private static function frail(): Plan
    {
        return Sample::edit(Sample::planted(), ['plants.c1.pieces' => '6', 'animals.a1.count' => '60', 'feeding.grams' => '0.25']);
    }

    public function testATankWithRoomTakesWhatAFullOneDoesNot(): void
    {
        $calm = self::drill(Sample::planted());
        $frail = self::drill(self::frail());
        self::assertSame(MarginState::Holds, $calm['dead-animal']->state);
        self::assertNull($calm['dead-animal']->hours);
        self::assertSame(MarginState::Fails, $frail['overfed']->state);
        self::assertNotNull($frail['overfed']->hours);
        self::assertLessThan($calm['overfed']->oxygen, $frail['overfed']->oxygen);
        $last = $frail['overfed']->sentences[\count($frail['overfed']->sentences) - 1];
        self::assertContains($last->id, ['rehearsal.hours', 'rehearsal.days']);
        self::assertSame('rehearsal.fine', $calm['dead-animal']->sentences[0]->id);
    }

    /** More food is worse, hotter is worse: the order of things. */
    public function testEachMishapIsWorseThanNone(): void
    {
        foreach (self::drill(self::frail()) as $id => $rehearsal) {
            self::assertGreaterThanOrEqual(0.0, $rehearsal->oxygen, $id);
            self::assertNotSame([], $rehearsal->sentences);
            self::assertSame(null === $rehearsal->hours, MarginState::Fails !== $rehearsal->state, $id);
        }
    }

    public function testOnlyWhatCanHappenIsRehearsed(): void
    {
        $bare = self::drill(Plan::starting('Bare', Sample::catalogue()));
        self::assertSame(['lamp-out', 'heat-wave', 'away'], array_keys($bare));
        self::assertArrayHasKey('closed-mat', self::drill(Sample::edit(Sample::planted(), ['plants.add.salvinia-natans' => '4'])));
        $jar = Sample::edit(Sample::edit(Sample::planted(), ['feeding.grams' => '0']), ['site.sealed' => 'yes']);
        self::assertFalse(Mishap::Away->concerns($jar));
        self::assertFalse(Mishap::Overfed->concerns($jar));
    }
}
