<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Planning\Change;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Plan\Field;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\TestCase;

final class EditorTest extends TestCase
{
    public function testSaysWhatChanged(): void
    {
        $editor = new Editor(Sample::catalogue());
        $edited = $editor->apply(
            Sample::planted(),
            ['bed.soil.back' => '1 1/4 in', 'plants.c1.pieces' => '50', 'light.hours' => '8'],
            UnitSystem::Metric,
        );

        self::assertSame(0.03175, $edited->plan->bed->soil?->back);
        self::assertSame(
            ['soil at the back 2.5 cm → 3.18 cm', 'Ambulia, pieces 40 → 50'],
            str_replace("\u{00A0}", ' ', $edited->words),
        );
    }

    public function testAFieldSentBackAsShownChangesNothing(): void
    {
        $plan = Sample::edit(Sample::planted(), ['bed.soil.back' => '3.333 cm', 'water.nitrate' => '7.77']);
        $editor = new Editor(Sample::catalogue());
        foreach (UnitSystem::cases() as $units) {
            $shown = [];
            $data = (new PlanDocument(Sample::catalogue()))->toArray($plan);
            $flat = new \RecursiveIteratorIterator(new \RecursiveArrayIterator($data));
            foreach ($flat as $value) {
                $keys = array_map(static fn (int $d): string => self::text($flat->getSubIterator($d)?->key()), range(0, $flat->getDepth()));
                if (\in_array($keys[0], ['plants', 'animals'], true)) {
                    $keys[1] = ('plants' === $keys[0] ? 'c' : 'a').((int) $keys[1] + 1);
                }
                $field = Field::at(implode('.', $keys));
                if (null !== $field && (\is_float($value) || \is_int($value))) {
                    $shown[$field->path] = $field->show((float) $value, $units);
                }
            }
            self::assertGreaterThan(15, \count($shown));
            self::assertArrayHasKey('bed.soil.back', $shown);

            $edited = $editor->apply($plan, $shown, $units);
            self::assertSame([], $edited->words);
            self::assertSame($plan, $edited->plan);
        }
    }

    public function testMixesAreMadeByParts(): void
    {
        $plan = Sample::edit(Sample::planted(), ['bed.soil.add' => 'coir']);
        $plan = Sample::edit($plan, ['bed.soil.parts.coir' => '3']);
        self::assertEqualsWithDelta([0.25, 0.75], array_column($plan->bed->soil->mix->shares ?? [], 1), 1e-12);
        $plan = Sample::edit($plan, ['bed.soil.parts.bagged-topsoil' => '0']);
        self::assertSame('coir', $plan->bed->soil?->mix->shares[0][0]->id);
        $plan = Sample::edit($plan, ['bed.soil.material' => 'none']);
        self::assertNull($plan->bed->soil);
        self::assertSame(0.025, Sample::edit($plan, ['bed.soil.material' => 'peat'])->bed->soil?->front);
    }

    public function testTheShapeIsChosen(): void
    {
        $plan = Sample::edit(Sample::planted(), ['vessel.shape' => 'cylinder']);
        self::assertSame(['diameter' => 0.3, 'height' => 0.36, 'glass' => 0.006], $plan->vessel->measures());
        $plan = Sample::edit($plan, ['vessel.diameter' => '10 in']);
        self::assertSame(0.254, $plan->vessel->outerWidth());
        $box = Sample::edit($plan, ['vessel.shape' => 'glass-box']);
        self::assertSame(['length' => 0.254, 'width' => 0.254, 'height' => 0.36, 'glass' => 0.006], $box->vessel->measures());
        $this->expectException(\Olvek\Core\Planning\Plan\InvalidPlan::class);
        Sample::edit($plan, ['vessel.length' => '30 cm']);
    }

    public function testAddingAndTakingOut(): void
    {
        $plan = Sample::planted();
        $plan = Sample::edit($plan, ['plants.c1.remove' => '1']);
        $plan = Sample::edit($plan, ['plants.add' => 'salvinia-natans', 'name' => 'Ticket window']);
        self::assertSame(['c2', 'c1'], array_map(static fn ($c) => $c->id, $plan->clumps));
        self::assertSame('Ticket window', $plan->name);
        $plan = Sample::edit($plan, ['animals.a1.remove' => '1']);
        self::assertSame([], $plan->groups);
        self::assertSame(0.0, $plan->feed->grams, 'food stops with the last animal');
    }

    private static function text(mixed $key): string
    {
        return \is_int($key) || \is_string($key) ? (string) $key : '';
    }

