<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Buying\Wants;

use Olvek\Core\Basis\Message\Amount;
use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Planning\Buying\Aisle;
use Olvek\Core\Planning\Buying\ShoppingList;
use Olvek\Core\Planning\Buying\Want;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\Seat;

/** Plants and animals, what they eat and where newcomers wait. C. */
final class LivingWants
{
    /** @return list<Want|null> */
    public static function plants(Plan $plan): array
    {
        $seats = array_map(static fn ($clump): Seat => $clump->seat, $plan->clumps);
        $kept = array_filter($plan->clumps, static fn ($clump): bool => $clump->isKept());

        return [
            ...array_map(
                static fn ($clump): Want => new Want(
                    "plant.$clump->id",
                    Aisle::Plants,
                    new Message('buy.plant', [
                        'pieces' => $clump->pieces,
                        'piece' => $clump->kind->piece,
                        'plant' => $clump->kind->common,
                        'grams' => (int) round($clump->wetMass()),
                        'day' => $clump->day,
                        'from' => Origin::of($clump->source),
                    ]),
                    $clump->source->isBought(),
                ),
                $plan->clumps,
            ),
            \in_array(Seat::Grid, $seats, true) ? new Want('kit.grid', Aisle::Plants, new Message('buy.grid')) : null,
            [] !== $kept ? new Want('kit.ring', Aisle::Plants, new Message('buy.ring')) : null,
        ];
    }

    /** @return list<Want|null> */
    public static function animals(Plan $plan): array
    {
        $feed = $plan->feed;
        $apart = array_filter($plan->groups, static fn ($group): bool => $group->quarantine > 0);

        return [
            ...array_map(
                static fn ($group): Want => new Want(
                    "animal.$group->id",
                    Aisle::Animals,
                    new Message('buy.animal', [
                        'count' => $group->count,
                        'animal' => $group->kind->common,
                        'day' => $group->day,
                        'from' => Origin::of($group->source),
                    ]),
                    $group->source->isBought(),
                ),
                $plan->groups,
            ),
            $feed->grams > 0
                ? new Want('food', Aisle::Animals, new Message('buy.food', [
                    'food' => null === $feed->food ? new Message('buy.dry-food') : mb_strtolower($feed->food->name),
                    'grams' => round($feed->grams * ShoppingList::DAYS),
                ]))
                : null,
            [] !== $apart
                ? new Want(
                    'kit.quarantine',
                    Aisle::Animals,
                    new Message('buy.quarantine', ['volume' => Amount::volume(ShoppingList::APART, 0)]),
                )
                : null,
        ];
    }
}
