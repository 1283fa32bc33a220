<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Buying\Wants;

use Olvek\Core\Basis\Message\Amount;
use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Planning\Buying\Aisle;
use Olvek\Core\Planning\Buying\Gas;
use Olvek\Core\Planning\Buying\Want;
use Olvek\Core\Planning\Plan\Device;
use Olvek\Core\Planning\Plan\Heating;
use Olvek\Core\Planning\Plan\HeatLoss;
use Olvek\Core\Planning\Plan\Plan;

/** What warms the water, moves it, filters it and brings carbon dioxide. C. */
final class EquipmentWants
{
    /** Days of a month. */
    private const MONTH = 30;
    /** g of gas for which it is said how long they last. J: a keeper scales it to the bottle. */
    private const BOTTLE = 1000;
    /** g of gas a day, at least, when that is worked out. J. */
    private const LEAST = 0.1;

    /** @return list<Want|null> */
    public static function of(Plan $plan): array
    {
        return [...self::heat($plan), ...self::flow($plan), ...self::carbon($plan)];
    }

    /** @return list<Want|null> */
    private static function heat(Plan $plan): array
    {
        $equipment = $plan->equipment;
        $cold = $plan->coldest();
        $warm = array_filter($plan->groups, static fn ($group): bool => $group->kind->coolest->value > $cold + 1e-9);
        $unheated = min(array_map($plan->site->temperatureOn(...), range(0, 364)));
        $need = HeatLoss::watts($plan, $equipment->target, $unheated);

        return [
            match (true) {
                $equipment->hasHeater() => self::want('kit.heater', new Message('buy.heater', [
                    'watts' => round($equipment->watts > 0 ? $equipment->watts : HeatLoss::sold($need)),
                    'target' => Amount::temperature($equipment->target),
                    'need' => round($need),
                ])),
                !$equipment->heats() && [] !== $warm => self::want('kit.heater', new Message('buy.heater-missing', [
                    'coldest' => Amount::temperature($cold),
                ])),
                default => null,
            },
            Heating::Room === $equipment->heating
                ? self::want('kit.room', new Message('buy.room', ['target' => Amount::temperature($equipment->target)]), false)
                : null,
            $plan->site->sealed ? null : self::want('kit.thermometer', new Message('buy.thermometer')),
        ];
    }

    /** @return list<Want|null> */
    private static function flow(Plan $plan): array
    {
        $equipment = $plan->equipment;

        return [
            $equipment->moves()
                ? self::want('kit.device', new Message('buy.device', [
                    'device' => (string) preg_replace('/^an? /', '', $equipment->device->words()),
                    'volume' => Amount::volume($equipment->flow, 0),
                ]))
                : null,
            $equipment->isDrivenByAir() ? self::want('kit.air', new Message('buy.air')) : null,
            $equipment->filters() && Device::SpongeFilter !== $equipment->device
                ? self::want('kit.media', new Message('buy.media', ['volume' => Amount::volume($equipment->media)]))
                : null,
        ];
    }

    /** @return list<Want|null> */
    private static function carbon(Plan $plan): array
    {
        $daily = Gas::daily($plan);

        return [
            $plan->care->gas > 0
                ? self::want('kit.gas', new Message('buy.gas', [
                    'grams' => $daily,
                    'bubbles' => round(Gas::bubbles($plan)),
                    'months' => (int) round(self::BOTTLE / max(self::LEAST, $daily) / self::MONTH),
                ]))
                : null,
            $plan->care->trickle > 0
                ? self::want('kit.yeast', new Message('buy.yeast', [
                    'grams' => round(Gas::sugar($plan->care->trickle)),
                    'days' => Gas::YEAST_DAYS,
                ]))
                : null,
        ];
    }

    private static function want(string $id, Message $message, bool $bought = true): Want
    {
        return new Want($id, Aisle::Equipment, $message, $bought);
    }
}
