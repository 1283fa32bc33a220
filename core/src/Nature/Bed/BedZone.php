<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Bed;

use Olvek\Core\Basis\Field\Fields;
use Olvek\Core\Basis\Field\Item;
use Olvek\Core\Basis\Field\KindOf;
use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Basis\Field\OneOf;
use Olvek\Core\Basis\Unit\Dimension;

/**
 * A part of the floor where the bed is another: a foreground of sand, a bank, a terrace. It reaches from wall to wall or over a
 * rectangle of the floor, and lies level; there it takes the place of all layers.
 */
final readonly class BedZone implements Item
{
    /** In one plan. */
    public const MOST = 12;

    /**
     * @param string        $id       unique among the plan's zones
     * @param float         $left     share (0–1) of the length from the left at which it begins
     * @param float         $right    likewise, at which it ends
     * @param float         $front    share of the width from the front
     * @param float         $back     likewise
     * @param float         $soil     m of soil in it
     * @param float         $cap      m of cap on that
     * @param Material|null $soilKind null for the soil of the rest of the bed
     * @param Material|null $capKind  null for the cap of the rest of the bed
     */
    public function __construct(
        public string $id,
        #[OneOf('zone is', 'what it is for', at: 'kind', required: true)] public Purpose $purpose,
        #[Number('from the left', Dimension::Share, 0.0, 1.0, 'of the length', decimals: 0)] public float $left,
        #[Number('to', Dimension::Share, 0.0, 1.0, 'of the length from the left', decimals: 0)] public float $right,
        #[Number('from the front', Dimension::Share, 0.0, 1.0, 'of the width', decimals: 0)] public float $front,
        #[Number('to', Dimension::Share, 0.0, 1.0, 'of the width from the front', decimals: 0)] public float $back,
        #[Number('soil in it', Dimension::Length, 0.0, 1.0, 'm thick', decimals: 2)] public float $soil,
        #[Number('cap in it', Dimension::Length, 0.0, 1.0, 'm thick', decimals: 2)] public float $cap,
        #[KindOf('materials', 'a material', 'its soil', 'as in the rest', 'id of a material; null: as in the rest of the bed')]
        public ?Material $soilKind = null,
        #[KindOf(
            'materials',
            'a material',
            'its cap',
            'as in the rest',
            'id of a material; null: as in the rest of the bed',
            only: 'cap',
        )]
        public ?Material $capKind = null,
        #[OneOf('held by', 'what keeps it apart from its neighbours')] public Edge $edge = Edge::None,
    ) {
    }

    public function key(): string
    {
        return $this->id;
    }

    public function withSoil(Material $material): self
    {
        return Fields::with($this, ['soilKind' => $material]);
    }

    /** m of soil and cap. */
    public function depth(): float
    {
        return $this->soil + $this->cap;
    }

    /** Whether a place, in shares from the left and from the front, lies in it. */
    public function holds(float $place, float $row): bool
    {
        return $place >= $this->left && $place <= $this->right && $row >= $this->front && $row <= $this->back;
    }

    /** Whether two of them share some of the floor. */
    public function overlaps(self $other): bool
    {
        return min($this->right, $other->right) - max($this->left, $other->left) > 1e-9
            && min($this->back, $other->back) - max($this->front, $other->front) > 1e-9;
    }

    /** Share of the way from front to back at which its middle lies. */
    public function row(): float
    {
        return ($this->front + $this->back) / 2;
    }
}
