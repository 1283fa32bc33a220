<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Review;

use Olvek\Core\Nature\Bed\Side;
use Olvek\Core\Nature\Plant\PlantRole;
use Olvek\Core\Planning\Change\Choose;
use Olvek\Core\Planning\Change\LayMix;
use Olvek\Core\Planning\Change\Recipe;
use Olvek\Core\Planning\Change\SetNumber;
use Olvek\Core\Planning\Plan\Clump;

/** What of soil, cap and their making keepers regret. C, where nothing else is said. */
final readonly class BedReview extends Review
{
    /** Day from which kinds that melt easily may go in, and a good one for it. C: one to two weeks after the rest. */
    private const TAB = 'root-tab';

    public function mistakes(): array
    {
        $plan = $this->plan;
        $bed = $plan->bed;
        $soil = $bed->soil;
        $deeper = null;
        foreach (Side::cases() as $side) {
            if (null !== $soil && !$soil->mix->isGranular() && $soil->depth($side) > ($bed->cap?->depth($side) ?? 0.0) + 1e-9) {
                $deeper = $side;
            }
        }
        $rootFeeders = array_filter(
            $plan->clumps,
            static fn (Clump $c): bool => \in_array($c->kind->role, [PlantRole::Rosette, PlantRole::Runner, PlantRole::Lily], true),
        );
        $starved = array_filter(
            $plan->clumps,
            static fn (Clump $c): bool => PlantRole::Carpet === $c->kind->role
                && null !== $soil
                && $c->row * $plan->vessel->width() < $bed->setback,
        );
        $tabbed = \in_array(self::TAB, array_map(static fn ($d): string => $d->amendment->id, $bed->doses), true);

        return [
            null !== $deeper && null !== $soil && null !== $bed->cap
                ? new Mistake(
                    'cap',
                    'bed',
                    \sprintf(
                        'At the %s the soil (%s) is deeper than its cap (%s): soil will break through.',
                        $deeper->value,
                        $this->length($soil->depth($deeper)),
                        $this->length($bed->cap->depth($deeper)),
                    ),
                    false,
                    [new SetNumber("bed.cap.$deeper->value", $soil->depth($deeper))],
                    'Cap as deep as the soil',
                )
                : null,
            null !== $soil && null === $bed->cap && !$soil->mix->isGranular()
                ? new Mistake(
                    'no-cap',
                    'bed',
                    'Soil without a cap clouds the water and feeds algae.',
                    false,
                    [LayMix::pure('cap', 'coarse-sand')],
                    'Add a sand cap',
                )
                : null,
            null === $soil && [] !== $rootFeeders && !$tabbed
                ? new Mistake(
                    'tabs',
                    'bed',
                    'Root feeders in a bed without soil, and no root tabs: they are easily pushed in before the cap is on, hardly after.',
                    false,
                    [Recipe::tabs($plan)],
                    'Lay root tabs',
                )
                : null,
            [] !== $starved
                ? new Mistake(
                    'setback',
                    'bed',
                    \sprintf(
                        '%s will carpet where the soil is kept back from the glass, and starve there.',
                        array_values($starved)[0]->kind->common,
                    ),
                    false,
                    [new SetNumber('bed.setback', 0.0)],
                    'Soil up to the glass',
                )
                : null,
            null !== $bed->cap && !$plan->preparation->rinsed
                ? new Mistake(
                    'rinse',
                    'bed',
                    'Sand and gravel as bought cloud the water for days: rinse until it runs clear.',
                    true,
                    [new Choose('preparation.rinsed', true)],
                    'It will be rinsed',
                )
                : null,
            null !== $soil && !$soil->mix->isGranular() && !$plan->preparation->sieved
                ? new Mistake(
                    'sieve',
                    'bed',
                    'Chips and lumps float up or rot in pockets: sieve the soil, or pick it over.',
                    true,
                    [new Choose('preparation.sieved', true)],
                    'It will be sieved',
                )
                : null,
        ];
    }
}
