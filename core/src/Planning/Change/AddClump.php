<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Change;

use Olvek\Core\Planning\Plan\RefusedEdit;
use Olvek\Core\Planning\Plan\UsualAmount;

/** A further clump of a plant, where it was pointed at or the front has most room; as many pieces as are usual in such a tank. */
final readonly class AddClump implements Change
{
    /** @param string $kind id in the catalogue */
    public function __construct(public string $kind, private ?int $pieces = null, private Placed $placed = new Placed())
    {
    }

    public function place(): string
    {
        return null === $this->pieces ? 'plants.add' : "plants.add.$this->kind";
    }

    public function typed(): string
    {
        return null === $this->pieces ? $this->kind : $this->pieces.$this->placed->typed();
    }

    public function make(Draft $draft): string
    {
        $kind = $draft->catalogue->plants[$this->kind] ?? throw new RefusedEdit('Choose a plant from the list.');
        $draft->append('plants', [
            'id' => $draft->freeId('plants'),
            'kind' => $this->kind,
            'pieces' => $this->pieces ?? UsualAmount::pieces($kind, $draft->plan()),
            'place' => $this->placed->place ?? $draft->widestGap(['plants']),
            'row' => $this->placed->row ?? $kind->zone->row(),
            'source' => $this->placed->source->value,
        ]);

        return $kind->common.' added'.(null === $this->pieces ? '' : ", $this->pieces");
    }
}
