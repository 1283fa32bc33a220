<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Planning\Change;

use Olvek\Core\Basis\Supply\Source;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Planning\Change\AddClump;
use Olvek\Core\Planning\Change\AddPiece;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Change\Placed;
use Olvek\Core\Planning\Plan\InvalidPlan;
use Olvek\Core\Planning\Plan\UsualAmount;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** What is added stands where it was let go, in the amount that is usual in such a tank. */
final class PlacedTest extends TestCase
{
    #[TestWith(['12', null, null, Source::Shop])]
    #[TestWith(['12 at 30 80', 0.3, 0.8, Source::Shop])]
    #[TestWith(['12 at 30.5 % 80 %', 0.305, 0.8, Source::Shop])]
    #[TestWith(['12 on hand', null, null, Source::OnHand])]
    #[TestWith(['12 at 0 100 on hand', 0.0, 1.0, Source::OnHand])]
    public function testAClumpIsReadWithItsPlaceAndWrittenBack(string $typed, ?float $place, ?float $row, Source $source): void
    {
        $plan = Sample::edit(Sample::planted(), ['plants.add.anubias-nana' => $typed]);
        $clump = $plan->clumps[\count($plan->clumps) - 1];

        self::assertSame(12, $clump->pieces);
        self::assertSame($source, $clump->source);
        self::assertEqualsWithDelta($row ?? $clump->kind->zone->row(), $clump->row, 1e-9);
        if (null !== $place) {
            self::assertEqualsWithDelta($place, $clump->place, 1e-9);
        }
        [$many, $placed] = Placed::read($typed);
        self::assertEquals([$many, $placed], Placed::read($many.$placed->typed()));
    }

    #[TestWith(['12 at 130 80'])]
    #[TestWith(['12 at 30 101'])]
    #[TestWith(['12 at 30'])]
    #[TestWith(['twelve at 30 80'])]
    #[TestWith(['0 at 30 80'])]
    public function testWhatStandsNowhereIsRefused(string $typed): void
    {
        $this->expectException(InvalidPlan::class);
        Sample::edit(Sample::planted(), ['plants.add.anubias-nana' => $typed]);
    }

    public function testAStoneIsPlacedToo(): void
    {
        $plan = Sample::edit(Sample::planted(), ['hardscape.add.lava' => '0.8 L at 25 60 on hand']);

        self::assertEqualsWithDelta([0.8, 0.25, 0.6], [$plan->pieces[0]->litres, $plan->pieces[0]->place, $plan->pieces[0]->row], 1e-9);
        self::assertFalse($plan->pieces[0]->source->isBought());
    }

    public function testChangesThatAreTypedMakeTheSamePlan(): void
    {
        $editor = new Editor(Sample::catalogue());
        foreach ([
            new AddClump('anubias-nana', 5, new Placed(0.25, 0.5)),
            new AddPiece('lava', 0.5, new Placed(0.4, 0.6, Source::OnHand)),
        ] as $change) {
            self::assertEquals(
                $editor->make(Sample::planted(), [$change])->plan,
                $editor->apply(Sample::planted(), [$change->place() => $change->typed()], UnitSystem::Metric)->plan,
            );
        }
    }

    public function testALargerTankIsGivenMore(): void
    {
        $small = Sample::planted();
        $large = Sample::edit($small, ['vessel.length' => '120 cm', 'vessel.width' => '45 cm']);
        foreach (['hygrophila-polysperma', 'cryptocoryne-wendtii', 'salvinia-natans', 'anubias-nana'] as $id) {
            $kind = Sample::catalogue()->plants[$id];
            self::assertGreaterThan(UsualAmount::pieces($kind, $small), UsualAmount::pieces($kind, $large), $id);
        }
        // Stems stand on an eighth of the floor: 1,690 cm² of it, some 10 cm² each.
        self::assertEqualsWithDelta(20, UsualAmount::pieces(Sample::catalogue()->plants['hygrophila-polysperma'], $small), 1);
        self::assertSame(8, UsualAmount::heads(Sample::catalogue()->animals['tanichthys-albonubes'], $small), 'as many as keep company');
        self::assertSame(12, UsualAmount::heads(Sample::catalogue()->animals['neocaridina-davidi'], $small), 'a colony');
        self::assertSame(20, UsualAmount::heads(Sample::catalogue()->animals['neocaridina-davidi'], $large), 'which breeds');
    }
}
