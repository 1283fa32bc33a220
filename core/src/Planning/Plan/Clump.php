<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Plan;

use Olvek\Core\Basis\Field\Fields;
use Olvek\Core\Basis\Field\Item;
use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Basis\Field\OneOf;
use Olvek\Core\Basis\Supply\Source;
use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Nature\Plant\PlantKind;
use Olvek\Core\Nature\Plant\PlantRole;
use Olvek\Core\Planning\Event\Dated;

/** One kind of plant in one place. */
final readonly class Clump implements Item
{
    /** In one plan. */
    public const MOST_CLUMPS = 60;
    /** Of one clump. */
    public const MOST_PIECES = Dated::MOST_PIECES;

    /**
     * @param string $id    unique among the plan's clumps
     * @param float  $place 0 (left) – 1 (right): middle of the clump along the front
     * @param float  $row   0 (front) – 1 (back): middle of the clump across it
     * @param int    $day   on which it is planted, after filling
     * @param Grown  $grown how it was grown before
     */
    public function __construct(
        public string $id,
        public PlantKind $kind,
        #[Number('pieces', Dimension::Count, 1, self::MOST_PIECES, decimals: 0)] public int $pieces,
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
        #[OneOf('planting depth', 'deep: down into raw soil, or with the rhizome buried')]
        public PlantingMethod $planting = PlantingMethod::Right,
        #[Number('planted on day', Dimension::Count, 0, Plan::LAST_DAY, 'on which it is planted, after filling', decimals: 0)]
        public int $day = 0,
        #[OneOf('grown before', 'how it was grown before: leaves made in air are lost under water')] public Grown $grown = Grown::Unknown,
        #[OneOf('fixed', 'where and how it is fixed', when: 'hasSeat')] public Seat $seat = Seat::Usual,
        #[Number('fixed above the bed by', Dimension::Length, 0.0, 3.0, 'm over the ground at which it is fixed', when: 'isOffBed')]
        public float $raised = 0.0,
        #[OneOf('stands', 'whether it stands under water', when: 'canEmerge')] public Emersion $emersion = Emersion::Under,
        #[OneOf('floaters', 'what keeps them from closing the surface', when: 'floats')]
        public FloaterKeeping $keeping = FloaterKeeping::Free,
        #[Number('their part of the surface', Dimension::Share, 0.05, 1.0, 'that they may cover', decimals: 0, when: 'isKept')]
        public float $part = 0.5,
        #[OneOf('comes from', 'where it comes from')] public Source $source = Source::Shop,
    ) {
    }

    public function key(): string
    {
        return $this->id;
    }

    public function withKind(PlantKind $kind): self
    {
        return Fields::with($this, ['kind' => $kind]);
    }

    public function withPieces(int $pieces): self
    {
        return Fields::with($this, ['pieces' => $pieces]);
    }

    public function floats(): bool
    {
        return $this->kind->role->coversSurface();
    }

    /** Whether its kind could stand above water as well as under it. */
    public function canEmerge(): bool
    {
        return match ($this->kind->role) {
            PlantRole::Epiphyte, PlantRole::Moss, PlantRole::Carpet, PlantRole::Rosette, PlantRole::FastStem, PlantRole::SlowStem => true,
            default => false,
        };
    }

    public function hasSeat(): bool
    {
        return !$this->floats() && PlantRole::FloatingStem !== $this->kind->role;
    }

    /** Whether it is fixed to something over the ground. */
    public function isOffBed(): bool
    {
        return $this->seat->isOffBed();
    }

    public function isKept(): bool
    {
        return $this->floats() && FloaterKeeping::Free !== $this->keeping;
    }

    /** Share of the surface that it may cover, where it floats. */
    public function mayCover(): float
    {
        return $this->isKept() ? $this->part : 1.0;
    }

    /** True where its leaves are in air: full lamp light and the air's CO2. */
    public function hasLeavesInAir(): bool
    {
        return $this->kind->role->hasLeavesInAir() || Emersion::Under !== $this->emersion;
    }

    /** Share of its leaves that hangs over the water, or is in it, and shades it. */
    public function overWater(): float
    {
        return Emersion::Under === $this->emersion ? $this->kind->role->overWater() : $this->emersion->overWater();
    }

    /** True where it has a place in the bed that others may fill. */
    public function standsOnFloor(): bool
    {
        return $this->kind->role->standsOnFloor() && !$this->isOffBed() && Emersion::Wicking !== $this->emersion;
    }

    /** Share of what its kind loses after the move that it loses: what goes on growing in air keeps the leaves that it made there. J. */
    public function melts(): float
    {
        return Emersion::Under === $this->emersion || Grown::Air !== $this->grown ? $this->grown->melt() : Grown::Water->melt();
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
