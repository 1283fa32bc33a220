<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Plan;

use Olvek\Core\Planning\Event\EventKind;

/** The dose of ammonia with which a fishless start begins: the plan's own, or the method's where it has none. Named so everywhere. */
final readonly class FirstDose
{
    /** @param float $milligrams N per litre */
    private function __construct(public int $day, public float $milligrams)
    {
    }

    public static function of(Plan $plan): self
    {
        foreach ($plan->events as $planned) {
            if (EventKind::Dose === $planned->kind) {
                return new self($planned->day, (float) $planned->values['milligramsPerLitre']);
            }
        }

        return new self(StartWay::DOSED_ON, StartWay::DOSE);
    }
}
