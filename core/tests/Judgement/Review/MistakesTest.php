<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Judgement\Review;

use Olvek\Core\Judgement\Review\Mistake;
use Olvek\Core\Judgement\Review\Mistakes;
use Olvek\Core\Planning\Change\Changes;
use Olvek\Core\Planning\Change\SetNumber;
use Olvek\Core\Planning\Plan\HeatLoss;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The mistakes that keepers name (C), each made on purpose, and mended by what is offered. */
final class MistakesTest extends TestCase
{
    /** Everything decided, nothing to regret. */
    private static function careful(): Plan
    {
        return Sample::edit(Sample::planted(), [
            'plants.add.salvinia-natans' => '2',
            'site.lid' => 'yes',
            'site.bears' => '120 kg',
            'preparation.treatment' => 'dechlorinated',
            'preparation.filling' => 'plate',
            'preparation.rinsed' => 'yes',
            'preparation.sieved' => 'yes',
            'start.way' => 'waiting',
            'feeding.fromDay' => '35',
            'plants.c2.day' => '10',
            'waterLine' => '32 cm',
        ]);
    }

    /** A stone of 20 × 20 cm where the stems stand. */
    private const STONE = [
        'hardscape.add' => 'granite',
        'hardscape.h1.place' => '50',
        'hardscape.h1.length' => '20 cm',
        'hardscape.h1.width' => '20 cm',
        'plants.c1.place' => '50',
        'plants.c1.row' => '50',
    ];
    private const HEATED = ['site.temperature' => '19 °C', 'equipment.heating' => 'tank', 'equipment.target' => '25 °C'];

    /** @return list<string> */
    private static function ids(Plan $plan): array
    {
        return array_map(static fn (Mistake $m): string => $m->id, Mistakes::in($plan));
    }

    public function testACarefulPlanHasOnlyTheFloatersReminder(): void
    {
        self::assertSame(['floaters'], self::ids(self::careful()));
    }

