<?php

declare(strict_types=1);

namespace Olvek\Core\Plan;

use Olvek\Core\Field\Item;
use Olvek\Core\Field\Number;
use Olvek\Core\Field\OneOf;
use Olvek\Core\Plant\Kind;
use Olvek\Core\Unit\Dimension;

/** One kind of plant in one place. */
final readonly class Clump implements Item
{
    /** In one plan. */
    public const MOST_CLUMPS = 60;

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
        #[Number('pieces', Dimension::Count, 1, 5000, decimals: 0)] public int $pieces,
        #[Number('left to right', Dimension::Share, 0.0, 1.0, 'middle of the clump along the front: 0 left, 1 right', decimals: 0),]
        public float $place,
        #[Number(
            'front to back',
            Dimension::Share,
            0.0,
            1.0,
            'middle of the clump across: 0 front, 1 back; the kind’s usual place where left out',
            decimals: 0,
        ),]
        public float $row = 0.5,
        #[OneOf('planting depth', 'deep: down into raw soil, or with the rhizome buried')] public Planting $planting = Planting::Right,
        #[Number('planted on day', Dimension::Count, 0, 365, 'on which it is planted, after filling', decimals: 0)] public int $day = 0,
        #[OneOf('grown before', 'how it was grown before: leaves made in air are lost under water')] public Grown $grown = Grown::Unknown,
    ) {
    }

    public function key(): string
    {
        return $this->id;
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
        return ($this->pieces * $this->kind->spread->value) / 1e4;
    }
}
