<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Change;

use Olvek\Core\Nature\Bed\Edge;
use Olvek\Core\Nature\Bed\Purpose;
use Olvek\Core\Planning\Plan\RefusedEdit;

/** A further zone of the bed, where and as deep as such a zone usually is. */
final readonly class AddZone implements Change
{
    /** @param string $purpose as Bed\Purpose has it */
    public function __construct(private string $purpose)
    {
    }

    public function place(): string
    {
        return 'zones.add';
    }

    public function typed(): string
    {
        return $this->purpose;
    }

    public function make(Draft $draft): string
    {
        $purpose = Purpose::tryFrom($this->purpose) ?? throw new RefusedEdit('Choose a zone from the list.');
        [$soil, $cap] = $purpose->depths();
        $bed = $draft->plan()->bed;
        $draft->append('zones', [
            'id' => $draft->freeId('zones'),
            'kind' => $this->purpose,
            ...$purpose->place(),
            'soil' => null === $bed->soil ? 0.0 : $soil,
            'cap' => $cap,
            'soilKind' => null,
            'capKind' => match ($purpose) {
                Purpose::Foreground => 'fine-sand',
                Purpose::Raised => 'fine-gravel',
                default => null === $bed->cap ? 'coarse-sand' : null,
            },
            'edge' => $purpose->edge()->value,
        ]);

        return $purpose->words().' added'.(Edge::None === $purpose->edge() ? '' : ', held by '.$purpose->edge()->words());
    }
}
