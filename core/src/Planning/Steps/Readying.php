<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Steps;

use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\Words;
use Olvek\Core\Planning\Buying\Sheet;
use Olvek\Core\Planning\Plan\Background;
use Olvek\Core\Planning\Plan\Method;
use Olvek\Core\Planning\Plan\Quantities;

/**
 * What is done before anything is laid.
 *
 * @internal
 */
final readonly class Readying extends Chapter
{
    public function steps(): array
    {
        return [...$this->vessel(), ...$this->materials(), ...$this->place()];
    }

    /** @return list<Step|null> */
    private function vessel(): array
    {
        return $this->plan->stand->secondHand
            ? [
                new Step(
                    'clean',
                    'Clean the second-hand vessel',
                    'Vinegar or citric acid for lime, a new razor blade held flat, plenty of rinsing; no soap',
                    'Glass squeaks, silicone is whole and soft, nothing smells.',
                    'Soap, window cleaner or bleach that stays in the silicone.',
                    'Razor blades cut; gloves and goggles with acids, never acids with bleach.',
                    40,
                ),
                new Step(
                    'leak',
                    'Try it for leaks',
                    \sprintf(
                        'Fill it to the line with %s, outside or in the bath, on paper towels',
                        $this->litres($this->plan->vessel->volumeBelow($this->plan->waterLine)),
                    ),
                    'After two days the paper is dry at every seam, and the water stands where it stood.',
                    'It is tried half full, and leaks in the living room.',
                    'A full tank is never moved or lifted.',
                    20,
                    48,
                ),
            ]
            : [];
    }

    /** @return list<Step|null> */
    private function materials(): array
    {
        $plan = $this->plan;
        $bed = $plan->bed;
        $wood = array_filter($plan->pieces, static fn ($p): bool => $p->wantsSoaking());
        $soak = [] === $wood ? 0.0 : max(array_map(static fn ($p): float => $p->kind->soakDays->value, $wood));
        $loose = null !== $bed->soil && !$bed->soil->mix->isGranular();

        return [
            [] === $wood
                ? null
                : new Step(
                    'soak',
                    'Stand wood in water',
                    self::names($wood, static fn ($p): string => $p->kind->name).\sprintf('; %d days', (int) $soak),
                    'It sinks or is ready to be tied; it smells of nothing worse than earth.',
                    'Wood that smells bad is used all the same.',
                    'Boiling water scalds; a pot that is closed bursts.',
                    15,
                    24 * $soak,
                ),
            !$loose
                ? null
                : new Step(
                    'sieve',
                    'Sieve or pick over the soil',
                    $this->litres($bed->soilVolume($plan->vessel) * (1 + Sheet::SETTLES)),
                    'No chips, no roots, no lumps larger than a pea.',
                    'Wood chips float up for weeks.',
                    'Damp it first; wear a mask and gloves, cover cuts.',
                    20,
                ),
            !$loose || Method::HumusBed !== $plan->preparation->method
                ? null
                : new Step(
                    'mud',
                    'Make mud of the soil and let it stand',
                    'Water until it holds together',
                    'Stirred, it slides off the spoon; nothing floats.',
                    'Dry peat goes in, and floats.',
                    '',
                    20,
                    24,
                ),
            null === $bed->leaves
                ? null
                : new Step(
                    'scald',
                    'Scald the leaves, and let them stand a day',
                    $this->litres($bed->leafVolume($plan->vessel) * (1 + Sheet::SETTLES)),
                    'They sink and are brown throughout.',
                    'Green leaves are laid in and rot; unscalded ones float for a week.',
                    'Scalding water: pour away from you.',
                    15,
                    24,
                ),
            null === $bed->cap && [] === $bed->zones
                ? null
                : new Step(
                    'rinse',
                    'Rinse sand and gravel',
                    $this->litres($bed->capVolume($plan->vessel) * (1 + Sheet::SPILLS)),
                    'The water runs clear.',
                    'It is rinsed once, and the tank stays cloudy for a week.',
                    'Lift half a bucket at a time.',
                    30,
                ),
        ];
    }

    /** @return list<Step|null> */
    private function place(): array
    {
        $plan = $this->plan;
        $stand = $plan->stand;

        return [
            new Step(
                'level',
                $plan->vessel->shape()->isOutdoor() ? 'Level the ground' : 'Level the support and pad the vessel',
                \sprintf(
                    'It weighs %s when filled; leave %s behind it',
                    $this->units->show(Dimension::Mass, 1000 * Quantities::of($plan)->fullMass, 0),
                    $this->length($stand->behind),
                ),
                'A level shows no tilt either way; nothing rocks; no grain lies under the base.',
                'It is levelled when it is full.',
                \sprintf(
                    'Above about %s, or in doubt, ask a structural professional. Lift it empty, by two.',
                    $this->units->about(Dimension::Mass, 1000 * Step::HEAVY),
                ),
                15,
            ),
            Background::None === $stand->background
                ? null
                : new Step(
                    'background',
                    'Put the background on',
                    Words::capital($stand->background->words()).', outside, on clean dry glass',
                    'No bubble wider than a grain; its edge ends under the rim.',
                    'It is put on when the tank stands against the wall.',
                    '',
                    15,
                ),
        ];
    }
}
