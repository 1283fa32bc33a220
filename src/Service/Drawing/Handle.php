<?php

declare(strict_types=1);

namespace Olvek\Service\Drawing;

/**
 * Something in a drawing that can be taken hold of: a slider, for mouse, touch, keys and screen readers alike. Its value is the number
 * that stands in the typed field of the same place, in the keeper's units (hours for a time of day); a second one
 * moves along the other axis.
 */
final readonly class Handle
{
    /**
     * @param string                    $id     unique in the page
     * @param string                    $form   how it is drawn: grip, peg, knob, edge, mark, cursor, and classes of its paint
     * @param string                    $shown  the value as the typed field shows it, a time of day as 9:30
     * @param bool                      $clock  whether it is a time of day
     * @param array<string, int|float|string>|null $second place, value, least, most, step, per of the other axis
     */
    public function __construct(
        public string $id,
        public string $place,
        public string $label,
        public string $form,
        public Axis $axis,
        public float $x,
        public float $y,
        public string $value,
        public float $least,
        public float $most,
        public float $step,
        public float $per,
        public string $unit,
        public string $shown,
        public bool $clock = false,
        public ?array $second = null,
    ) {
    }

    /** @param string $form how it is drawn */
    public static function of(string $place, string $label, string $form): HandleBuilder
    {
        return new HandleBuilder($place, $label, $form);
    }

    /** The same handle, movable along the other axis too. */
    public function with(self $other): self
    {
        return new self(
            $this->id,
            $this->place,
            $this->label,
            $this->form,
            $this->axis,
            $this->x,
            $this->y,
            $this->value,
            $this->least,
            $this->most,
            $this->step,
            $this->per,
            $this->unit,
            $this->shown,
            $this->clock,
            [
                'place' => $other->place,
                'label' => $other->label,
                'value' => $other->value,
                'least' => $other->least,
                'most' => $other->most,
                'step' => $other->step,
                'per' => $other->per,
                'unit' => $other->unit,
            ],
        );
    }

    /** The cursor of a year: moves along its days, and changes nothing in the plan. */
    public static function cursor(YearChart $year, int $day): self
    {
        return new self(
            'h-day',
            '@day',
            'day shown',
            'cursor',
            Axis::Across,
            $year->x($day),
            $year->foot + 8,
            (string) $day,
            0.0,
            (float) ($year->days - 1),
            1.0,
            $year->perDay(),
            '',
            (string) $day,
        );
    }

    /** What a screen reader says of where it stands. */
    public function words(): string
    {
        $one = 'cursor' === $this->form ? "day $this->shown" : trim("$this->shown $this->unit");

        return null === $this->second
            ? $one
            : \sprintf('%s along the front, %s from the front pane', $one, trim($this->second['value'].' '.$this->second['unit']));
    }
}
