<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Change;

use Olvek\Core\Planning\Plan\RefusedEdit;

/** A further amendment in the bed, as much as is usual for its soil. */
final readonly class AddDose implements Change
{
    /** @param string $amendment id in the catalogue */
    public function __construct(private string $amendment)
    {
    }

    public function place(): string
    {
        return 'bed.doses.add';
    }

    public function typed(): string
    {
        return $this->amendment;
    }

    public function make(Draft $draft): string
    {
        $amendment = $draft->catalogue->amendments[$this->amendment] ?? throw new RefusedEdit('Choose an amendment from the list.');
        $doses = Draft::records($draft->get(['bed', 'doses']));
        if (\in_array($this->amendment, array_column($doses, 'kind'), true)) {
            throw new RefusedEdit($amendment->name.' is in the bed already; change its grams.');
        }
        $plan = $draft->plan();
        $grams = round(max(1.0, $plan->bed->soilVolume($plan->vessel)) * $amendment->dose->value, 1);
        $draft->put(['bed', 'doses'], [...$doses, ['kind' => $this->amendment, 'grams' => $grams]]);

        return $amendment->name.' added to the bed';
    }
}
