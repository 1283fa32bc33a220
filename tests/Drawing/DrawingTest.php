<?php

declare(strict_types=1);

namespace Olvek\Tests\Drawing;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Judgement\Margin\ClumpLight;
use Olvek\Core\Judgement\Margin\Ledger;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Nature\Vessel\VesselShape;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Plan\InvalidPlan;
use Olvek\Core\Planning\Plan\Method;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Simulation\Run\Snapshot;
use Olvek\Service\Drawing\AnimalFigure;
use Olvek\Service\Drawing\Elevation;
use Olvek\Service\Drawing\FloorPlan;
use Olvek\Service\Drawing\Handle;
use Olvek\Service\Drawing\HoursStrip;
use Olvek\Service\Drawing\LedgerChart;
use Olvek\Service\Drawing\Pen;
use Olvek\Service\Drawing\PlantFigure;
use Olvek\Service\Drawing\Profile;
use Olvek\Service\Drawing\TopFigure;
use Olvek\Service\Drawing\View;
use Olvek\Service\Drawing\YearChart;
use PHPUnit\Framework\TestCase;

/** Laws of the drawings: to scale, whole, steady from one page to the next. */
final class DrawingTest extends TestCase
{
    private static function demo(string $name): Plan
    {
        return (new PlanDocument(Catalogue::shipped()))->fromJson((string) file_get_contents(__DIR__."/../../demo/$name.plan.json"));
    }

    private static function front(Plan $plan, UnitSystem $units = UnitSystem::Metric): View
    {
        $day = Snapshot::planned($plan);

        return Elevation::front($plan, $day, ClumpLight::seen($plan, $day), $units);
    }

    /** Each kind is drawn as itself: with one seed no two are alike. */
    public function testEveryPlantHasItsFigure(): void
    {
        $seen = [];
        foreach (Catalogue::shipped()->plants as $kind) {
            $figure = PlantFigure::draw($kind, 'c1', 100, 300, 60, 60, 4);
            self::assertNotSame([], $figure, $kind->id);
            self::assertEquals($figure, PlantFigure::draw($kind, 'c1', 100, 300, 60, 60, 4), 'the same seed draws the same plant');
            foreach ([...$figure, ...TopFigure::draw($kind, 'c1', 5, 50, 50, 20)] as $shape) {
                self::assertMatchesRegularExpression('/^[MLHVQTqahvlZ0-9 .\-]+$/', $shape->d, $kind->id);
            }
            $seen[serialize($figure)][] = $kind->id;
        }
        self::assertSame([], array_values(array_filter($seen, static fn (array $ids): bool => \count($ids) > 1)));
    }

    public function testEveryAnimalHasItsFigure(): void
    {
        $seen = [];
        foreach (Catalogue::shipped()->animals as $kind) {
            $figure = AnimalFigure::of($kind);
            $figure->add(10, 10, 20, -1);
            self::assertNotSame([], $figure->shapes(), $kind->id);
            foreach ($figure->shapes() as $shape) {
                self::assertMatchesRegularExpression('/^[MLQTahvlZ0-9 .\-]+$/', $shape->d, $kind->id);
            }
            $seen[serialize($figure->shapes())][] = $kind->id;
        }
        self::assertSame([], array_values(array_filter($seen, static fn (array $ids): bool => \count($ids) > 1)));
    }

    /** A shoal is drawn with as many paths as it has paints, however large it is. */
    public function testAShoalIsDrawnByItsPaints(): void
    {
        $count = static function (int $heads): int {
            $figure = AnimalFigure::of(Catalogue::shipped()->animals['paracheirodon-innesi']);
            for ($n = 0; $n < $heads; ++$n) {
                $figure->add(10.0 * $n, 10, 20, 1);
            }

            return \count($figure->shapes());
        };
        self::assertSame($count(1), $count(16));
    }

    /** A least killifish of 0.2 g is some 2–3 cm long (M). */
    public function testAnimalsAreToScale(): void
    {
        $length = AnimalFigure::length(Catalogue::shipped()->animals['heterandria-formosa']);
        self::assertGreaterThan(0.02, $length);
        self::assertLessThan(0.03, $length);
    }

