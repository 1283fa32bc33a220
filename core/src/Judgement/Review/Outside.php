<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Review;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Nature\Hardscape\Piece;
use Olvek\Core\Planning\Change\SetNumber;
use Olvek\Core\Planning\Plan\Clump;
use Olvek\Core\Planning\Plan\Plan;

/** What stands beyond the glass. */
final class Outside
{
    /** m by which a thing may stand beyond the glass before it is worth a word. J. */
    private const FINGER = 0.015;

    /**
     * What stands where a round or cornered vessel has no floor: it happens when the shape is changed under it.
     *
     * @param 'hardscape'|'plants' $stage
     * @param list<Clump|Piece>    $items
     */
    public static function glass(Plan $plan, string $stage, array $items): ?Mistake
    {
        $vessel = $plan->vessel;
        $names = [];
        $moves = [];
        foreach ($items as $item) {
            $stands = [$item->place * $vessel->length(), $item->row * $vessel->width()];
            // Nothing is planted by the millimetre: what is a finger's breadth off stands at the pane.
            $inside = $vessel->outline()->nearest(...$stands);
            if (hypot($inside[0] - $stands[0], $inside[1] - $stands[1]) < self::FINGER) {
                continue;
            }
            $names[] = $item instanceof Clump ? $item->kind->common : $item->kind->name;
            $moves[] = new SetNumber("$stage.$item->id.place", round($inside[0] / $vessel->length(), 2));
            $moves[] = new SetNumber("$stage.$item->id.row", round($inside[1] / $vessel->width(), 2));
        }

        return [] === $names
            ? null
            : new Mistake(
                "outside-$stage",
                $stage,
                new Message('mistake.outside', ['count' => \count($names), 'things' => array_values(array_unique($names))]),
                false,
                $moves,
                new Message('fix.outside', ['count' => \count($names)]),
            );
    }
}
