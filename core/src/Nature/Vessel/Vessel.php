<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Vessel;

use Olvek\Core\Basis\Unit\UnitSystem;

/**
 * Anything that holds water. Heights are in m above the inside of the bottom; volumes in L; areas in m².
 */
interface Vessel
{
    public function shape(): VesselShape;

    /**
     * What a tape measure reads, outside, by name.
     *
     * @return array<string, float> m
     */
    public function measures(): array;

    /** The inside seen from above, where it is widest. */
    public function outline(): Outline;

    /** True where it is round seen from above. */
    public function isRound(): bool;

    /** Outside length along the front, m. */
    public function outerLength(): float;

    /** Outside depth from front to back, m. */
    public function outerWidth(): float;

    /** Outside height, m. */
    public function outerHeight(): float;

    /** Inside length along the front, m. */
    public function length(): float;

    /** Inside depth from front to back, m. */
    public function width(): float;

    /** Inside height from the bottom to the rim, m. */
    public function height(): float;

    /** Inside length along the front of a level section, m. */
    public function lengthAt(float $height): float;

    /** Inside depth from front to back of a level section, m. */
    public function widthAt(float $height): float;

    /** Litres from the bottom to the rim. */
    public function grossVolume(): float;

    /** Litres below a level surface. */
    public function volumeBelow(float $height): float;

    /** Litres below a plane that rises evenly from $front to $back across the widest inside depth. */
    public function volumeUnderSlope(float $front, float $back): float;

    /** Area of a level section. */
    public function areaAt(float $height): float;

    /** Kilograms of the empty vessel. */
    public function mass(): float;

    /** Area that the vessel stands on. */
    public function footprint(): float;

    /** Wetted wall area from one level up to another. */
    public function wallArea(float $from, float $to): float;

    /**
     * What does not fit together among sound measures, if anything.
     *
     * @return array{string, \Closure(UnitSystem): string}|null the measure and what is wrong with it
     */
    public function broken(): ?array;
}
