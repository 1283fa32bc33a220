<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Change;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Nature\Bed\MaterialRole;
use Olvek\Core\Planning\Plan\RefusedEdit;

/** Another material, or mix of materials, as one layer of the bed; or no such layer. */
final readonly class LayMix implements Change
{
    public const NONE = 'none';
    /**
     * m of a layer that was not there before, in whole millimetres and in quarters of an inch. C: 2.5 cm of soil; cap a little more; leaves
     * half as much.
     */
    private const NEW_LAYER = [
        'base' => [0.02, 0.01905],
        'soil' => [0.025, 0.0254],
        'leaves' => [0.013, 0.0127],
        'cap' => [0.03, 0.03175],
        'dressing' => [0.006, 0.00635],
    ];
    /** What the layers are called that have no other name. */
    private const NAMES = ['base' => 'lowest layer', 'dressing' => 'top layer'];

    /**
     * @param string               $layer "base", "soil", "leaves", "cap" or "dressing"
     * @param array<string, float> $parts by volume, by id of the material; none for no such layer
     */
    public function __construct(private string $layer, private array $parts)
    {
    }

    public static function pure(string $layer, string $material): self
    {
        return new self($layer, [$material => 1.0]);
    }

    public static function none(string $layer): self
    {
        return new self($layer, []);
    }

    public function place(): string
    {
        return "bed.$this->layer.".(\count($this->parts) > 1 ? 'mix' : 'material');
    }

    public function typed(): string
    {
        if (\count($this->parts) < 2) {
            return (string) (array_key_first($this->parts) ?? self::NONE);
        }

        return implode(
            ', ',
            array_map(static fn (string|int $id, float $parts): string => "$id $parts", array_keys($this->parts), $this->parts),
        );
    }

    public function make(Draft $draft): ?string
    {
        if ([] === $this->parts) {
            return $draft->put(['bed', $this->layer], null) ? self::name($this->layer).' none' : null;
        }
        $mix = $names = [];
        foreach ($this->parts as $id => $parts) {
            $names[] = self::material($draft, $this->layer, (string) $id);
            $mix[] = ['material' => (string) $id, 'parts' => $parts];
        }
        $before = $draft->get(['bed', $this->layer]);
        $depth = self::NEW_LAYER[$this->layer][UnitSystem::Us === $draft->units ? 1 : 0];
        $old = \is_array($before) ? $before : ['mix' => [], 'front' => $depth, 'back' => $depth];
        // One material is one whatever its parts.
        if (1 === \count($mix) && array_keys($this->parts) === array_column(Draft::records($old['mix']), 'material')) {
            return null;
        }

        return $draft->put(['bed', $this->layer], [...$old, 'mix' => $mix])
            ? self::name($this->layer).' '.mb_strtolower(implode(', ', $names))
            : null;
    }

    private static function name(string $layer): string
    {
        return self::NAMES[$layer] ?? $layer;
    }

    /**
     * What a material is called that may lie in a layer.
     *
     * @throws RefusedEdit
     */
    public static function material(Draft $draft, string $layer, string $id): string
    {
        $material = $draft->catalogue->materials[$id] ?? null;
        if (null === $material || (\in_array($layer, ['cap', 'dressing'], true) && MaterialRole::Cap !== $material->role)) {
            throw new RefusedEdit(\sprintf('Choose a %s from the list.', self::name($layer)));
        }

        return $material->name;
    }
}
