<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Buying\Wants;

use Olvek\Core\Basis\Message\Amount;
use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Nature\Water\Ammonium;
use Olvek\Core\Planning\Buying\Aisle;
use Olvek\Core\Planning\Buying\Salts;
use Olvek\Core\Planning\Buying\ShoppingList;
use Olvek\Core\Planning\Buying\Want;
use Olvek\Core\Planning\Plan\FillingMethod;
use Olvek\Core\Planning\Plan\FirstDose;
use Olvek\Core\Planning\Plan\Inoculum;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\StartWay;
use Olvek\Core\Planning\Plan\Treatment;

/** Water, what goes into it, what starts it and the tools of the day. C. */
final class WaterWants
{
    /** Share of the water that a filling takes besides: for rinsing and spilling. J. */
    private const SPARE = 0.1;

    /** @return list<Want|null> */
    public static function water(Plan $plan): array
    {
        $litres = ShoppingList::waterToPrepare($plan);
        $salts = Salts::of($plan->care, $plan->netWater(), intdiv(ShoppingList::DAYS, 7))->grams();
        $want = static fn (string $id, Message $message, bool $bought = true): Want => new Want($id, Aisle::Water, $message, $bought);

        return [
            $want('water', new Message('buy.water', [
                'volume' => Amount::volume($litres, 0),
                'spare' => Amount::volume(self::SPARE * $litres, 0),
            ]), false),
            Treatment::Unchlorinated === $plan->preparation->treatment
                ? null
                : $want('kit.treatment', new Message('buy.treatment', ['volume' => Amount::volume($litres)])),
            null !== $plan->topUp ? $want('kit.top-up', new Message('buy.top-up'), false) : null,
            [] === $salts ? null : $want('fertiliser', new Message('buy.fertiliser', ['salts' => $salts])),
        ];
    }

    /** @return list<Want|null> */
    public static function start(Plan $plan): array
    {
        $want = static fn (string $id, Message $message, bool $bought = true): Want => new Want($id, Aisle::Start, $message, $bought);

        return [
            Inoculum::Bottled === $plan->inoculum ? $want('kit.bacteria', new Message('buy.bacteria')) : null,
            \in_array($plan->inoculum, [Inoculum::Sponge, Inoculum::SeasonedBed, Inoculum::Cuttings], true)
                ? $want('kit.inoculum', new Message('buy.inoculum', ['what' => $plan->inoculum->words()]), false)
                : null,
            StartWay::Dosing === $plan->preparation->way
                ? $want('kit.ammonium', new Message('buy.ammonium', [
                    'grams' => Ammonium::grams(FirstDose::of($plan)->milligrams, $plan->netWater()),
                ]))
                : null,
            $plan->site->sealed ? null : $want('kit.tests', new Message('buy.tests')),
        ];
    }

    /** @return list<Want|null> */
    public static function tools(Plan $plan): array
    {
        $soil = $plan->bed->soil;
        $want = static fn (string $id, Message $message): Want => new Want($id, Aisle::Tools, $message);

        return [
            null !== $soil && !$soil->mix->isGranular() ? $want('kit.sieve', new Message('buy.sieve')) : null,
            $want('kit.bucket', new Message('buy.buckets')),
            $want('kit.pour', match ($plan->preparation->filling) {
                FillingMethod::Hose => new Message('buy.hose'),
                FillingMethod::Sink => new Message('buy.tub'),
                default => new Message('buy.fill-plate'),
            }),
            $want('kit.tweezers', new Message('buy.tweezers')),
        ];
    }
}
