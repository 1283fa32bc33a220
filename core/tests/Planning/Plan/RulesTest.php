<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Planning\Plan;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Nature\Vessel\GlassBox;
use Olvek\Core\Planning\Plan\Clump;
use Olvek\Core\Planning\Plan\InvalidPlan;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class RulesTest extends TestCase
{
    /** @return iterable<string, array{array<string, string>, string, string}> edits, the path refused, words in the message */
    public static function refused(): iterable
    {
        yield 'negative depth' => [['bed.soil.front' => '-2 cm'], 'bed.soil.front', 'from 0 cm to 200 cm'];
        yield 'absurd depth' => [['bed.cap.back' => '4 km'], 'bed.cap.back', 'not a unit'];
        yield 'soil and cap above the rim' => [['bed.cap.back' => '40 cm'], 'bed.cap.back', 'above the rim at 35.4 cm'];
        yield 'water line under the bed' => [['waterLine' => '5 cm'], 'bed.cap.front', 'the water line at 5 cm'];
        yield 'water above the rim' => [['waterLine' => '40 cm'], 'waterLine', 'the rim, which is 35.4 cm'];
        yield 'no water' => [['waterLine' => '0'], 'waterLine', 'above the bottom'];
        yield 'a tank of nothing' => [['vessel.length' => '0'], 'vessel.length', 'from 8 cm to 500 cm'];
        yield 'not a number' => [['vessel.height' => 'tall'], 'vessel.height', 'not a number'];
        yield 'a day of 30 hours' => [['light.hours' => '30'], 'light.hours', 'from 0 h to 24 h'];
        yield 'unknown plant' => [['plants.add' => 'plastic-palm'], 'plants.add', 'Choose a plant'];
        yield 'unknown animal' => [['animals.add' => 'kraken'], 'animals.add', 'Choose an animal'];
        yield 'unknown soil' => [['bed.soil.material' => 'moon-dust'], 'bed.soil.material', 'Choose a soil'];
        yield 'a soil as cap' => [['bed.cap.material' => 'bagged-topsoil'], 'bed.cap.material', 'Choose a cap'];
        yield 'half a stem' => [['plants.c1.pieces' => '2.5'], 'plants.c1.pieces', 'whole number'];
        yield 'no stems' => [['plants.c1.pieces' => '0'], 'plants.c1.pieces', 'Pieces: from 1 to 5000'];
        yield 'a clump that is gone' => [['plants.c9.pieces' => '3'], 'plants.c9.pieces', 'removed already'];
        yield 'a place that is none' => [['vessel.colour' => 'blue'], 'vessel.colour', 'does not know'];
        yield 'a bowl that cannot be' => [['vessel.shape' => 'bowl', 'vessel.mouth' => '90 cm'], 'vessel.mouth', 'wider than the bowl'];
        yield 'a teapot' => [['vessel.shape' => 'teapot'], 'vessel.shape', 'Choose a shape'];
        yield 'a front bowed out too far' => [['vessel.shape' => 'bow-front', 'vessel.bow' => '45 cm'], 'vessel.bow', 'half the length'];
        yield 'a swing that freezes' => [['site.swing' => '20', 'site.temperature' => '12 °C'], 'site.swing', 'would go from'];
        yield 'beyond the pole' => [['site.latitude' => '95'], 'site.latitude', 'from −70 to 70; this says 95'];
        yield 'the day after New Year’s Eve' => [['site.filledOn' => '366'], 'site.filledOn', 'from 1 to 365; this says 366'];
        yield 'a sky of its own' => [['site.aspect' => 'down'], 'site.aspect', 'daylight from'];
        yield 'half a lid' => [['site.lid' => 'perhaps'], 'site.lid', 'yes or no'];
        yield 'unknown stone' => [['hardscape.add' => 'kryptonite'], 'hardscape.add', 'Choose a stone'];
        yield 'more stone than room' => [
            ['hardscape.add' => 'granite', 'hardscape.h1.litres' => '40 L'],
            'hardscape.h1.litres',
            'more than half',
        ];
        yield 'a stone of nothing' => [
            ['hardscape.add' => 'granite', 'hardscape.h1.litres' => '0'],
            'hardscape.h1.litres',
            'from 0.005 L to 500 L',
        ];
        yield 'unknown amendment' => [['bed.doses.add' => 'gunpowder'], 'bed.doses.add', 'Choose an amendment'];
        yield 'a dose of less than nothing' => [['bed.doses.limestone' => '-3 g'], 'bed.doses.limestone', 'this says −3 g'];
        yield 'unknown water' => [['topUp.kind' => 'champagne'], 'topUp.kind', 'Choose a water'];
        yield 'a mix in no words' => [['bed.soil.mix' => 'coir and peat'], 'bed.soil.mix', 'coir 2, garden-compost 1'];
        yield 'soil mixed into a cap' => [['bed.cap.mix' => 'coir 1'], 'bed.cap.mix', 'Choose a cap'];
        yield 'a method of thought' => [['method' => 'stoics'], 'method', 'Choose a method'];
        yield 'upside down' => [['plants.c1.planting' => 'upside-down'], 'plants.c1.planting', 'from the list: planting depth'];
        yield 'many of what is none' => [['plants.add.plastic-palm' => '3'], 'plants.add.plastic-palm', 'Choose a plant'];
        yield 'so many that it bursts' => [['animals.add.betta-splendens' => 'lots'], 'animals.add.betta-splendens', 'not a number'];
        yield 'a sealed jar that is fed' => [['site.sealed' => 'yes', 'feeding.grams' => '0.1'], 'feeding.grams', 'never opened to feed'];
        yield 'empty name' => [['name' => ' '], 'name', '1 to 80'];
        yield 'endless name' => [['name' => str_repeat('long ', 40)], 'name', '1 to 80'];
        yield 'a name of no characters' => [['name' => "Gang\xFFway"], 'name', 'no text'];
        yield 'food without animals' => [['animals.a1.remove' => '1', 'feeding.grams' => '3'], 'feeding.grams', 'no animals'];
        yield 'boiling' => [['site.temperature' => '212 °F'], 'site.temperature', '38 °C'];
        yield 'unknown bacteria' => [['start.inoculum' => 'prayer'], 'start.inoculum', 'first bacteria'];
        yield 'last part of a mix taken out' => [['bed.soil.parts.bagged-topsoil' => '0'], 'bed.soil.parts.bagged-topsoil', 'none'];
        yield 'a part twice' => [['bed.soil.add' => 'bagged-topsoil'], 'bed.soil.add', 'in the mix already'];
    }

    /** @param array<string, string> $edits */
    #[DataProvider('refused')]
    public function testAbsurdPlansAreRefusedBesideTheirCause(array $edits, string $path, string $words): void
    {
        try {
            Sample::edit(Sample::planted(), $edits);
            self::fail('the edit was taken');
        } catch (InvalidPlan $refused) {
            $messages = $refused->messages(UnitSystem::Metric);
            self::assertArrayHasKey($path, $messages);
            self::assertStringContainsString($words, str_replace("\u{00A0}", ' ', $messages[$path]));
        }
    }

    public function testMessagesSpeakTheKeepersUnits(): void
    {
        try {
            Sample::edit(Sample::planted(), ['waterLine' => '20 in'], UnitSystem::Us);
            self::fail('the edit was taken');
        } catch (InvalidPlan $refused) {
            self::assertStringContainsString('13.9 in', str_replace("\u{00A0}", ' ', $refused->messages(UnitSystem::Us)['waterLine']));
        }
    }

    public function testEveryWithKeepsTheRulesAndTheOriginal(): void
    {
        $plan = Sample::planted();
        $low = [
            static fn (): Plan => $plan->withWaterLine(0.01),
            static fn (): Plan => $plan->withVessel(new GlassBox(0.6, 0.3, 0.1, 0.006)),
            static fn (): Plan => $plan->withClump(new Clump('c1', Sample::catalogue()->plants['salvinia-natans'], 0, 0.5)),
            static fn (): Plan => $plan->withClump(new Clump('A B', Sample::catalogue()->plants['salvinia-natans'], 3, 0.5)),
            static fn (): Plan => $plan->withName(''),
            static fn (): Plan => $plan->withWaterLine(\NAN),
            static fn (): Plan => $plan->withoutGroup('a1'),
        ];
        foreach ($low as $attempt) {
            try {
                $attempt();
                self::fail('a rule was broken');
            } catch (InvalidPlan $refused) {
                self::assertNotSame('', $refused->getMessage());
            }
        }
        self::assertSame(0.34, $plan->withWaterLine(0.34)->waterLine);
        self::assertSame(0.33, $plan->waterLine);
        self::assertCount(1, $plan->withoutClump('c1')->clumps);
        self::assertCount(2, $plan->clumps);
    }
}
