<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Change;

use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\StartWay;

/** Makes a plan that of a quarantine tank: nothing on the floor, a sponge filter, floaters to hide under, small changes often. All C. */
final class QuarantineTank
{
    /** Litres to a piece of what floats and hides. J. */
    private const TO_A_PIECE = 4.0;
    /** Times its water that a sponge filter moves in an hour. C. */
    private const TURNS = 4.0;

    /** @return list<Change> */
    public static function changes(Plan $plan): array
    {
        $litres = max(1.0, $plan->netWater());

        return [
            ...null === $plan->bed->cap ? [] : [LayMix::none('cap')],
            ...null === $plan->bed->soil ? [] : [LayMix::none('soil')],
            new AddClump('salvinia-natans', max(3, (int) ($litres / self::TO_A_PIECE))),
            new AddClump('taxiphyllum-barbieri', 2),
            new Choose('equipment.device', 'sponge-filter'),
            new SetNumber('equipment.flow', max(20.0, round(self::TURNS * $litres))),
            new SetNumber('care.changeShare', 0.25),
            new SetNumber('care.changeEvery', 3),
            new StartBy(StartWay::Quarantine),
        ];
    }
}
