<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Steps;

use Olvek\Core\Basis\Message\Amount;
use Olvek\Core\Basis\Message\Message;
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
                    new Message('step.clean.name'),
                    new Message('step.clean.amount'),
                    new Message('step.clean.check'),
                    new Message('step.clean.mistake'),
                    new Message('step.clean.caution'),
                    40,
                ),
                new Step(
                    'leak',
                    new Message('step.leak.name'),
                    new Message('step.leak.amount', ['volume' => Amount::volume($this->plan->vessel->volumeBelow($this->plan->waterLine))]),
                    new Message('step.leak.check'),
                    new Message('step.leak.mistake'),
                    new Message('step.leak.caution'),
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
                    new Message('step.soak.name'),
                    new Message(
                        'step.soak.amount',
                        ['wood' => self::names($wood, static fn ($p): string => $p->kind->name), 'days' => (int) $soak],
                    ),
                    new Message('step.soak.check'),
                    new Message('step.soak.mistake'),
                    new Message('step.soak.caution'),
                    15,
                    24 * $soak,
                ),
            !$loose
                ? null
                : new Step(
                    'sieve',
                    new Message('step.sieve.name'),
                    new Message('step.volume', ['volume' => Amount::volume($bed->soilVolume($plan->vessel) * (1 + Sheet::SETTLES))]),
                    new Message('step.sieve.check'),
                    new Message('step.sieve.mistake'),
                    new Message('step.sieve.caution'),
                    20,
                ),
            !$loose || Method::HumusBed !== $plan->preparation->method
                ? null
                : new Step(
                    'mud',
                    new Message('step.mud.name'),
                    new Message('step.mud.amount'),
                    new Message('step.mud.check'),
                    new Message('step.mud.mistake'),
                    null,
                    20,
                    24,
                ),
            null === $bed->leaves
                ? null
                : new Step(
                    'scald',
                    new Message('step.scald.name'),
                    new Message('step.volume', ['volume' => Amount::volume($bed->leafVolume($plan->vessel) * (1 + Sheet::SETTLES))]),
                    new Message('step.scald.check'),
                    new Message('step.scald.mistake'),
                    new Message('step.scald.caution'),
                    15,
                    24,
                ),
            null === $bed->cap && [] === $bed->zones
                ? null
                : new Step(
                    'rinse',
                    new Message('step.rinse.name'),
                    new Message('step.volume', ['volume' => Amount::volume($bed->capVolume($plan->vessel) * (1 + Sheet::SPILLS))]),
                    new Message('step.rinse.check'),
                    new Message('step.rinse.mistake'),
                    new Message('step.rinse.caution'),
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
                $plan->vessel->shape()->isOutdoor() ? new Message('step.level.name-outdoor') : new Message('step.level.name'),
                new Message(
                    'step.level.amount',
                    ['mass' => Amount::mass(Quantities::of($plan)->fullMass), 'gap' => Amount::length($stand->behind)],
                ),
                new Message('step.level.check'),
                new Message('step.level.mistake'),
                new Message('step.level.caution', ['mass' => Amount::roughMass(Step::HEAVY)]),
                15,
            ),
            Background::None === $stand->background
                ? null
                : new Step(
                    'background',
                    new Message('step.background.name'),
                    new Message('step.background.amount', ['background' => Words::capital($stand->background->words())]),
                    new Message('step.background.check'),
                    new Message('step.background.mistake'),
                    null,
                    15,
                ),
        ];
    }
}
