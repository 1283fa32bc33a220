<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Buying\Wants;

use Olvek\Core\Basis\Message\Amount;
use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Nature\Bed\Edge;
use Olvek\Core\Planning\Buying\Aisle;
use Olvek\Core\Planning\Buying\Want;
use Olvek\Core\Planning\Plan\Plan;

/** What goes into the bed beside its soils and caps, which have a table of their own (Sheet). C. */
final class BedWants
{
    /** @return list<Want|null> */
    public static function of(Plan $plan): array
    {
        $bed = $plan->bed;
        $edges = array_map(static fn ($zone): Edge => $zone->edge, $bed->zones);
        $want = static fn (string $id, Message $message): Want => new Want($id, Aisle::Bed, $message);

        return [
            ...array_map(
                static fn ($dose): Want => $want(
                    "dose.{$dose->amendment->id}",
                    new Message('buy.dose', ['grams' => round($dose->grams, 1), 'what' => mb_strtolower($dose->amendment->name)]),
                ),
                $bed->doses,
            ),
            $bed->core > 0 ? $want('kit.core', new Message('buy.core', ['volume' => Amount::volume($bed->core)])) : null,
            $bed->bagged || $bed->core > 0 ? $want('kit.mesh', new Message('buy.mesh')) : null,
            $bed->plate > 0 ? $want('kit.plate', new Message('buy.plate', ['height' => Amount::length($bed->plate)])) : null,
            $bed->pots > 0
                ? $want('kit.pots', new Message('buy.pots', ['count' => $bed->pots, 'volume' => Amount::volume($bed->potLitres)]))
                : null,
            \in_array(Edge::StonesAndWadding, $edges, true) ? $want('kit.wadding', new Message('buy.wadding')) : null,
            \in_array(Edge::Strip, $edges, true) ? $want('kit.strip', new Message('buy.strip')) : null,
            \in_array(Edge::Wall, $edges, true) ? $want('kit.wall', new Message('buy.wall')) : null,
        ];
    }
}
