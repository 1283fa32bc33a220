<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Planning\Plan;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Planning\Plan\Choice;
use Olvek\Core\Planning\Plan\InvalidPlan;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/**
 * Every further place of a plan that can be edited: what is typed is stored as meant, in either system; what cannot be is refused beside
 * it.
 */
final class PlacesTest extends TestCase
{
    private static function plan(): Plan
    {
        return Sample::edit(Sample::planted(), ['hardscape.add' => 'root-wood', 'bed.leaves.material' => 'fallen-leaves']);
    }

    private static function stored(Plan $plan, string $place): mixed
    {
        $at = (new PlanDocument(Sample::catalogue()))->toArray($plan);
        foreach (explode('.', $place) as $key) {
            self::assertIsArray($at);
            $at = array_is_list($at) ? array_column($at, null, 'id')[$key] ?? null : $at[$key] ?? null;
        }

        return $at;
    }

    #[TestWith(['light.height', '4 in', 0.1016])]
    #[TestWith(['light.on', '9.5', 9.5])]
    #[TestWith(['light.on', '2:30 pm', 14.5])]
    #[TestWith(['light.lumens', '18 W', 1710.0])]
    #[TestWith(['light.watts', '18 W', 18.0])]
    #[TestWith(['light.watts', '1200 lm', 0.0])]
    #[TestWith(['water.gh', '178.48 ppm', 10.0])]
    #[TestWith(['light.pause', '3', 3.0])]
    #[TestWith(['light.allDay', '14', 14])]
    #[TestWith(['light.startShare', '60', 0.6])]
    #[TestWith(['light.stepShare', '5 %', 0.05])]
    #[TestWith(['light.held', 'no', false])]
    #[TestWith(['site.bears', '220.46226 lb', 100.0])]
    #[TestWith(['site.above', '1 ft', 0.3048])]
    #[TestWith(['bed.plate', '1 in', 0.0254])]
    #[TestWith(['bed.core', '1 L', 1.0])]
    #[TestWith(['bed.setback', '2 cm', 0.02])]
    #[TestWith(['bed.bagged', 'yes', true])]
    #[TestWith(['bed.leaves.front', '0.5 in', 0.0127])]
    #[TestWith(['plants.c1.day', '10', 10])]
    #[TestWith(['hardscape.h1.fixed', 'yes', true])]
    #[TestWith(['hardscape.h1.soaked', 'yes', true])]
    #[TestWith(['preparation.treatment', 'stood', 'stood'])]
    #[TestWith(['preparation.filling', 'hose', 'hose'])]
    #[TestWith(['preparation.rinsed', 'yes', true])]
    #[TestWith(['preparation.sieved', 'yes', true])]
    #[TestWith(['plants.c1.day', '1095', 1095])]
    #[TestWith(['start.way', 'borrowed', 'borrowed'])]
    public function testWhatIsTypedIsStoredAsMeant(string $place, string $typed, float|int|bool|string $meant): void
    {
        // A text with its unit means the same to every keeper.
        foreach (1 === preg_match('/[a-z%]/i', $typed) ? UnitSystem::cases() : [UnitSystem::Metric] as $units) {
            $plan = Sample::edit(self::plan(), [$place => $typed], $units);
            $stored = self::stored($plan, $place);
            \is_float($meant) ? self::assertEqualsWithDelta($meant, $stored, 1e-4) : self::assertSame($meant, $stored);
            $document = new PlanDocument(Sample::catalogue());
            self::assertEquals($plan, $document->fromJson($document->toJson($plan)), 'and comes back from its document');
        }
    }

    #[TestWith(['light.height', '2 m', 'rim'])]
    #[TestWith(['light.height', 'high', 'number'])]
    #[TestWith(['light.on', '25', 'Lights on at: from 0'])]
    #[TestWith(['light.allDay', '90', 'from 0 to 60'])]
    #[TestWith(['light.allDay', '2.5', 'whole number'])]
    #[TestWith(['light.startShare', '2', 'Starting strength: from 5'])]
    #[TestWith(['light.stepShare', '150', 'Weekly increase: from 0'])]
    #[TestWith(['light.held', 'perhaps', 'yes or no'])]
    #[TestWith(['site.bears', '-1', 'from 0'])]
    #[TestWith(['site.above', '20 m', 'from 0'])]
    #[TestWith(['bed.bagged', 'some', 'yes or no'])]
    #[TestWith(['bed.leaves.front', '-1', 'from 0'])]
    #[TestWith(['bed.leaves.material', 'granite', 'from the list'])]
    #[TestWith(['bed.soil.material', '711', 'from the list'])]
    #[TestWith(['bed.soil.mix', '1 1, 2 2', 'from the list'])]
    #[TestWith(['plants.c1.day', '1096', 'Planted on day: from 0 to 1095'])]
    #[TestWith(['hardscape.h1.fixed', 'well', 'yes or no'])]
    #[TestWith(['preparation.treatment', 'prayer', 'tap water'])]
    #[TestWith(['preparation.filling', 'rain', 'filled'])]
    #[TestWith(['start.way', 'luck', 'way of starting'])]
    #[TestWith(['light.colour', 'blue', 'does not know'])]
    public function testWhatCannotBeIsRefusedBesideItsPlace(string $place, string $typed, string $why): void
    {
        try {
            Sample::edit(self::plan(), [$place => $typed]);
            self::fail('taken');
        } catch (InvalidPlan $refused) {
            $messages = $refused->messages(UnitSystem::Metric);
            self::assertSame([$place], array_keys($messages));
            self::assertStringContainsString($why, $messages[$place]);
        }
    }

    /** Nothing in a document that an older Olvek wrote is missed. */
    public function testOlderDocumentsStillRead(): void
    {
        $document = new PlanDocument(Sample::catalogue());
        $data = $document->toArray(Sample::planted());
        unset($data['method'], $data['preparation'], $data['events'], $data['topUp'], $data['hardscape']);
        $data['light'] = ['lumens' => 2000.0, 'hours' => 8.0, 'landing' => 0.6];
        $data['bed'] = array_intersect_key((array) $data['bed'], ['soil' => 1, 'cap' => 1]);
        $data['start'] = ['inoculum' => 'nothing'];
        $data['site'] = ['temperature' => 23.0];
        self::assertEquals(Sample::planted(), $document->fromArray($data));
    }

    public function testEveryChoiceShowsWhatIsStored(): void
    {
        foreach (
            [
                'site.aspect',
                'site.lid',
                'bed.bagged',
                'light.held',
                'preparation.treatment',
                'preparation.filling',
                'start.way',
                'start.inoculum',
                'plants.c1.planting',
                'hardscape.h1.fixed',
            ] as $place
        ) {
            $choice = Choice::at($place);
            self::assertNotNull($choice, $place);
            self::assertArrayHasKey($choice->show(self::stored(self::plan(), $place)), $choice->options, $place);
        }
        self::assertNull(Choice::at('light.hours'));
    }
}
