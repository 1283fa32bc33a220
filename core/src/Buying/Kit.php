<?php

declare(strict_types=1);

namespace Olvek\Core\Buying;

use Olvek\Core\Plan\Filling;
use Olvek\Core\Plan\Plan;
use Olvek\Core\Plan\Treatment;
use Olvek\Core\Unit\Decimal;
use Olvek\Core\Unit\Dimension;
use Olvek\Core\Unit\UnitSystem;

/** What a plan takes beside materials, plants and animals. C. */
final class Kit
{
    /** @return array<string, string> words by id */
    public static function of(Plan $plan, UnitSystem $units): array
    {
        $glass = !$plan->vessel->shape()->isOutdoor();
        $coldest = $plan->site->temperature - $plan->site->swing;
        $warm = array_filter($plan->groups, static fn ($g): bool => $g->kind->coolest->value > $coldest);

        return array_filter([
            'foam' => $glass ? 'foam sheet under the vessel' : null,
            'lamp' => $plan->lamp->lumens > 0 ? \sprintf('lamp of %s lm', Decimal::trimmed($plan->lamp->lumens, 0)) : null,
            'timer' => $plan->lamp->lumens > 0 ? 'timer for the lamp' : null,
            'socket' => $plan->lamp->lumens > 0 || [] !== $warm ? 'socket with a residual-current device' : null,
            'heater' => [] !== $warm
                    ? \sprintf('heater: some of the animals want more than %s', $units->show(Dimension::Temperature, $coldest, 0))
                    : null,
            'lid' => $plan->site->lid || $plan->site->sealed ? 'lid' : null,
            'sieve' => null !== $plan->bed->soil ? 'sieve, gloves and a mask for dusty soil' : null,
            'mesh' => $plan->bed->bagged || $plan->bed->core > 0 ? 'fine mesh and ties for the bags' : null,
            'bucket' => 'two clean buckets',
            'pour' => Filling::Hose === $plan->preparation->filling ? 'thin hose' : 'plate to fill over',
            'treatment' => Treatment::Unchlorinated === $plan->preparation->treatment
                    ? null
                    : \sprintf('water treatment for %s, by its label', $units->show(Dimension::Volume, $plan->netWater())),
            'tweezers' => 'long tweezers',
            'tests' => 'tests for ammonia, nitrite, nitrate, pH and hardness',
            'thermometer' => 'thermometer',
        ]);
    }
}
