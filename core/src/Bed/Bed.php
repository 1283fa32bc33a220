<?php

declare(strict_types=1);

namespace Olvek\Core\Bed;

use Olvek\Core\Field\Number;
use Olvek\Core\Field\Section;
use Olvek\Core\Field\YesNo;
use Olvek\Core\Unit\Dimension;
use Olvek\Core\Vessel\Vessel;

/**
 * What lies on the bottom, from below: a plate with water under it, soil (with bags of lava in it, and kept back from the front pane
 * where wanted), a layer of leaves, a cap. Anything may be missing.
 */
final readonly class Bed
{
    /** m above its lowest point at which a round bottom counts as floor. J. */
    private const LOWEST_FLOOR = 0.02;

    /**
     * @param list<Dose> $doses   what is mixed into or laid under the soil
     * @param Layer|null $leaves  dead leaves between soil and cap
     * @param float      $plate   m of water under a plate on which all else lies
     * @param float      $core    litres of inert bags that lift the soil from within
     * @param float      $setback m from the front pane in which cap takes the soil's place
     * @param bool       $bagged  soil tied into mesh bags, so that it cannot be stirred up
     */
    public function __construct(
        #[Section('soil', label: 'soil')] public ?Layer $soil,
        #[Section('cap', label: 'cap')] public ?Layer $cap,
        #[Section('doses.*', Dose::class)] public array $doses = [],
        #[Section('leaves', label: 'leaves')] public ?Layer $leaves = null,
        #[Number('gap under the plate', Dimension::Length, 0.0, 0.5, 'm of water under a plate on which the bed lies', decimals: 2),]
        public float $plate = 0.0,
        #[Number('lava bags under the slope', Dimension::Volume, 0.0, 2000.0, 'litres of inert bags within the soil'),]
        public float $core = 0.0,
        #[Number(
            'soil kept back from the front',
            Dimension::Length,
            0.0,
            5.0,
            'm from the front pane in which cap takes the soil’s place',
            decimals: 2,
        ),]
        public float $setback = 0.0,
        #[YesNo('soil in bags', 'tied into mesh bags', 'loose', 'soil tied into mesh bags')] public bool $bagged = false,
    ) {
    }

    /** The same bed with other soil and leaves in their places. */
    public function withContents(?Layer $soil, ?Layer $leaves): self
    {
        return new self($soil, $this->cap, $this->doses, $leaves, $this->plate, $this->core, $this->setback, $this->bagged);
    }

    /** Height of the upper face over the bottom at a pane, m. */
    public function depth(Side $side): float
    {
        return $this->underCap($side) + ($this->cap?->depth($side) ?? 0.0);
    }

    /** Height of the soil's upper face at a pane, m. */
    public function soilTop(Side $side): float
    {
        return $this->plate + ($this->soil?->depth($side) ?? 0.0);
    }

    /** Height at a pane on which the cap lies, m. */
    public function underCap(Side $side): float
    {
        return $this->soilTop($side) + ($this->leaves?->depth($side) ?? 0.0);
    }

    /** Height of the upper face at a share (0–1) of the way from front to back, m. */
    public function at(float $row): float
    {
        return $this->depth(Side::Front) + ($this->depth(Side::Back) - $this->depth(Side::Front)) * $row;
    }

    public function meanDepth(): float
    {
        return $this->at(0.5);
    }

    /** m² of its upper face; without a bed, of the vessel's bottom, which where it is round is computed a little above its lowest point. */
    public function face(Vessel $vessel): float
    {
        return max(
            $vessel->areaAt(min($this->meanDepth(), $vessel->height())),
            $vessel->areaAt(min(self::LOWEST_FLOOR, $vessel->height() / 2)),
        );
    }

    /** Litres of all that lies below the upper face, water under a plate included. */
    public function volume(Vessel $vessel): float
    {
        return $vessel->volumeUnderSlope($this->depth(Side::Front), $this->depth(Side::Back));
    }

    /** Litres of water under the plate. */
    public function voidVolume(Vessel $vessel): float
    {
        return $this->plate > 0 ? $vessel->volumeBelow($this->plate) : 0.0;
    }

    /** Litres of soil as laid. */
    public function soilVolume(Vessel $vessel): float
    {
        return max(0.0, $this->soilRoom($vessel) - $this->heldBack($vessel) - $this->core);
    }

    /** Litres between bottom or plate and the soil's upper face. */
    public function soilRoom(Vessel $vessel): float
    {
        return null === $this->soil
            ? 0.0
            : $vessel->volumeUnderSlope($this->soilTop(Side::Front), $this->soilTop(Side::Back)) - $this->voidVolume($vessel);
    }

    /** Litres of leaves as laid. */
    public function leafVolume(Vessel $vessel): float
    {
        return null === $this->leaves
            ? 0.0
            : $vessel->volumeUnderSlope($this->underCap(Side::Front), $this->underCap(Side::Back)) -
                    $vessel->volumeUnderSlope($this->soilTop(Side::Front), $this->soilTop(Side::Back));
    }

    /** Litres of cap as laid: what lies above soil and leaves, and before the soil where that is kept back. */
    public function capVolume(Vessel $vessel): float
    {
        return $this->volume($vessel) -
            $vessel->volumeUnderSlope($this->underCap(Side::Front), $this->underCap(Side::Back)) +
            $this->heldBack($vessel);
    }

    /**
     * What of the bed rots and feeds, each with its litres.
     *
     * @return list<array{Mix, float}>
     */
    public function contents(Vessel $vessel): array
    {
        $contents = [];
        foreach ([[$this->soil, $this->soilVolume($vessel)], [$this->leaves, $this->leafVolume($vessel)]] as [$layer, $litres]) {
            if (null !== $layer && $litres > 0) {
                $contents[] = [$layer->mix, $litres];
            }
        }

        return $contents;
    }

    /** Litres in front of soil that is kept back from the pane. */
    private function heldBack(Vessel $vessel): float
    {
        if (null === $this->soil || $this->setback <= 0 || null === $this->cap) {
            return 0.0;
        }
        $share = min(1.0, $this->setback / $vessel->width());
        $mean = $this->soil->meanDepth();

        return $mean > 0 ? min(1.0, ($share * $this->soil->at($share / 2)) / $mean) * $this->soilRoom($vessel) : 0.0;
    }
}
