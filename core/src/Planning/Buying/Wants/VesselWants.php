<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Buying\Wants;

use Olvek\Core\Basis\Message\Amount;
use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Planning\Buying\Aisle;
use Olvek\Core\Planning\Buying\Want;
use Olvek\Core\Planning\Plan\Background;
use Olvek\Core\Planning\Plan\Plan;

/** The vessel, what it stands on and what covers it. C. */
final class VesselWants
{
    /** @return list<Want|null> */
    public static function of(Plan $plan): array
    {
        $vessel = $plan->vessel;
        $length = Amount::length($vessel->outerLength());
        $height = Amount::length($vessel->outerHeight());

        return [
            new Want('vessel', Aisle::Vessel, new Message('buy.vessel', [
                'vessel' => mb_strtolower($vessel->shape()->words()),
                'length' => $length,
                'width' => Amount::length($vessel->outerWidth()),
                'height' => $height,
                'used' => $plan->stand->secondHand ? 'yes' : 'no',
            ])),
            $vessel->shape()->isOutdoor() ? null : new Want('kit.foam', Aisle::Vessel, new Message('buy.foam')),
            Background::None === $plan->stand->background
                ? null
                : new Want('kit.background', Aisle::Vessel, new Message('buy.background', [
                    'background' => $plan->stand->background->words(),
                    'length' => $length,
                    'height' => $height,
                ])),
            $plan->stand->shadeBar
                ? new Want('kit.shade-bar', Aisle::Vessel, new Message('buy.shade-bar', ['length' => $length]))
                : null,
            $plan->site->lid || $plan->site->sealed
                ? new Want('kit.lid', Aisle::Vessel, new Message('buy.lid', ['sealed' => $plan->site->sealed ? 'yes' : 'no']))
                : null,
        ];
    }
}
