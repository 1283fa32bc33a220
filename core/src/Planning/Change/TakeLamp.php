<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Change;

use Olvek\Core\Planning\Plan\RefusedEdit;

/** Another kind of lamp, which brings the share of its light that lands, and where its watts are known its lumens. */
final readonly class TakeLamp implements Change
{
    /** @param string $kind id in the catalogue; "" for none in particular */
    public function __construct(private string $kind)
    {
    }

    public function place(): string
    {
        return 'light.kind';
    }

    public function typed(): string
    {
        return $this->kind;
    }

    public function make(Draft $draft): ?string
    {
        $kind = '' === $this->kind ? null : $draft->catalogue->lamps[$this->kind] ?? throw new RefusedEdit('Choose a lamp from the list.');
        if (!$draft->put(['light', 'kind'], $kind?->id)) {
            return null;
        }
        if (null === $kind) {
            return 'lamp of no kind in particular';
        }
        $draft->put(['light', 'landing'], $kind->landing->value);

        return 'lamp '.mb_strtolower($kind->name).SetLamp::lit($draft);
    }
}