    /** The front view's water is as wide to its height as the tank's: 58.8 cm by its water line. */
    public function testTheSectionIsToScale(): void
    {
        $plan = self::demo('waiting-hall');
        self::assertSame(1, preg_match('/^M([\d.]+) ([\d.]+)L([\d.]+) [\d.]+L[\d.]+ ([\d.]+)/', self::front($plan)->back[0]->d, $match));
        self::assertEqualsWithDelta(
            0.588 / $plan->waterLine,
            ((float) $match[3] - (float) $match[1]) / ((float) $match[4] - (float) $match[2]),
            0.01,
        );
        self::assertNotSame([], self::front($plan)->words);
    }

    /**
     * A handle's steps lie where its numbers are: moved by a centimetre it stands a centimetre to scale away; in either unit system the
     * same.
     */
    public function testHandlesAreToScale(): void
    {
        $plan = self::demo('waiting-hall');
        $lower = $plan->withWaterLine($plan->waterLine - 0.02);
        foreach ([[UnitSystem::Metric, 2.0], [UnitSystem::Us, 2.0 / 2.54]] as [$units, $two]) {
            $handle = self::handle(self::front($plan, $units), 'waterLine');
            $moved = self::handle(self::front($lower, $units), 'waterLine');
            self::assertEqualsWithDelta($handle->y - $handle->per * $two, $moved->y, 0.6);
            self::assertEqualsWithDelta((float) $handle->value - $two, (float) $moved->value, 0.011);
            self::assertLessThan($handle->most, $handle->least);
        }
    }

    /** What can be moved in one view stands where the other has it; everything that stands on the floor is on both. */
    public function testWhatIsOnOneViewIsOnTheOther(): void
    {
        foreach (['waiting-hall', 'ticket-window', 'galley', 'terrace'] as $name) {
            $plan = self::demo($name);
            $floor = FloorPlan::of($plan, Snapshot::planned($plan), UnitSystem::Metric);
            foreach (
                [
                    ...array_map(static fn ($c): string => "plants.$c->id.place", $plan->clumps),
                    ...array_map(static fn ($p): string => "hardscape.$p->id.place", $plan->pieces),
                ] as $place
            ) {
                self::assertSame(self::handle($floor, $place)->value, self::handle(self::front($plan), $place)->value);
            }
        }
    }

    /** A clump that has not been planted yet is not drawn, a later day shows it; algae and tannin show as paint. */
    public function testADayIsDrawnAsTheRunHasIt(): void
    {
        $plan = (new Editor(Catalogue::shipped()))->apply(self::demo('waiting-hall'), ['plants.c1.day' => '30'], UnitSystem::Metric)->plan;
        $trace = (new Runner($plan))->run(61);
        $drawn = static fn (Snapshot $day): View => Elevation::front($plan, $day, ClumpLight::seen($plan, $day), UnitSystem::Metric);
        self::assertLessThan(\count($drawn($trace->on(60))->plants), \count($drawn($trace->on(10))->plants));
        self::assertStringContainsString('planted on day 30', implode(' ', $drawn($trace->on(10))->words));
        $day = $trace->on(10);
        $foul = new Snapshot(10, $day->clumps, $day->heads, 0.2, 5.0, 3.0, 40.0, 12.0, 8.0, 1.0, 3.0);
        $classes = array_map(static fn ($s): string => $s->class, [...$drawn($foul)->back, ...$drawn($foul)->front]);
        self::assertSame([], array_diff(['film', 'film-brown', 'water-brown tint-5', 'water-green tint-5'], $classes));
    }

