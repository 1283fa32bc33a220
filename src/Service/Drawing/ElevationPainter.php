<?php

declare(strict_types=1);

namespace Olvek\Service\Drawing;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Snapshot;

/** Draws one thing of an elevation. */
abstract readonly class ElevationPainter
{
    protected Plan $plan;
    protected Snapshot $day;
    protected UnitSystem $units;
    protected bool $side;
    protected bool $small;
    protected View $view;
    protected Frame $frame;
    protected Profile $profile;

    final public function __construct(protected ElevationCanvas $canvas)
    {
        $this->plan = $canvas->plan;
        $this->day = $canvas->day;
        $this->units = $canvas->units;
        $this->side = $canvas->side;
        $this->small = $canvas->small;
        $this->view = $canvas->view;
        $this->frame = $canvas->frame;
        $this->profile = $canvas->profile;
    }
}
