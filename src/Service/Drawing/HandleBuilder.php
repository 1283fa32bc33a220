<?php

declare(strict_types=1);

namespace Olvek\Service\Drawing;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Planning\Plan\Field;

/** Makes a handle of a field of the plan, step by step: what it is, where it stands, how it moves, from what to what, in whose units. */
final class HandleBuilder
{
    private float $x = 0.0;
    private float $y = 0.0;
    private Axis $axis = Axis::Across;
    private float $per = 1.0;
    private float $step = 1.0;
    private float $stored = 0.0;
    private float $least = 0.0;
    private float $most = 1.0;
    private readonly Field $field;

    /** @param string $form how it is drawn: grip, peg, knob, edge, mark, cursor, and classes of its paint */
    public function __construct(private readonly string $place, private readonly string $label, private readonly string $form)
    {
        $this->field = Field::at($place) ?? throw new \LogicException("no field of the plan is called $place");
    }

    /** Where it stands, in the drawing's units. */
    public function at(float $x, float $y): self
    {
        [$this->x, $this->y] = [$x, $y];

        return $this;
    }

    /**
     * @param float $per  drawing units per plan's unit along the axis (negative where it rises up the page)
     * @param float $step in shown units
     */
    public function along(Axis $axis, float $per, float $step): self
    {
        [$this->axis, $this->per, $this->step] = [$axis, $per, $step];

        return $this;
    }

    /** The value in the plan's units, and the least and most that it may be moved to. */
    public function from(float $stored, float $least, float $most): self
    {
        [$this->stored, $this->least, $this->most] = [$stored, $least, $most];

        return $this;
    }

    /** @param string $prefix before its id, where a field has two handles on a page */
    public function in(UnitSystem $units, string $prefix = ''): Handle
    {
        $shown = fn (float $value): float => (float) $this->field->bare($value, $units);
        // Shown units are straight lines through those of the plan.
        $slope = ($shown($this->stored + 1000.0) - $shown($this->stored - 1000.0)) / 2000;

        return new Handle(
            "h-$prefix".str_replace('.', '-', $this->place),
            $this->place,
            $this->label,
            $this->form,
            $this->axis,
            $this->x,
            $this->y,
            $this->field->bare($this->stored, $units),
            $shown($this->least),
            $shown($this->most),
            $this->step,
            $this->per / $slope,
            $this->field->isClock() ? '' : $this->field->unit($units)->symbol(),
            $this->field->show($this->stored, $units),
            $this->field->isClock(),
        );
    }
}
