<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Planning\Plan\Practice;

use Olvek\Core\Basis\Field\Fields;
use Olvek\Core\Judgement\Margin\Judge;
use Olvek\Core\Keeping\Care\Care;
use Olvek\Core\Planning\Buying\Sheet;
use Olvek\Core\Planning\Buying\ShoppingList;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Core\Planning\Plan\PlanFields;
use Olvek\Core\Planning\Plan\Quantities;
use Olvek\Core\Planning\Steps\Steps;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Simulation\Run\UsualCare;
use Olvek\Core\Tests\Sample;
use Olvek\Core\Tests\Simulation\Run\Books;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Each set-up is written, read, judged, stepped, listed and run; together they leave nothing unsaid that a plan can say. */
final class PracticeTest extends TestCase
{
    /** Places that no plan of a keeper's needs to differ in: what the rest of them tells already. */
    private const ELSEWHERE = ['name', 'feeding.phosphorus', 'feeding.iron'];

    /** @return iterable<string, array{Plan}> */
    public static function plans(): iterable
    {
        foreach (Practice::plans() as $name => $plan) {
            yield $name => [$plan];
        }
    }

    public function testThereAreTwenty(): void
    {
        self::assertGreaterThanOrEqual(20, \count(Practice::plans()));
    }

    #[DataProvider('plans')]
    public function testItIsWrittenAndReadUnchanged(Plan $plan): void
    {
        $document = new PlanDocument(Sample::catalogue());
        self::assertEquals($plan, $document->fromJson($document->toJson($plan)));
    }

    /** Older plans say nothing of what is new: they are read as they were, and mean what they meant. */
    public function testPlansOfBeforeAreReadUnchanged(): void
    {
        $document = new PlanDocument(Sample::catalogue());
        $plan = Sample::edit(Sample::planted(), ['hardscape.add' => 'granite', 'plants.add' => 'salvinia-natans']);
        $data = $document->toArray($plan);
        unset($data['stand'], $data['equipment'], $data['zones']);
        $new = [
            'light' => ['dawn', 'night', 'secondLumens', 'secondWatts', 'secondKind', 'secondHours', 'secondOn'],
            'bed' => ['base', 'dressing', 'plateFrom', 'plateTo', 'pots', 'potLitres'],
            'preparation' => ['order', 'firstChange', 'firstChanges'],
        ];
        foreach ($new as $section => $keys) {
            self::assertIsArray($data[$section]);
            self::assertSame([], array_diff($keys, array_keys($data[$section])), 'they are written');
            $data[$section] = array_diff_key($data[$section], array_flip($keys));
        }
        $lists = [
            'plants' => ['seat', 'raised', 'emersion', 'keeping', 'part', 'source'],
            'animals' => ['sexes', 'quarantine', 'source'],
            'hardscape' => ['length', 'width', 'height', 'fixing', 'source'],
        ];
        foreach ($lists as $list => $keys) {
            self::assertIsArray($data[$list]);
            foreach ($data[$list] as $n => $item) {
                self::assertIsArray($item);
                $data[$list][$n] = array_diff_key($item, array_flip($keys));
            }
        }
        self::assertEquals($plan, $document->fromArray($data));
    }

    #[DataProvider('plans')]
    public function testItIsJudgedSteppedAndListed(Plan $plan): void
    {
        $judgement = Judge::judge($plan);
        foreach ($judgement->margins as $margin) {
            self::assertTrue(is_finite($margin->value), $margin->id->value);
            self::assertNotSame('', $margin->sentence);
        }
        $steps = Steps::of($plan);
        $ids = array_column($steps, 'id');
        self::assertSame($ids, array_unique($ids));
        self::assertContains(Steps::FILL, $ids);
        foreach ($steps as $step) {
            self::assertMatchesRegularExpression('/^[a-z0-9-]{2,40}$/', $step->id);
            self::assertGreaterThan(0, $step->minutes);
        }
        $wants = array_column(ShoppingList::of($plan), 'id');
        self::assertSame($wants, array_unique($wants));
        $laid = array_sum(array_column(Sheet::of($plan, Sample::catalogue())->materials, 'laid'));
        self::assertEqualsWithDelta(array_sum(array_column(Quantities::of($plan)->materials, 'litres')), $laid, 1e-9);
        $tasks = Care::of($plan, $judgement->trace);
        $first = $plan->firstAnimals();
        foreach ($tasks as $task) {
            if ('feed' === $task->id) {
                self::assertGreaterThanOrEqual($first, $task->day, 'nobody feeds an empty tank');
            }
        }
    }

