<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Hardscape;

use Olvek\Core\Basis\Unit\Estimate;

/** A kind of stone or wood. */
final readonly class HardscapeKind
{
    /**
     * @param Estimate $density  kg per L
     * @param Estimate $lime     share of a stone's surface that is calcite
     * @param Estimate $surface  m² on which bacteria settle, per m³
     * @param Estimate $tannin   mg C of tannin per L of wood and day at first
     * @param Estimate $soakDays days it should stand in water before use
     */
    public function __construct(
        public string $id,
        public string $name,
        public bool $wood,
        public Estimate $density,
        public Estimate $lime,
        public Estimate $surface,
        public Estimate $tannin,
        public Estimate $soakDays,
        public string $remarks,
    ) {
    }

    public function floats(): bool
    {
        return $this->density->value < 1.0;
    }
}
