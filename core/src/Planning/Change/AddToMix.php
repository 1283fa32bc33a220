<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Change;

use Olvek\Core\Planning\Plan\RefusedEdit;

/** One part of a further material in a layer's mix. */
final readonly class AddToMix implements Change
{
    public function __construct(private string $layer, private string $material)
    {
    }

    public function place(): string
    {
        return "bed.$this->layer.add";
    }

    public function typed(): string
    {
        return $this->material;
    }

    public function make(Draft $draft): string
    {
        $name = LayMix::material($draft, $this->layer, $this->material);
        $mix = SetParts::mix($draft, $this->layer);
        if (\in_array($this->material, array_column($mix, 'material'), true)) {
            throw new RefusedEdit($name.' is in the mix already; change its parts.');
        }
        $draft->put(['bed', $this->layer, 'mix'], [...$mix, ['material' => $this->material, 'parts' => 1.0]]);

        return \sprintf('%s added to the %s', $name, $this->layer);
    }
}
