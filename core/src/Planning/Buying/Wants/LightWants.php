<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Buying\Wants;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Basis\Unit\Words;
use Olvek\Core\Planning\Buying\Aisle;
use Olvek\Core\Planning\Buying\Want;
use Olvek\Core\Planning\Plan\Plan;

/** Lamps, and what switches and guards them. C. */
final class LightWants
{
    /** @return list<Want|null> */
    public static function of(Plan $plan): array
    {
        $lamp = $plan->lamp;
        $lit = $lamp->lumens > 0;
        $want = static fn (string $id, Message $message): Want => new Want($id, Aisle::Light, $message);

        return [
            $lit
                ? $want('kit.lamp', new Message('buy.lamp', [
                    'lamp' => null === $lamp->kind ? new Message('buy.any-lamp') : Words::small($lamp->kind->name),
                    'watts' => round($lamp->watts),
                    'lumens' => round($lamp->lumens),
                ]))
                : null,
            $lamp->second->burns()
                ? $want('kit.second-lamp', new Message('buy.second-lamp', [
                    'lamp' => null === $lamp->second->kind ? new Message('buy.white-leds') : Words::small($lamp->second->kind->name),
                    'watts' => round($lamp->second->watts),
                    'lumens' => round($lamp->second->flux()),
                ]))
                : null,
            $lamp->programme->night > 0
                ? $want('kit.night-light', new Message('buy.night-light', ['lumens' => round($lamp->programme->night)]))
                : null,
            $lit ? $want('kit.timer', $lamp->programme->dawn > 0 ? new Message('buy.timer-dims') : new Message('buy.timer')) : null,
            $lit || $plan->equipment->isPowered() ? $want('kit.socket', new Message('buy.socket')) : null,
        ];
    }
}
