<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Change;

use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Planning\Plan\RefusedEdit;
use Olvek\Core\Planning\Plan\UsualAmount;

/** A further stone or piece of wood. */
final readonly class AddPiece implements Change
{
    /** @param string $kind id in the catalogue */
    public function __construct(private string $kind, private ?float $litres = null, private Placed $placed = new Placed())
    {
    }

    public function place(): string
    {
        return null === $this->litres ? 'hardscape.add' : "hardscape.add.$this->kind";
    }

    public function typed(): string
    {
        return null === $this->litres ? $this->kind : UnitSystem::Metric->show(Dimension::Volume, $this->litres, 4).$this->placed->typed();
    }

    public function make(Draft $draft): string
    {
        $kind = $draft->catalogue->hardscape[$this->kind] ?? throw new RefusedEdit('Choose a stone or wood from the list.');
        $draft->append('hardscape', [
            'id' => $draft->freeId('hardscape'),
            'kind' => $this->kind,
            'litres' => $this->litres ?? UsualAmount::hardscape($draft->plan()),
            'place' => $this->placed->place ?? $draft->widestGap(['hardscape', 'plants']),
            'row' => $this->placed->row ?? 0.5,
            'source' => $this->placed->source->value,
        ]);

        return $kind->name.' added'.(null === $this->litres ? '' : ', '.$draft->units->show(Dimension::Volume, $this->litres, 2));
    }
}
