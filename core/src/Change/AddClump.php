<?php

declare(strict_types=1);

namespace Olvek\Core\Change;

use Olvek\Core\Plan\RefusedEdit;
use Olvek\Core\Plant\Role;

/** A further clump of a plant, where the front has most room. */
final readonly class AddClump implements Change
{
    /** @param string $kind id in the catalogue */
    public function __construct(public string $kind, private ?int $pieces = null)
    {
    }

    public function place(): string
    {
        return null === $this->pieces ? 'plants.add' : "plants.add.$this->kind";
    }

    public function typed(): string
    {
        return null === $this->pieces ? $this->kind : (string) $this->pieces;
    }

    public function make(Draft $draft): string
    {
        $kind = $draft->catalogue->plants[$this->kind] ?? throw new RefusedEdit('Choose a plant from the list.');
        $draft->append('plants', [
            'id' => $draft->freeId('plants'),
            'kind' => $this->kind,
            // C: stems are planted by the ten, the rest by the few.
            'pieces' => $this->pieces ?? (\in_array($kind->role, [Role::FastStem, Role::SlowStem, Role::Runner], true) ? 10 : 3),
            'place' => $draft->widestGap(['plants']),
            'row' => $kind->zone->row(),
        ]);

        return $kind->common.' added'.(null === $this->pieces ? '' : ", $this->pieces");
    }
}
