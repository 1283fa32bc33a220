<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Change;

use Olvek\Core\Basis\Unit\UnreadableQuantity;
use Olvek\Core\Planning\Plan\Field;
use Olvek\Core\Planning\Plan\RefusedEdit;

/**
 * Reads what is typed of the bed's contents: a layer's material, its mix, amendments.
 *
 * @internal
 */
final readonly class BedReader
{
    private const DOSE = '/^bed\.doses\.([a-z0-9-]+)$/D';
    private const LAYER = '/^bed\.(base|soil|leaves|cap|dressing)\.(mix|material|add|parts\.([a-z0-9-]+))$/D';

    public static function isPlace(string $place): bool
    {
        return 1 === preg_match(self::DOSE, $place) || 1 === preg_match(self::LAYER, $place);
    }

    /** @throws RefusedEdit|UnreadableQuantity */
    public function read(string $place, string $typed, Draft $draft): ?Change
    {
        if (1 === preg_match(self::DOSE, $place, $match)) {
            return 'add' === $match[1] ? new AddDose($typed) : self::dose($match[1], $typed, $draft);
        }
        preg_match(self::LAYER, $place, $match);
        $layer = $match[1] ?? '';

        return match ($match[2] ?? '') {
            'mix' => new LayMix($layer, self::mix($typed)),
            // "A mix" is what the list shows of one; to choose it changes nothing.
            'material' => match ($typed) {
                'mix' => null,
                LayMix::NONE => LayMix::none($layer),
                default => LayMix::pure($layer, $typed),
            },
            'add' => new AddToMix($layer, $typed),
            default => new SetParts($layer, $match[3] ?? '', (float) self::field($place)->read($typed, $draft->units)),
        };
    }

    private static function dose(string $id, string $typed, Draft $draft): ?Change
    {
        $field = self::field("bed.doses.$id");
        $grams = array_column(Draft::records($draft->get(['bed', 'doses'])), 'grams', 'kind')[$id] ?? null;

        return \is_float($grams) && $typed === $field->show($grams, $draft->units)
            ? null
            : new SetDose($id, (float) $field->read($typed, $draft->units));
    }

    /**
     * A whole mix at once, as "coir 2, garden-compost 1".
     *
     * @return array<string, float>
     */
    private static function mix(string $typed): array
    {
        $mix = [];
        foreach (explode(',', $typed) as $part) {
            if (1 !== preg_match('/^\s*([a-z0-9-]+)\s+(\d+(?:\.\d+)?)\s*$/', $part, $match) || isset($mix[$match[1]])) {
                throw new RefusedEdit('Write a mix as kinds and parts, each kind once: coir 2, garden-compost 1.');
            }
            $mix[$match[1]] = (float) $match[2];
        }

        return $mix;
    }

    private static function field(string $place): Field
    {
        return Field::at($place) ?? throw new RefusedEdit('Olvek does not know this part of a plan.');
    }
}
