<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Buying\Wants;

use Olvek\Core\Basis\Message\Amount;
use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Nature\Hardscape\Fixing;
use Olvek\Core\Planning\Buying\Aisle;
use Olvek\Core\Planning\Buying\Want;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\Seat;

/** Stones, wood, and what holds them and the plants on them. C. */
final class HardscapeWants
{
    /** @return list<Want|null> */
    public static function of(Plan $plan): array
    {
        $wants = array_map(
            static fn ($piece): Want => new Want(
                "piece.$piece->id",
                Aisle::Hardscape,
                new Message('buy.piece', [
                    'kind' => $piece->kind->name,
                    'mass' => Amount::mass($piece->mass(), 1),
                    'from' => Origin::of($piece->source),
                ]),
                $piece->source->isBought(),
            ),
            $plan->pieces,
        );
        foreach (self::fixings($plan) as $fixing) {
            $buys = self::buys($fixing);
            $wants[] = null === $buys ? null : new Want("fixing.$fixing->value", Aisle::Hardscape, $buys);
        }

        return $wants;
    }

    /** @return list<Fixing> each once */
    private static function fixings(Plan $plan): array
    {
        $fixings = array_map(static fn ($piece): Fixing => $piece->fixing, $plan->pieces);
        foreach ($plan->clumps as $clump) {
            $fixings[] = match ($clump->seat) {
                Seat::Glued => Fixing::Glue,
                Seat::Tied, Seat::Grid => Fixing::Thread,
                default => Fixing::None,
            };
        }

        return array_values(array_unique($fixings, \SORT_REGULAR));
    }

    private static function buys(Fixing $fixing): ?Message
    {
        return match ($fixing) {
            Fixing::Glue => new Message('buy.glue'),
            Fixing::WaddingAndSoda => new Message('buy.glue-wadding-soda'),
            Fixing::Thread => new Message('buy.thread'),
            Fixing::Epoxy => new Message('buy.epoxy'),
            Fixing::Silicone => new Message('buy.silicone'),
            default => null,
        };
    }
}
