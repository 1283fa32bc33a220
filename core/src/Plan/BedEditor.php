<?php

declare(strict_types=1);

namespace Olvek\Core\Plan;

use Olvek\Core\Bed\Role;
use Olvek\Core\Catalogue\Catalogue;
use Olvek\Core\Unit\UnitSystem;
use Olvek\Core\Unit\UnreadableQuantity;

/**
 * Edits of what the bed is made of: a layer's material, its mix, what is dosed into it.
 *
 * @internal
 */
final readonly class BedEditor
{
    /** m of a layer that was not there before. C: 2.5 cm of soil; cap a little more; leaves half as much. */
    /** Places of doses, and those of a layer. */
    public const DOSE = '/^bed\.doses\.([a-z0-9-]+)$/D';
    public const LAYER = '/^bed\.(soil|leaves|cap)\.(mix|material|add|parts\.([a-z0-9-]+))$/D';
    private const NEW_LAYER = ['soil' => 0.025, 'leaves' => 0.013, 'cap' => 0.03];

    public function __construct(private Catalogue $catalogue, private PlanDocument $document)
    {
    }

    /**
     * @return string|false|null words of what changed; null where nothing did; false where the place is none of the bed's
     *
     * @throws RefusedEdit|UnreadableQuantity
     */
    public function edit(Draft $draft, string $place, string $typed, UnitSystem $units): string|false|null
    {
        if (1 === preg_match(self::DOSE, $place, $match)) {
            return 'add' === $match[1] ? $this->addDose($draft, $typed) : $this->setDose($draft, $match[1], $place, $typed, $units);
        }
        if (1 !== preg_match(self::LAYER, $place, $match)) {
            return false;
        }

        return match ($match[2]) {
            'mix' => $this->setMix($draft, $match[1], $typed),
            'material' => $this->setMaterial($draft, $match[1], $typed),
            'add' => $this->addMaterial($draft, $match[1], $typed),
            default => $this->setParts($draft, $match[1], $match[3] ?? '', $place, $typed, $units),
        };
    }

    private function addDose(Draft $draft, string $id): string
    {
        $amendment = $this->catalogue->amendments[$id] ?? throw new RefusedEdit('Choose an amendment from the list.');
        $doses = $this->doses($draft);
        if (\in_array($id, array_column($doses, 'kind'), true)) {
            throw new RefusedEdit($amendment->name.' is in the bed already; change its grams.');
        }
        $plan = $this->document->fromArray($draft->data);
        $litres = max(1.0, $plan->bed->soilVolume($plan->vessel));
        $doses[] = ['kind' => $id, 'grams' => round($litres * $amendment->dose->value, 1)];
        $draft->put(['bed', 'doses'], $doses, '', '');

        return $amendment->name.' added to the bed';
    }

    private function setDose(Draft $draft, string $id, string $place, string $typed, UnitSystem $units): ?string
    {
        $doses = $this->doses($draft);
        $amendment = $this->catalogue->amendments[$id] ?? throw new RefusedEdit('Choose an amendment from the list.');
        $index = array_search($id, array_column($doses, 'kind'), true);
        if (!\is_int($index)) {
            $index = \count($doses);
            $doses[] = ['kind' => $id, 'grams' => 0.0];
        }
        $field = Field::at($place) ?? throw new RefusedEdit('Olvek does not know this part of a plan.');
        $before = $doses[$index]['grams'];
        if (\is_float($before) && $typed === $field->show($before, $units)) {
            return null;
        }
        $grams = (float) $field->read($typed, $units);
        $name = $amendment->name;
        if (0.0 === $grams) {
            array_splice($doses, $index, 1);
        } else {
            $doses[$index]['grams'] = $grams;
        }

        return $draft->put(['bed', 'doses'], $doses, $name, 0.0 === $grams ? 'left out' : $field->say($grams, $units));
    }

    /** @return list<array<string, mixed>> */
    private function doses(Draft $draft): array
    {
        return Draft::records($draft->get(['bed', 'doses']));
    }

    private function setMaterial(Draft $draft, string $layer, string $id): ?string
    {
        if ('mix' === $id) {
            return null;
        }
        if ('none' === $id) {
            return $draft->put(['bed', $layer], null, $layer, 'none');
        }
        $name = $this->material($layer, $id);
        $before = $draft->get(['bed', $layer]);
        $depth = self::NEW_LAYER[$layer];
        $old = \is_array($before) ? $before : ['front' => $depth, 'back' => $depth];
        if (\is_array($old['mix'] ?? null) && [$id] === array_column($old['mix'], 'material')) {
            return null;
        }

        return $draft->put(['bed', $layer], [...$old, 'mix' => [['material' => $id, 'parts' => 1.0]]], $layer, $name);
    }

    /**
     * A whole mix at once, as "coir 2, garden-compost 1".
     */
    private function setMix(Draft $draft, string $layer, string $typed): ?string
    {
        $mix = [];
        $names = [];
        foreach (explode(',', $typed) as $part) {
            if (1 !== preg_match('/^\s*([a-z0-9-]+)\s+(\d+(?:\.\d+)?)\s*$/', $part, $match)) {
                throw new RefusedEdit('Write a mix as kinds and parts: coir 2, garden-compost 1.');
            }
            $names[] = mb_strtolower($this->material($layer, $match[1]));
            $mix[] = ['material' => $match[1], 'parts' => (float) $match[2]];
        }
        $before = $draft->get(['bed', $layer]);
        $depth = self::NEW_LAYER[$layer];

        return $draft->put(['bed', $layer], [...(\is_array($before) ? $before : ['front' => $depth, 'back' => $depth]), 'mix' => $mix], $layer, implode(', ', $names));
    }

    private function addMaterial(Draft $draft, string $layer, string $id): string
    {
        $name = $this->material($layer, $id);
        $mix = $this->mix($draft, $layer);
        if (\in_array($id, array_column($mix, 'material'), true)) {
            throw new RefusedEdit($name.' is in the mix already; change its parts.');
        }
        $mix[] = ['material' => $id, 'parts' => 1.0];
        $draft->put(['bed', $layer, 'mix'], $mix, '', '');

        return \sprintf('%s added to the %s', $name, $layer);
    }

    private function setParts(Draft $draft, string $layer, string $id, string $place, string $typed, UnitSystem $units): ?string
    {
        $mix = $this->mix($draft, $layer);
        $index = array_search($id, array_column($mix, 'material'), true);
        if (!\is_int($index)) {
            throw new RefusedEdit('This is not in the mix any more; reload to see the plan as it is.');
        }
        $field = Field::at($place) ?? throw new RefusedEdit('Olvek does not know this part of a plan.');
        $parts = $field->read($typed, $units);
        if ($parts < 0 || (0.0 === (float) $parts && 1 === \count($mix))) {
            throw new RefusedEdit('Parts must be above 0; to leave a layer out, choose "none" as its material.');
        }
        if ((float) $parts === $mix[$index]['parts']) {
            return null;
        }
        if (0.0 === (float) $parts) {
            array_splice($mix, $index, 1);
        } else {
            $mix[$index]['parts'] = $parts;
        }

        return $draft->put(['bed', $layer, 'mix'], $mix, $this->material($layer, $id), \sprintf('%s of the %s mix', 1.0 === (float) $parts ? '1 part' : $field->say((float) $parts, $units).' parts', $layer));
    }

    /** @return list<array<string, mixed>> */
    private function mix(Draft $draft, string $layer): array
    {
        $mix = $draft->get(['bed', $layer, 'mix']);
        if (!\is_array($mix)) {
            throw new RefusedEdit('Choose a material for this layer first.');
        }

        return Draft::records($mix);
    }

    private function material(string $layer, string $id): string
    {
        $material = $this->catalogue->materials[$id] ?? null;
        if (null === $material || ('cap' === $layer && Role::Cap !== $material->role)) {
            throw new RefusedEdit(\sprintf('Choose a %s from the list.', $layer));
        }

        return $material->name;
    }
}