    #[DataProvider('plans')]
    public function testItsBooksCloseEveryDayOfAYear(Plan $plan): void
    {
        Books::close($plan, 365, UsualCare::events());
    }

    /** Every place of a plan that holds a number, a word or a yes is somewhere other than by default. */
    public function testEveryFieldIsUsed(): void
    {
        $plain = self::said(Sample::planted());
        $said = [];
        foreach (Practice::plans() as $plan) {
            foreach (self::said($plan) as $place => $values) {
                if ($values !== ($plain[$place] ?? null)) {
                    $said[$place] = true;
                }
            }
        }
        $places = array_filter(
            array_keys(PlanFields::of()->properties()),
            static fn (string $place): bool => !\in_array($place, self::ELSEWHERE, true) && !str_starts_with($place, 'vessel.'),
        );
        self::assertSame([], array_values(array_diff($places, array_keys($said))));
    }

    public function testEveryEventIsUsed(): void
    {
        $used = [];
        foreach (Practice::plans() as $plan) {
            foreach ($plan->events as $event) {
                $used[$event->kind->value] = true;
            }
        }
        $all = array_column(EventKind::plannable(), 'value');
        self::assertSame([], array_values(array_diff($all, array_keys($used))));
    }

    /** Every kind of the catalogue can be placed, and planted or stocked so the plan still stands. */
    public function testEveryKindCanBePlaced(): void
    {
        $catalogue = Sample::catalogue();
        $roomy = Sample::edit(Plan::starting('All kinds', $catalogue), [
            'vessel.length' => '3 m',
            'vessel.width' => '1 m',
            'vessel.height' => '80 cm',
            'waterLine' => '75 cm',
        ]);
        foreach (['plants', 'animals', 'hardscape'] as $list) {
            foreach (array_keys($catalogue->table($list)) as $kind) {
                $plan = Sample::edit($roomy, ["$list.add" => (string) $kind]);
                self::assertNotSame([], Steps::of($plan));
                self::assertNotSame([], ShoppingList::of($plan));
            }
        }
        foreach ($catalogue->materials as $id => $material) {
            $base = Sample::edit($roomy, ['bed.base.material' => (string) $id]);
            self::assertGreaterThan(0, $base->bed->contents($base->vessel)[0][1]);
        }
        foreach (array_keys($catalogue->amendments) as $dose) {
            self::assertCount(1, Sample::edit($roomy, ['bed.doses.add' => (string) $dose])->bed->doses);
        }
    }

    public function testSinglesHaveNoYoungAndPairsDo(): void
    {
        $plan = Practice::plans()['Banks left and right, a path between'];
        $heads = static fn (Plan $p): float => (new Runner($p))->run(300)->columns['heads'][299];
        $both = Sample::edit($plan, ['animals.a1.sexes' => 'mixed']);
        self::assertLessThanOrEqual(6.0, $heads($plan));
        self::assertGreaterThan($heads($plan), $heads($both));
    }

    /**
     * What a plan says, by place with items as "*".
     *
     * @return array<string, list<mixed>>
     */
    private static function said(Plan $plan): array
    {
        $said = [];
        self::collect($plan, '', $said);

        return $said;
    }

    /** @param array<string, list<mixed>> $said */
    private static function collect(object $holder, string $path, array &$said): void
    {
        foreach (Fields::of($holder::class) as $property) {
            $key = $property->key();
            $place = match (true) {
                str_starts_with($key, '/') => substr($key, 1),
                '' === $key => $path,
                default => '' === $path ? $key : "$path.$key",
            };
            $said[$place][] = $property->of($holder);
        }
        foreach (Fields::nested($holder::class) as $nested) {
            foreach (enum_exists($nested->class) ? [] : $nested->of($holder, $path) as $inner) {
                self::collect($inner, $nested->under($path), $said);
            }
        }
    }
}