    /** @return iterable<string, array{string, array<string, string>}> the mistake, and the edits by which it is made */
    public static function made(): iterable
    {
        yield 'a support too weak' => ['support', ['site.bears' => '50 kg']];
        yield 'a support that nobody knows' => ['support-unknown', ['site.bears' => '0']];
        yield 'too tall to reach into' => ['reach', ['vessel.height' => '75 cm', 'waterLine' => '70 cm']];
        yield 'no room above' => ['room-above', ['site.above' => '10 cm']];
        yield 'water up to the rim' => ['rim', ['waterLine' => '35.2 cm']];
        yield 'no lid over jumpers' => ['lid', ['site.lid' => 'no', 'animals.add' => 'oryzias-latipes']];
        yield 'soil deeper than its cap' => ['cap', ['bed.soil.back' => '6 cm']];
        yield 'soil without a cap' => ['no-cap', ['bed.cap.material' => 'none']];
        yield 'root tabs forgotten' => ['tabs', ['bed.soil.material' => 'none']];
        yield 'a carpet before the soil' => ['setback', ['bed.setback' => '8 cm', 'plants.add' => 'eleocharis-acicularis']];
        yield 'sand unrinsed' => ['rinse', ['preparation.rinsed' => 'no']];
        yield 'chips in the soil' => ['sieve', ['preparation.sieved' => 'no']];
        yield 'wood that floats' => ['float-h1', ['hardscape.add' => 'root-wood']];
        yield 'wood untested' => ['soak-h1', ['hardscape.add' => 'root-wood']];
        yield 'a stone where a cylinder has no floor' => [
            'outside-hardscape',
            ['vessel.shape' => 'cylinder', 'hardscape.add' => 'granite', 'hardscape.h1.place' => '0.05', 'hardscape.h1.row' => '0.05'],
        ];
        yield 'plants left in the corners' => [
            'outside-plants',
            ['vessel.shape' => 'cylinder', 'plants.c1.place' => '0', 'plants.c1.row' => '1'],
        ];
        yield 'light for two tanks' => ['bright', ['light.lumens' => '5000']];
        yield 'no light at all' => ['dark', ['light.lumens' => '0']];
        yield 'tender kinds on day one' => ['sensitive-c4', ['plants.add.pogostemon-helferi' => '5']];
        yield 'down in raw soil' => ['deep-c1', ['plants.c1.planting' => 'deep']];
        yield 'a rhizome buried' => ['deep-c4', ['plants.add' => 'anubias-nana']];
        yield 'hard to get out' => ['removal-c4', ['plants.add' => 'sagittaria-subulata']];
        yield 'nothing fast' => ['lacks-fast', ['plants.c1.remove' => '1', 'plants.c3.remove' => '1']];
        yield 'nothing that exports' => ['lacks-export', ['plants.c3.remove' => '1']];
        yield 'no root feeder' => ['lacks-roots', ['plants.c2.remove' => '1']];
        yield 'chlorine' => ['chlorine', ['preparation.treatment' => 'undecided']];
        yield 'chloramine' => ['chloramine', ['preparation.treatment' => 'stood']];
        yield 'filling undecided' => ['filling', ['preparation.filling' => 'undecided']];
        yield 'poured in' => ['pour', ['preparation.filling' => 'pour']];
        yield 'all on one day' => ['all-at-once', ['animals.a1.count' => '20', 'animals.add' => 'neocaridina-davidi']];
        yield 'fish first' => ['order', ['animals.a1.day' => '21', 'animals.add' => 'neocaridina-davidi']];
        yield 'fed in week one' => ['fed-early', ['animals.a1.day' => '21', 'feeding.fromDay' => '22']];
        yield 'no way of starting' => ['way', ['start.way' => 'undecided']];
        yield 'too soon' => ['too-soon', ['animals.a1.day' => '4']];
        yield 'a stand too short' => ['stand-length', ['stand.length' => '59.9 cm']];
        yield 'a stand too narrow' => ['stand-width', ['stand.width' => '34.9 cm']];
        yield 'no room for cables' => ['behind', ['stand.behind' => '2.9 cm']];
        yield 'a lamp under a shelf' => ['lamp-fits', ['light.height' => '60 cm']];
        yield 'thin panes' => ['pane', ['vessel.glass' => '4 mm']];
        yield 'a plant against the ceiling' => ['headroom-c4', ['site.above' => '25 cm', 'plants.add.spathiphyllum-wallisii' => '1']];
        yield 'a terrace that nothing holds' => ['step-z1', ['zones.add' => 'terrace', 'zones.z1.edge' => 'none']];
        yield 'gravel beside sand' => [
            'rolls-z1',
            ['zones.add' => 'foreground', 'zones.z1.edge' => 'none', 'zones.z1.cap' => '5 cm', 'bed.cap.material' => 'coarse-gravel'],
        ];
        yield 'planted under a stone' => ['under-c1', self::STONE];
        yield 'fast and far' => ['far-c1', ['vessel.width' => '70 cm', 'plants.c1.row' => '90']];
        yield 'a weak heater' => ['heater-weak', [...self::HEATED, 'equipment.watts' => '10']];
        yield 'a heater that boils' => ['heater-strong', [...self::HEATED, 'equipment.watts' => '300']];
        yield 'a torrent' => ['torrent', ['equipment.device' => 'internal-filter', 'equipment.flow' => '600 L']];
        yield 'floaters under a waterfall' => [
            'tossed',
            ['equipment.device' => 'hang-on-filter', 'equipment.flow' => '350 L', 'plants.add.lemna-minor' => '1'],
        ];
        yield 'backflow' => ['backflow', ['equipment.device' => 'air-stone']];
        yield 'gas driven out' => ['gas-driven-out', ['care.gas' => '15', 'site.movement' => 'lively']];
        yield 'a box to sink' => ['sink-large', ['preparation.filling' => 'sink']];
        yield 'no night' => ['night-light', ['light.night' => '50']];
    }

    /** @param array<string, string> $edits */
    #[DataProvider('made')]
    public function testItIsSeenAndMended(string $id, array $edits): void
    {
        $plan = Sample::edit(self::careful(), $edits);
        if ('deep-c4' === $id) {
            $plan = Sample::edit($plan, ['plants.c4.planting' => 'deep']);
        }
        $found = array_column(Mistakes::in($plan), null, 'id');
        self::assertArrayHasKey($id, $found, implode(', ', array_keys($found)));
        $mistake = $found[$id];
        if ([] !== $mistake->edits()) {
            self::assertNotNull($mistake->fix);
            self::assertNotContains($id, self::ids(Sample::edit($plan, $mistake->edits())), 'what is offered mends it');
        }
    }

    /** @return iterable<string, array{array<string, string>, string, string, string}> edits before, a place, values named and not */
    public static function limits(): iterable
    {
        yield 'stand-length' => [[], 'stand.length', '59.9 cm', '60 cm'];
        yield 'stand-width' => [[], 'stand.width', '34.9 cm', '35 cm'];
        yield 'behind' => [[], 'stand.behind', '29 mm', '30 mm'];
        yield 'lamp-fits' => [[], 'light.height', '501 mm', '500 mm'];
        // 32 cm of water over 59.1 cm, rim free: β 0.425, so 4.34 mm; framed: β 0.3016, 3.65 mm.
        yield 'pane' => [[], 'vessel.glass', '4.3 mm', '4.4 mm'];
        yield 'pane, framed' => [['stand.braced' => 'yes'], 'vessel.glass', '3.6 mm', '3.7 mm'];
        // The bed is 5.5 cm deep at the front and 6.5 cm at the back, 6.25 cm where a terrace has its middle; 2.5 cm over that.
        $loose = ['zones.add' => 'terrace', 'zones.z1.edge' => 'none', 'zones.z1.soil' => '0'];
        yield 'step-z1' => [$loose, 'zones.z1.cap', '9 cm', '8.7 cm'];
        // Hands reach 65 cm: 28.5 cm down to the bed of this tank is 58.4 cm along.
        yield 'far-c1' => [['vessel.width' => '70 cm', 'vessel.glass' => '10 mm'], 'plants.c1.row', '90', '80'];
        // 58.8 × 12.01 × 35.4 cm are 25 L.
        yield 'sink-large' => [['preparation.filling' => 'sink'], 'vessel.width', '13.3 cm', '13.1 cm'];
    }

