<?php

declare(strict_types=1);

namespace Olvek\Core\Plan;

use Olvek\Core\Plant\Kind;

/** One kind of plant in one place. */
final readonly class Clump
{
    /**
     * @param string $id    unique among the plan's clumps
     * @param float  $place 0 (left) – 1 (right): middle of the clump along the front
     * @param float  $row   0 (front) – 1 (back): middle of the clump across it
     * @param int    $day   on which it is planted, after filling
     * @param Grown  $grown how it was grown before
     */
    public function __construct(
        public string $id,
        public Kind $kind,
        public int $pieces,
        public float $place,
        public float $row = 0.5,
        public Planting $planting = Planting::Right,
        public int $day = 0,
        public Grown $grown = Grown::Unknown,
    ) {
    }

    public function withKind(Kind $kind): self
    {
        return new self($this->id, $kind, $this->pieces, $this->place, $this->row, $this->planting, $this->day, $this->grown);
    }

    public function withPieces(int $pieces): self
    {
        return new self($this->id, $this->kind, $pieces, $this->place, $this->row, $this->planting, $this->day, $this->grown);
    }

    /** g dry as planted. */
    public function biomass(): float
    {
        return $this->pieces * $this->kind->dryPerPiece->value;
    }

    /** g wet as planted. */
    public function wetMass(): float
    {
        return $this->biomass() * $this->kind->wetRatio->value;
    }

    /** m² of floor or surface as planted. */
    public function area(): float
    {
        return $this->pieces * $this->kind->spread->value / 1e4;
    }
}
