<?php

declare(strict_types=1);

namespace Olvek\Core\Hardscape;

use Olvek\Core\Field\Item;
use Olvek\Core\Field\Number;
use Olvek\Core\Field\YesNo;
use Olvek\Core\Unit\Dimension;

/** A stone or a piece of wood in the tank. */
final readonly class Piece implements Item
{
    /** In one plan. */
    public const MOST = 40;

    /**
     * @param string $id     unique among the plan's pieces
     * @param float  $litres of room that it fills
     * @param float  $place  0 (left) – 1 (right)
     * @param float  $row    0 (front) – 1 (back)
     * @param bool   $fixed  glued, tied or weighed down
     * @param bool   $soaked stood in water until it was proved sound
     */
    public function __construct(
        public string $id,
        public Kind $kind,
        #[Number('volume', Dimension::Volume, 0.005, 500.0, 'litres of room that it fills', decimals: 2)]
        public float $litres,
        #[Number('left to right', Dimension::Share, 0.0, 1.0, '0 left, 1 right', decimals: 0)]
        public float $place,
        #[Number('front to back', Dimension::Share, 0.0, 1.0, '0 front, 1 back', decimals: 0)]
        public float $row,
        #[YesNo('secured', 'glued, tied or weighed down', 'loose', 'glued, tied or weighed down', when: 'wantsFixing')]
        public bool $fixed = false,
        #[YesNo('soak test', 'passed', 'still to do', 'passed the soak test', when: 'wantsSoaking')]
        public bool $soaked = false,
    ) {
    }

    public function key(): string
    {
        return $this->id;
    }

    public function mass(): float
    {
        return $this->litres * $this->kind->density->value;
    }

    /** m² on which bacteria settle. */
    public function surface(): float
    {
        return $this->litres / 1000 * $this->kind->surface->value;
    }

    public function wantsFixing(): bool
    {
        return $this->kind->floats();
    }

    public function wantsSoaking(): bool
    {
        return $this->kind->soakDays->value > 0;
    }
}
