<?php

declare(strict_types=1);

namespace Olvek\Tests\Bench;

use Olvek\Bench\Drawing\AnimalFigure;
use Olvek\Bench\Drawing\LedgerChart;
use Olvek\Bench\Drawing\Pen;
use Olvek\Bench\Drawing\PlantFigure;
use Olvek\Bench\Drawing\Profile;
use Olvek\Bench\Drawing\Section;
use Olvek\Bench\Drawing\YearChart;
use Olvek\Core\Animal\Shape;
use Olvek\Core\Catalogue\Catalogue;
use Olvek\Core\Margin\ClumpLight;
use Olvek\Core\Margin\Ledger;
use Olvek\Core\Plan\Plan;
use Olvek\Core\Plan\PlanDocument;
use Olvek\Core\Plant\Role;
use Olvek\Core\Run\Runner;
use Olvek\Core\Unit\UnitSystem;
use PHPUnit\Framework\TestCase;

/** Laws of the drawings: to scale, whole, steady from one page to the next. */
final class DrawingTest extends TestCase
{
    private static function demo(string $name): Plan
    {
        return (new PlanDocument(Catalogue::shipped()))->fromJson((string) file_get_contents(__DIR__."/../../demo/$name.plan.json"));
    }

    private static function section(Plan $plan): Section
    {
        return Section::of($plan, ClumpLight::onDay($plan, 28), UnitSystem::Metric, 28);
    }

    public function testEveryRoleAndShapeHasItsFigure(): void
    {
        foreach (Role::cases() as $role) {
            $figure = PlantFigure::draw($role, 'c1', 100, 300, 120, 60);
            self::assertNotSame([], $figure, $role->value);
            self::assertEquals($figure, PlantFigure::draw($role, 'c1', 100, 300, 120, 60), 'the same seed draws the same plant');
            foreach ($figure as $shape) {
                self::assertMatchesRegularExpression('/^[MLHVQqahvlZ0-9 .\-]+$/', $shape->d, $role->value);
            }
        }
        foreach (Shape::cases() as $shape) {
            self::assertStringNotContainsString('N', AnimalFigure::draw($shape, 10, 10, 20, -1)->d);
        }
    }

    /** A least killifish of 0.2 g is some 2–3 cm long (M). */
    public function testAnimalsAreToScale(): void
    {
        $length = AnimalFigure::length(Catalogue::shipped()->animals['heterandria-formosa']);
        self::assertGreaterThan(0.02, $length);
        self::assertLessThan(0.03, $length);
    }

    /** The front view's water is as wide to its height as the tank's: 58.8 cm by 33.5 cm. */
    public function testTheSectionIsToScale(): void
    {
        $plan = self::demo('waiting-hall');
        self::assertSame(1, preg_match('/^M([\d.]+) ([\d.]+)L([\d.]+) [\d.]+L[\d.]+ ([\d.]+)/', self::section($plan)->back[0]->d, $match));
        self::assertEqualsWithDelta(0.588 / 0.335, ((float) $match[3] - (float) $match[1]) / ((float) $match[4] - (float) $match[2]), 0.005);
        self::assertNotSame([], self::section($plan)->words);
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

    public function testThumbnailsShowTheFrontOnly(): void
    {
        $plan = self::demo('waiting-hall');
        $light = ClumpLight::onDay($plan, 28);
        $small = Section::thumbnail($plan, $light);
        self::assertLessThan(\count(self::section($plan)->plants), \count($small->plants));
        self::assertSame([], $small->labels);
    }

    public function testTheLedgersRowsFillTheSameWidth(): void
    {
        foreach (['waiting-hall', 'ticket-window', 'galley', 'terrace'] as $name) {
            $plan = self::demo($name);
            $chart = LedgerChart::of(Ledger::onDay($plan, 60));
            foreach ([$chart->in, $chart->out] as $row) {
                self::assertEqualsWithDelta(LedgerChart::WIDTH, array_sum(array_map(static fn ($bar): float => $bar->width, $row)), 4.0, $name);
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