    public function testStonesWoodAndAmendmentsComeAndGo(): void
    {
        $plan = Sample::edit(Sample::planted(), ['hardscape.add' => 'lava', 'bed.doses.add' => 'limestone']);
        self::assertCount(1, $plan->pieces);
        self::assertEqualsWithDelta($plan->vessel->volumeBelow($plan->waterLine) / 50, $plan->pieces[0]->litres, 0.01);
        self::assertEqualsWithDelta(
            $plan->displaced(),
            Sample::planted()->netWater() - $plan->netWater(),
            1e-9,
            'what stands in the water displaces it',
        );
        self::assertGreaterThan(Sample::planted()->wettedSurface(), $plan->wettedSurface(), 'porous stone is a home for bacteria');
        // Ten grams a litre of soil, some 4.2 L of it.
        self::assertEqualsWithDelta(10 * $plan->bed->soilVolume($plan->vessel), $plan->bed->doses[0]->grams, 0.1);
        $plan = Sample::edit($plan, ['bed.doses.limestone' => '50 g', 'hardscape.h1.litres' => '0.5 L', 'hardscape.h1.place' => '90']);
        self::assertSame([50.0, 0.5, 0.9], [$plan->bed->doses[0]->grams, $plan->pieces[0]->litres, $plan->pieces[0]->place]);
        $plan = Sample::edit($plan, ['bed.doses.limestone' => '0', 'hardscape.h1.remove' => '1']);
        self::assertSame([[], []], [$plan->bed->doses, $plan->pieces]);
    }

    public function testWatersAreChosenByKind(): void
    {
        $plan = Sample::edit(Sample::planted(), ['topUp.kind' => 'rain', 'water.kind' => 'tap-hard']);
        self::assertLessThan(1.0, $plan->topUp->gh ?? 99.0);
        self::assertSame(14.0, $plan->water->kh);
        self::assertNull(Sample::edit($plan, ['topUp.kind' => 'same'])->topUp);
        self::assertSame(3.5, Sample::edit($plan, ['topUp.gh' => '3.5'])->topUp?->gh);
    }

    public function testSealingAVesselStopsTheFeeding(): void
    {
        $sealed = Sample::edit(Sample::planted(), ['site.sealed' => 'yes']);
        self::assertTrue($sealed->site->sealed);
        self::assertSame(0.0, $sealed->feed->grams);
    }

    public function testAMethodIsOneEditAndSaysSo(): void
    {
        $editor = new Editor(Sample::catalogue());
        $edited = $editor->apply(Sample::planted(), ['method' => 'humus-bed'], UnitSystem::Us);
        self::assertSame(['method: Humus bed, double cap'], $edited->words);
        self::assertSame(
            [],
            $editor->apply($edited->plan, ['method' => 'humus-bed'], UnitSystem::Us)->words,
            'taken twice changes nothing more',
        );
        self::assertSame(
            ['coir', 'garden-compost', 'garden-loam'],
            array_map(static fn (array $part): string => $part[0]->id, $edited->plan->bed->soil->mix->parts ?? []),
        );
    }

    /** "4 °C" warmer is a step, not a reading: 4 K, and 9 °F are 5 K. */
    public function testTheSwingOfTheSeasonsIsAStep(): void
    {
        self::assertSame(4.0, Sample::edit(Sample::planted(), ['site.swing' => '4 °C'])->site->swing);
        self::assertEqualsWithDelta(5.0, Sample::edit(Sample::planted(), ['site.swing' => '9 °F'])->site->swing, 1e-12);
        self::assertEqualsWithDelta(5.0, Sample::edit(Sample::planted(), ['site.swing' => '9'], UnitSystem::Us)->site->swing, 1e-12);
    }

    public function testGravelMayLieInSoilAndClumpsStandWhereTheyBelong(): void
    {
        $plan = Sample::edit(Sample::planted(), [
            'bed.soil.add' => 'fine-gravel',
            'plants.add.eleocharis-acicularis' => '4',
            'plants.c1.row' => '60',
        ]);
        self::assertSame('fine-gravel', $plan->bed->soil?->mix->parts[1][0]->id);
        self::assertSame([0.6, 0.15], [$plan->clumps[0]->row, $plan->clumps[2]->row], 'a carpet begins in front');
        for ($n = 0; $n < 30; ++$n) {
            $plan = Sample::edit($plan, ['plants.add' => 'hygrophila-polysperma']);
        }
        foreach ($plan->clumps as $clump) {
            self::assertTrue($clump->place >= 0.0 && $clump->place <= 1.0);
        }
    }
}
