<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Change;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Planning\Plan\RefusedEdit;

/** Another number of parts of one material in a layer's mix; 0 takes it out. */
final readonly class SetParts implements Change
{
    public function __construct(private string $layer, private string $material, private float $parts)
    {
    }

    public function place(): string
    {
        return "bed.$this->layer.parts.$this->material";
    }

    public function typed(): string
    {
        return (string) $this->parts;
    }

    public function make(Draft $draft): ?string
    {
        $mix = self::mix($draft, $this->layer);
        $index = array_search($this->material, array_column($mix, 'material'), true);
        if (!\is_int($index)) {
            throw new RefusedEdit('This is not in the mix any more; reload to see the plan as it is.');
        }
        if ($this->parts < 0 || (0.0 === $this->parts && 1 === \count($mix))) {
            throw new RefusedEdit('Parts must be above 0; to leave a layer out, choose "none" as its material.');
        }
        if (0.0 === $this->parts) {
            array_splice($mix, $index, 1);
        } else {
            $mix[$index]['parts'] = $this->parts;
        }
        if (!$draft->put(['bed', $this->layer, 'mix'], $mix)) {
            return null;
        }

        return \sprintf(
            '%s %s of the %s mix',
            LayMix::material($draft, $this->layer, $this->material),
            1.0 === $this->parts ? '1 part' : Decimal::trimmed($this->parts, 2).' parts',
            $this->layer,
        );
    }

    /**
     * @return list<array<string, mixed>>
     *
     * @throws RefusedEdit when there is no such layer
     */
    public static function mix(Draft $draft, string $layer): array
    {
        $mix = $draft->get(['bed', $layer, 'mix']);

        return null === $mix ? throw new RefusedEdit('Choose a material for this layer first.') : Draft::records($mix);
    }
}
