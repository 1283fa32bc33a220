<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Bed;

use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Basis\Unit\Dimension;

/**
 * Materials by parts of volume. Properties that belong to a volume are weighted by volume,
 * those that belong to a mass by mass.
 */
final readonly class Mix
{
    /** @var non-empty-list<array{Material, float}> material and its share of the volume, shares adding up to 1 */
    public array $shares;

    /**
     * @param list<array{Material, float}> $parts material and its number of parts by volume, as the keeper gave them
     *
     * @throws \InvalidArgumentException when there is no part or a part is not above zero
     */
    public function __construct(
        #[Number('parts of the mix', Dimension::Count, 0.0, 1000.0, 'by volume', decimals: 2, at: 'parts.*')]
        public array $parts,
    ) {
        $sum = array_sum(array_column($parts, 1));
        if ([] === $parts || $sum <= 0 || min(array_column($parts, 1)) <= 0) {
            throw new \InvalidArgumentException('a mix needs at least one part above zero');
        }
        $this->shares = array_map(static fn (array $part): array => [$part[0], $part[1] / $sum], $parts);
    }

    public static function pure(Material $material): self
    {
        return new self([[$material, 1.0]]);
    }

    /** kg dry per L. */
    public function density(): float
    {
        return $this->byVolume(static fn (Material $m): float => $m->density->value);
    }

    public function porosity(): float
    {
        return $this->byVolume(static fn (Material $m): float => $m->porosity->value);
    }

    /** Share of its volume that is lime. */
    public function lime(): float
    {
        return $this->byVolume(static fn (Material $m): float => $m->lime->value);
    }

    /** Whether all of it lies in grains, so that no cap is wanted. */
    public function isGranular(): bool
    {
        return [] === array_filter($this->shares, static fn (array $share): bool => !$share[0]->isGranular());
    }

    /** mm: grain of most of it; 0 where it has none. */
    public function grain(): float
    {
        return $this->byVolume(static fn (Material $m): float => $m->grain->value);
    }

    public function retardation(): float
    {
        return $this->byVolume(static fn (Material $m): float => $m->retardation->value);
    }

    /** mg N per L of mix that is soluble, nitrate among it. */
    public function flushNitrogenPerLitre(): float
    {
        return $this->byVolume(static fn (Material $m): float => $m->density->value * $m->flushNitrogen->value);
    }

    /** mg N per L of mix. */
    public function nitratePerLitre(): float
    {
        return $this->byVolume(static fn (Material $m): float => $m->density->value * $m->flushNitrogen->value * $m->nitrateShare->value);
    }

    /** mg N per L of mix. */
    public function slowNitrogenPerLitre(): float
    {
        return $this->byVolume(static fn (Material $m): float => $m->density->value * $m->slowNitrogen->value);
    }

    /**
     * mg (or g) per L of mix of something that materials hold per kg dry.
     *
     * @param \Closure(Material): float $perKilogram
     */
    public function perLitre(\Closure $perKilogram): float
    {
        return $this->byVolume(static fn (Material $m): float => $m->density->value * $perKilogram($m));
    }

    /** @param \Closure(Material): float $property */
    private function byVolume(\Closure $property): float
    {
        $sum = 0.0;
        foreach ($this->shares as [$material, $share]) {
            $sum += $share * $property($material);
        }

        return $sum;
    }
}