    /** Whatever a method puts in, every view of it can be drawn in numbers. */
    public function testEveryMethodInEveryShapeIsDrawn(): void
    {
        $editor = new Editor(Catalogue::shipped());
        $drawn = 0;
        foreach (Method::cases() as $n => $method) {
            $shape = VesselShape::cases()[$n % \count(VesselShape::cases())];
            $plan = $editor->apply(self::demo('waiting-hall'), ['feeding.grams' => '0'], UnitSystem::Metric)->plan;
            try {
                $plan = $editor->apply(
                    $plan,
                    ['method' => $method->value, 'vessel.shape' => $shape->value, 'bed.leaves.material' => 'fallen-leaves'],
                    UnitSystem::Metric,
                )->plan;
            } catch (InvalidPlan) {
                continue;
            }
            $day = Snapshot::planned($plan);
            foreach (
                [
                    self::front($plan),
                    Elevation::side($plan, $day, UnitSystem::Us),
                    FloorPlan::of($plan, $day, UnitSystem::Metric),
                    HoursStrip::of($plan, $day, UnitSystem::Metric),
                ] as $view
            ) {
                foreach ([...$view->back, ...$view->plants, ...$view->front] as $part) {
                    self::assertMatchesRegularExpression(
                        '/^[MLHVQTqahvlZ0-9 .\-]+$/',
                        $part->d,
                        "$method->value in $shape->value, $view->name",
                    );
                }
            }
            ++$drawn;
        }
        self::assertGreaterThanOrEqual(8, $drawn, 'most methods fit most shapes');
    }

    private static function handle(View $view, string $place): Handle
    {
        return array_column($view->handles, null, 'place')[$place] ?? self::fail("no handle for $place");
    }

    /** Every shape's strata lie within its walls: the soil of a bowl is narrower than its belly. */
    public function testRoundVesselsCurve(): void
    {
        foreach (Catalogue::shipped()->vessels as $preset) {
            $profile = Profile::front($preset->vessel);
            foreach ($profile->wall() as [$x, $height]) {
                self::assertGreaterThanOrEqual(-1e-9, $x, $preset->id);
                self::assertLessThanOrEqual($profile->width + 1e-9, $x, $preset->id);
                self::assertLessThanOrEqual($preset->vessel->height() + 1e-9, $height);
            }
            $middle = $profile->width / 2;
            self::assertEqualsWithDelta(0.0, $profile->bottom($middle), 1e-6, $preset->id);
            self::assertEqualsWithDelta($preset->vessel->lengthAt($profile->height / 2), $profile->at($profile->height / 2), 1e-12);
            foreach ($profile->stations() as $station) {
                self::assertLessThanOrEqual($profile->top($station) + 1e-6, $profile->bottom($station), $preset->id);
            }
        }
    }

    public function testThumbnailsAreWithoutWordsAndHandles(): void
    {
        $plan = self::demo('waiting-hall');
        $small = Elevation::thumbnail($plan, Snapshot::planned($plan));
        self::assertLessThan(\count(self::front($plan)->plants), \count($small->plants));
        self::assertSame([], [...$small->labels, ...$small->handles]);
    }

    public function testTheLedgersRowsFillTheSameWidth(): void
    {
        foreach (['waiting-hall', 'ticket-window', 'galley', 'terrace'] as $name) {
            $plan = self::demo($name);
            $chart = LedgerChart::of(Ledger::onDay($plan, 60));
            foreach ([$chart->in, $chart->out] as $row) {
                self::assertEqualsWithDelta(
                    LedgerChart::WIDTH,
                    array_sum(array_map(static fn ($bar): float => $bar->width, $row)),
                    4.0,
                    $name,
                );
            }
        }
    }

    public function testTheYearsMarksLieOnTheirStrips(): void
    {
        $trace = (new Runner(self::demo('terrace')))->run(365);
        $chart = YearChart::of($trace);
        self::assertCount(4, $chart->bands);
        foreach ($chart->bands as $band) {
            foreach ($band->curves as $curve) {
                self::assertGreaterThanOrEqual($chart->left - 0.01, $curve->markX);
                self::assertLessThanOrEqual($chart->right + 0.01, $curve->markX);
                self::assertGreaterThanOrEqual($band->y - 0.01, $curve->markY);
                self::assertLessThanOrEqual($band->y + $band->height + 0.01, $curve->markY);
            }
        }
        [$least, $day] = $trace->lowest('oxygen');
        self::assertStringContainsString(\sprintf('%.1f, day %d', $least, $day), $chart->bands[2]->curves[0]->words);
    }

    public function testThePensDiceIsFairEnough(): void
    {
        $pen = new Pen('seed');
        $throws = array_map(static fn (): float => $pen->between(0, 1), range(1, 4000));
        self::assertEqualsWithDelta(0.5, array_sum($throws) / 4000, 0.02);
        self::assertGreaterThanOrEqual(0.0, min($throws));
        self::assertLessThanOrEqual(1.0, max($throws));
    }
}
