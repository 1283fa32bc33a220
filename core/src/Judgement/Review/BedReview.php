<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Review;

use Olvek\Core\Basis\Message\Amount;
use Olvek\Core\Basis\Message\Message;
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
                    new Message(
                        'mistake.cap',
                        [
                            'side' => $deeper->value,
                            'soil' => Amount::length($soil->depth($deeper), $bed->cap->depth($deeper)),
                            'cap' => Amount::length($bed->cap->depth($deeper), $soil->depth($deeper)),
                        ],
                    ),
                    false,
                    [new SetNumber("bed.cap.$deeper->value", $soil->depth($deeper))],
                    new Message('fix.cap'),
                )
                : null,
            null !== $soil && null === $bed->cap && !$soil->mix->isGranular()
                ? new Mistake(
                    'no-cap',
                    'bed',
                    new Message('mistake.no-cap'),
                    false,
                    [LayMix::pure('cap', 'coarse-sand')],
                    new Message('fix.no-cap'),
                )
                : null,
            null === $soil && [] !== $rootFeeders && !$tabbed
                ? new Mistake(
                    'tabs',
                    'bed',
                    new Message('mistake.tabs'),
                    false,
                    [Recipe::tabs($plan)],
                    new Message('fix.tabs'),
                )
                : null,
            [] !== $starved
                ? new Mistake(
                    'setback',
                    'bed',
                    new Message('mistake.setback', ['plant' => array_values($starved)[0]->kind->common]),
                    false,
                    [new SetNumber('bed.setback', 0.0)],
                    new Message('fix.setback'),
                )
                : null,
            null !== $bed->cap && !$plan->preparation->rinsed
                ? new Mistake(
                    'rinse',
                    'bed',
                    new Message('mistake.rinse'),
                    true,
                    [new Choose('preparation.rinsed', true)],
                    new Message('fix.rinse'),
                )
                : null,
            null !== $soil && !$soil->mix->isGranular() && !$plan->preparation->sieved
                ? new Mistake(
                    'sieve',
                    'bed',
                    new Message('mistake.sieve'),
                    true,
                    [new Choose('preparation.sieved', true)],
                    new Message('fix.sieve'),
                )
                : null,
        ];
    }
}
