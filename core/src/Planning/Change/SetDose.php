<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Change;

use Olvek\Core\Planning\Plan\Field;
use Olvek\Core\Planning\Plan\RefusedEdit;

/** So much of an amendment in the bed; 0 takes it out. */
final readonly class SetDose implements Change
{
    /**
     * @param string $amendment id in the catalogue
     * @param float  $grams     in the whole bed
     */
    public function __construct(private string $amendment, private float $grams)
    {
    }

    public function place(): string
    {
        return "bed.doses.$this->amendment";
    }

    public function typed(): string
    {
        return Field::at($this->place())?->exactly($this->grams) ?? (string) $this->grams;
    }

    public function make(Draft $draft): ?string
    {
        $amendment = $draft->catalogue->amendments[$this->amendment] ?? throw new RefusedEdit('Choose an amendment from the list.');
        $doses = Draft::records($draft->get(['bed', 'doses']));
        $index = array_search($this->amendment, array_column($doses, 'kind'), true);
        if (0.0 !== $this->grams) {
            $doses[\is_int($index) ? $index : \count($doses)] = ['kind' => $this->amendment, 'grams' => $this->grams];
        } elseif (\is_int($index)) {
            array_splice($doses, $index, 1);
        }
        if (!$draft->put(['bed', 'doses'], array_values($doses))) {
            return null;
        }

        return $amendment->name.
            ' '.
            (0.0 === $this->grams ? 'left out' : Field::at($this->place())?->say($this->grams, $draft->units) ?? '');
    }
}
