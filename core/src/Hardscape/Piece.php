<?php

declare(strict_types=1);

namespace Olvek\Core\Hardscape;

/** A stone or a piece of wood in the tank. */
final readonly class Piece
{
    /**
     * @param string $id     unique among the plan's pieces
     * @param float  $litres what it takes up
     * @param float  $place  0 (left) – 1 (right)
     * @param float  $row    0 (front) – 1 (back)
     * @param bool   $fixed  glued, tied or weighed down
     * @param bool   $soaked stood in water until it was proved sound
     */
    public function __construct(
        public string $id,
        public Kind $kind,
        public float $litres,
        public float $place,
        public float $row,
        public bool $fixed = false,
        public bool $soaked = false,
    ) {
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
}
