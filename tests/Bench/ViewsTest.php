<?php

declare(strict_types=1);

namespace Olvek\Tests\Bench;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Judgement\Margin\ClumpLight;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Plan\InvalidPlan;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Simulation\Run\Snapshot;
use Olvek\Service\Drawing\Elevation;
use Olvek\Service\Drawing\FloorPlan;
use Olvek\Service\Drawing\Handle;
use Olvek\Service\Drawing\HoursStrip;
use Olvek\Service\Drawing\Pen;
use Olvek\Service\Drawing\Shape;
use Olvek\Service\Drawing\View;
use Olvek\Service\Drawing\YearChart;
use Olvek\Service\Drawing\YearMarks;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Laws of the four views: within their frames, to scale, handles where their numbers are, words for what is shown. */
final class ViewsTest extends TestCase
{
    /** @return iterable<string, array{Plan}> the demo's plans in every vessel of the catalogue that can hold them */
    public static function tanks(): iterable
    {
        foreach (['waiting-hall', 'terrace'] as $name) {
            $plan = self::demo($name);
            foreach (Catalogue::shipped()->vessels as $preset) {
                try {
                    yield "$name in $preset->id" => [
                        $plan
                            ->withWaterLine(min($plan->waterLine, $preset->waterLine))
                            ->withVessel($preset->vessel)
                            ->withWaterLine($preset->waterLine),
                    ];
                } catch (InvalidPlan) {
                    continue;
                }
            }
        }
    }

    private static function demo(string $name): Plan
    {
        return (new PlanDocument(Catalogue::shipped()))->fromJson((string) file_get_contents(__DIR__."/../../demo/$name.plan.json"));
    }

    /** @param array<string, string> $edits */
    private static function edited(array $edits, string $name = 'waiting-hall'): Plan
    {
        return (new Editor(Catalogue::shipped()))->apply(self::demo($name), $edits, UnitSystem::Metric)->plan;
    }

    /** @return list<View> */
    private static function views(Plan $plan, UnitSystem $units = UnitSystem::Metric): array
    {
        $day = Snapshot::planned($plan);

        return [
            Elevation::front($plan, $day, ClumpLight::seen($plan, $day), $units),
            Elevation::side($plan, $day, $units),
            FloorPlan::of($plan, $day, $units),
            HoursStrip::of($plan, $day, $units),
        ];
    }

    /** @return array<string, Handle> by id */
    private static function handles(View $view): array
    {
        return array_column($view->handles, null, 'id');
    }

    /** Nothing that can be taken hold of, read or cut lies outside its drawing, whatever the vessel. */
    #[DataProvider('tanks')]
    public function testAllOfItLiesWithinItsFrame(Plan $plan): void
    {
        foreach (self::views($plan) as $view) {
            foreach ($view->handles as $handle) {
                self::assertTrue(
                    $handle->x >= 0 && $handle->x <= $view->width && $handle->y >= 0 && $handle->y <= $view->height,
                    "$view->name: $handle->label at $handle->x, $handle->y",
                );
                self::assertLessThanOrEqual((float) $handle->value + 1e-6, $handle->least, $handle->label);
                self::assertGreaterThanOrEqual((float) $handle->value - 0.011, $handle->most, $handle->label);
                self::assertNotSame(0.0, $handle->per);
            }
            foreach ($view->labels as $label) {
                self::assertTrue(
                    $label->x >= 0 && $label->x <= $view->width && $label->y > 0 && $label->y <= $view->height,
                    "$view->name: “{$label->text}” at $label->x, $label->y",
                );
            }
            self::assertNotSame([], $view->words, $view->name);
            self::assertSame(array_unique(array_column($view->handles, 'id')), array_column($view->handles, 'id'), 'ids are their own');
        }
    }

    /** Over all views of a page too, no id stands twice. */
    public function testIdsAreTheirOwnOverThePage(): void
    {
        $ids = array_merge(
            ...array_map(static fn (View $v): array => array_keys(self::handles($v)), self::views(self::demo('waiting-hall'))),
        );
        self::assertSame(array_unique($ids), $ids);
    }

    /** Soil lies on the floor or plate, leaves on soil, cap on leaves: each surface is drawn at its own height. */
    public function testLayersAreDrawnInTheirOrder(): void
    {
        $plan = self::edited(['method' => 'leaf-sandwich', 'bed.plate' => '2 cm']);
        $side = self::views($plan)[1];
        $lowest = static function (string $class) use ($side): float {
            $shape = array_values(array_filter($side->front, static fn (Shape $s): bool => $class === $s->class))[0];
            preg_match_all('/[ML ]?([\d.]+) ([\d.]+)/', $shape->d, $points);

            return max([0.0, ...array_map(floatval(...), $points[2])]);
        };
        self::assertGreaterThan($lowest('soil'), $lowest('void'));
        self::assertGreaterThan($lowest('litter'), $lowest('soil'));
        foreach (['plate', 'void', 'soil', 'litter', 'cap'] as $class) {
            self::assertContains($class, array_map(static fn (Shape $s): string => $s->class, $side->front));
        }
    }

    /** @param array<string, string> $edits */
    #[TestWith([['bed.core' => '0.8'], 'bag bag-lava', 'Bags of lava'])]
    #[TestWith([['bed.bagged' => 'yes'], 'bag', 'mesh bags'])]
    #[TestWith([['site.lid' => 'yes'], 'lid', ''])]
    #[TestWith([['site.aspect' => 'south'], 'light-sun', 'moles per square metre and day'])]
    #[TestWith([['hardscape.add' => 'granite'], 'stone', 'Granite'])]
    public function testWhatThePlanSaysIsDrawnAndSaid(array $edits, string $class, string $words): void
    {
        $front = self::views(self::edited($edits))[0];
        self::assertContains(
            $class,
            array_map(static fn (Shape $s): string => $s->class, [...$front->back, ...$front->plants, ...$front->front]),
        );
        self::assertStringContainsString($words, implode(' ', $front->words));
    }

