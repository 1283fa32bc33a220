<?php

declare(strict_types=1);

namespace Olvek\Service\Drawing;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Judgement\Margin\ClumpLight;
use Olvek\Core\Judgement\Standing\Standing;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Snapshot;

/**
 * The tank from the front, cut through the bed's middle, and its bed from front to back, cut across; each to its own scale, as a run has it
 * on a day.
 */
final readonly class Elevation
{
    /** Width of a large drawing, and air around the vessel in it. */
    private const LARGE = 720.0;
    private const MARGIN = 16.0;

    private function __construct(private ElevationCanvas $canvas)
    {
    }

    public static function front(Plan $plan, Snapshot $day, ClumpLight $light, UnitSystem $units): View
    {
        $drawing = new self(new ElevationCanvas($plan, $day, $units, false, false, false, 600, 368, 74, 74, 38));
        $canvas = $drawing->draw();
        (new ElevationMeasures($canvas))->frontMeasures($light);
        (new ElevationHandles($canvas))->frontHandles();
        $canvas->view->floor = ['left' => $canvas->frame->x(0.0), 'right' => $canvas->frame->x($canvas->profile->width)];

        return $canvas->view;
    }

    public static function side(Plan $plan, Snapshot $day, UnitSystem $units): View
    {
        $canvas = (new self(new ElevationCanvas($plan, $day, $units, true, false, false, 600, 300, 96, 96, 38)))->draw();
        (new ElevationMeasures($canvas))->sideMeasures();
        (new ElevationHandles($canvas))->sideHandles();

        return $canvas->view;
    }

    /** The front of a tank as it is on a day, large, without measures. */
    public static function plain(Plan $plan, Snapshot $day, UnitSystem $units): View
    {
        return (new self(ElevationCanvas::still($plan, $day, $units, self::LARGE, self::MARGIN)))->draw()->view;
    }

    /** The same of a running tank, with what is off or coming marked where it is. */
    public static function running(Plan $plan, Standing $standing, UnitSystem $units): View
    {
        $canvas = (new self(ElevationCanvas::still($plan, $standing->snapshot, $units, self::LARGE, self::MARGIN)))->draw();
        (new ElevationMarks($canvas))->mark($standing);

        return $canvas->view;
    }

    /** The front view alone, small, without words: for the shelf. */
    public static function thumbnail(Plan $plan, Snapshot $day): View
    {
        return (new self(new ElevationCanvas($plan, $day, UnitSystem::Metric, false, true, false, 300, 200, 8, 8, 8)))->draw()->view;
    }

    private function draw(): ElevationCanvas
    {
        $water = new ElevationWater($this->canvas);
        $life = new ElevationLife($this->canvas);
        $water->clip();
        $water->water();
        (new ElevationLight($this->canvas))->lamp();
        (new ElevationBed($this->canvas))->bed();
        $life->hardscape();
        $life->plants();
        $life->animals();
        $water->film();
        $water->glass();

        return $this->canvas;
    }
}