    /** @param array<string, string> $before */
    #[DataProvider('limits')]
    public function testEachLimitFromBothSides(array $before, string $place, string $named, string $not): void
    {
        $plan = [] === $before ? self::careful() : Sample::edit(self::careful(), $before);
        $id = explode(',', (string) $this->dataName())[0];
        self::assertContains($id, self::ids(Sample::edit($plan, [$place => $named])), $named);
        self::assertNotContains($id, self::ids(Sample::edit($plan, [$place => $not])), $not);
    }

    /** What depends on the water that the tank holds, by sums of its own. */
    public function testLimitsOfHeatFlowAndNight(): void
    {
        $plan = self::careful();
        $net = $plan->netWater();
        $flow = static fn (float $times): array => [
            'equipment.device' => 'internal-filter',
            'equipment.flow' => \sprintf('%.3f L', $times * $net),
            'equipment.media' => '0',
        ];
        self::assertContains('torrent', self::ids(Sample::edit($plan, $flow(10.01))));
        self::assertNotContains('torrent', self::ids(Sample::edit($plan, $flow(9.99))));
        // Floaters keep 0.8 of their growth in 1 − 0.6 (1 − e^(−0.7 n / 8)): n = ln(3/2) · 8 / 0.7 = 4.63.
        $tossed = log(1.5) * 8 / 0.7;
        self::assertContains('tossed', self::ids(Sample::edit($plan, $flow($tossed + 0.01))));
        self::assertNotContains('tossed', self::ids(Sample::edit($plan, $flow($tossed - 0.01))));
        self::assertNotContains('tossed', self::ids(Sample::edit($plan, $flow(10.01))), 'told by the torrent');
        // The lively half of the way: 1 + 3.5 (1 − e^(−0.7 n / 3)) = 2.5 at n = 2.4.
        $driven = log(3.5 / 2) * 3 / 0.7;
        self::assertContains('gas-driven-out', self::ids(Sample::edit($plan, ['care.gas' => '15', ...$flow($driven + 0.01)])));
        self::assertNotContains('gas-driven-out', self::ids(Sample::edit($plan, ['care.gas' => '15', ...$flow($driven - 0.01)])));
        // A lumen gives 0.6 / 70 / m² of surface.
        $one = 70 * $plan->surface() / 0.6;
        self::assertContains('night-light', self::ids(Sample::edit($plan, ['light.night' => \sprintf('%.3f', 1.01 * $one)])));
        self::assertNotContains('night-light', self::ids(Sample::edit($plan, ['light.night' => \sprintf('%.3f', 0.99 * $one)])));
        $heated = Sample::edit($plan, self::HEATED);
        $watts = static fn (float $short): array => [
            'equipment.watts' => \sprintf('%.3f', HeatLoss::watts($heated, 25.0 - $short, 19.0)),
        ];
        self::assertContains('heater-weak', self::ids(Sample::edit($heated, $watts(0.51))));
        self::assertNotContains('heater-weak', self::ids(Sample::edit($heated, $watts(0.49))));
        self::assertContains('heater-strong', self::ids(Sample::edit($heated, ['equipment.watts' => \sprintf('%.3f', 2.01 * $net)])));
        self::assertNotContains('heater-strong', self::ids(Sample::edit($heated, ['equipment.watts' => \sprintf('%.3f', 1.99 * $net)])));
    }

    /** A finger's breadth, 15 mm, beyond the glass of a cylinder: towards a corner, at equal shares along and across. */
    public function testTheGlassIsNotWatchedByTheMillimetre(): void
    {
        $plan = Sample::edit(self::careful(), ['vessel.shape' => 'cylinder']);
        $across = $plan->vessel->length();
        foreach (['0.014' => false, '0.016' => true] as $beyond => $named) {
            $share = 0.5 - ($across / 2 + (float) $beyond) / ($across * \M_SQRT2);
            $moves = [new SetNumber('plants.c1.place', $share), new SetNumber('plants.c1.row', $share)];
            $mistakes = self::ids(Sample::edit($plan, Changes::typed($moves)));
            self::assertSame($named, \in_array('outside-plants', $mistakes, true), $beyond.' m');
        }
    }
}