    public function testWithoutALampThereIsNoneToMove(): void
    {
        [$front, , , $hours] = self::views(self::edited(['light.lumens' => '0']));
        self::assertArrayNotHasKey('h-light-height', self::handles($front));
        self::assertSame([], $hours->handles);
        self::assertStringContainsString('dark', implode(' ', self::views(self::edited(['light.hours' => '0']))[3]->words));
    }

    /**
     * Lit stretches on the strip add up to the day's hours: 298 units are 24 h.
     *
     * @param array<string, string> $edits
     */
    #[TestWith([['light.hours' => '8', 'light.pause' => '0', 'light.on' => '10'], 8.0])]
    #[TestWith([['light.hours' => '8', 'light.pause' => '3', 'light.on' => '9'], 8.0])]
    #[TestWith([['light.hours' => '10', 'light.on' => '20'], 10.0])]
    #[TestWith([['light.hours' => '24'], 24.0])]
    public function testTheStripIsLitForTheHoursOfTheDay(array $edits, float $hours): void
    {
        $strip = self::views(self::edited($edits))[3];
        $lit = array_filter($strip->front, static fn (Shape $s): bool => str_starts_with($s->class, 'lit'));
        $widths = array_map(static fn (Shape $s): float => 1 === preg_match('/h([\d.]+)/', $s->d, $m) ? (float) $m[1] : 0.0, $lit);
        self::assertEqualsWithDelta($hours, (array_sum($widths) / 452) * 24, 0.03);
        foreach ($strip->handles as $handle) {
            self::assertGreaterThanOrEqual(74, $handle->x);
            self::assertLessThanOrEqual(526, $handle->x);
        }
    }

    /** On the floor a clump's planted ring covers its planted area: πr² to the drawing's scale. */
    public function testTheFloorIsToScale(): void
    {
        $plan = self::edited(['plants.c1.pieces' => '40']);
        $floor = self::views($plan)[2];
        $mover = self::handles($floor)['h-floor-plants-c1-place'];
        // A step of one percent along the front is so many units: × 100 is the front.
        $scale = (100 * $mover->per) / $plan->vessel->length();
        $ring = array_values(array_filter($floor->plants, static fn (Shape $s): bool => 'clump-planted' === $s->class))[0];
        self::assertSame(1, preg_match('/a([\d.]+) /', $ring->d, $radius));
        self::assertEqualsWithDelta($plan->clumps[0]->area(), \M_PI * ((float) $radius[1] / $scale) ** 2, 0.02 * $plan->clumps[0]->area());
        self::assertNotNull($mover->second);
        self::assertSame('plants.c1.row', $mover->second['place']);
        self::assertLessThan(0, $mover->second['per'], 'the back lies up');
    }

    /**
     * @param array<string, string> $edits
     * @param non-empty-string      $zone
     */
    #[TestWith([['plants.c1.row' => '10'], 'fore'])]
    #[TestWith([['plants.c1.row' => '50'], 'mid'])]
    #[TestWith([['plants.c1.row' => '80', 'plants.c1.place' => '40'], 'back'])]
    #[TestWith([['plants.c1.row' => '100'], 'at the edge'])]
    public function testClumpsAreNamedByTheirZone(array $edits, string $zone): void
    {
        self::assertStringEndsWith($zone, self::handles(self::views(self::edited($edits))[2])['h-floor-plants-c1-place']->label);
    }

    public function testPegsStandClearOfOneAnother(): void
    {
        $plan = self::edited(['plants.c1.place' => '50', 'plants.c2.place' => '50', 'plants.c3.place' => '51', 'plants.c4.place' => '49']);
        $pegs = array_values(array_filter(self::views($plan)[0]->handles, static fn (Handle $h): bool => str_starts_with($h->form, 'peg')));
        foreach ($pegs as $n => $one) {
            foreach (\array_slice($pegs, $n + 1) as $other) {
                self::assertGreaterThan(11.0, hypot($one->x - $other->x, $one->y - $other->y), "$one->label, $other->label");
            }
        }
    }

    /** Marks stand over the days that they name; what comes after the year is left to the list. */
    public function testTheYearsMarksStandOverTheirDays(): void
    {
        $plan = self::edited(['events.add.holiday' => '100', 'plants.c1.day' => '20', 'animals.a1.day' => '500']);
        $chart = YearChart::of((new Runner($plan))->run(365));
        $marks = array_column(YearMarks::of($plan, $chart, UnitSystem::Metric), null, 'place');
        self::assertEqualsWithDelta($chart->left + (($chart->right - $chart->left) * 20) / 364, $marks['plants.c1.day']->x, 1e-9);
        self::assertArrayNotHasKey('animals.a1.day', $marks);
        foreach ($marks as $mark) {
            self::assertEqualsWithDelta($chart->x((int) $mark->value), $mark->x, 1e-9);
            self::assertEqualsWithDelta($chart->perDay(), $mark->per, 1e-9);
        }
        $cursor = Handle::cursor($chart, 77);
        self::assertSame([$chart->x(77), 'day 77', 364.0], [$cursor->x, $cursor->words(), $cursor->most]);
    }

    public function testNumbersOfADrawingAreShort(): void
    {
        self::assertSame(['0', '3', '-2.5', '12.3'], array_map(Pen::n(...), [0.0, 3.0, -2.46, 12.345]));
    }
}
