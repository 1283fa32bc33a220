<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Bed;

use Olvek\Core\Basis\Unit\Estimate;

/** A soil, sand or gravel as it lies in a tank. */
final readonly class Material
{
    /**
     * @param Estimate $density      kg dry per L as laid
     * @param Estimate $porosity     share of pores
     * @param Estimate $flushNitrogen mg N per kg dry, soluble or gone within weeks
     * @param Estimate $nitrateShare share of it that is nitrate, which nothing holds
     * @param Estimate $slowNitrogen mg N per kg dry, released over years
     * @param Estimate $quickCarbon  g C per kg dry that rots within months
     * @param Estimate $slowCarbon   g C per kg dry that rots over years
     * @param Estimate $retardation  how many times slower ammonium moves than in free pore water
     * @param Estimate $phosphorus   mg P per kg dry that roots can draw
     * @param Estimate $potassium    mg K per kg dry that roots can draw
     * @param Estimate $iron         mg Fe per kg dry that roots can draw
     * @param Estimate $acidity      meq of alkalinity per kg dry that it absorbs while fresh
     * @param Estimate $lime         share of it that is calcite or aragonite
     * @param Estimate $grain        mm, of what lies in grains; 0 for what crumbles or lies in threads
     */
    public function __construct(
        public string $id,
        public string $name,
        public MaterialRole $role,
        public Estimate $density,
        public Estimate $porosity,
        public Estimate $flushNitrogen,
        public Estimate $nitrateShare,
        public Estimate $slowNitrogen,
        public Estimate $quickCarbon,
        public Estimate $slowCarbon,
        public Estimate $retardation,
        public Estimate $phosphorus,
        public Estimate $potassium,
        public Estimate $iron,
        public Estimate $acidity,
        public Estimate $lime,
        public Estimate $grain,
        public string $remarks,
    ) {
    }

    /** Whether it is grains that hold themselves: it needs no cap, clouds little, and rolls. */
    public function isGranular(): bool
    {
        return $this->grain->value > 0;
    }

    /** The same material with other likely values of what is least certain. */
    public function with(
        Estimate $flushNitrogen,
        Estimate $slowNitrogen,
        Estimate $quickCarbon,
        Estimate $slowCarbon,
        Estimate $retardation,
        Estimate $phosphorus,
        Estimate $potassium,
        Estimate $iron,
    ): self {
        return new self(
            $this->id,
            $this->name,
            $this->role,
            $this->density,
            $this->porosity,
            $flushNitrogen,
            $this->nitrateShare,
            $slowNitrogen,
            $quickCarbon,
            $slowCarbon,
            $retardation,
            $phosphorus,
            $potassium,
            $iron,
            $this->acidity,
            $this->lime,
            $this->grain,
            $this->remarks,
        );
    }
}
