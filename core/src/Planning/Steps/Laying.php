<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Steps;

use Olvek\Core\Basis\Message\Amount;
use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Basis\Unit\Words;
use Olvek\Core\Nature\Bed\BedZone;
use Olvek\Core\Nature\Bed\Edge;
use Olvek\Core\Nature\Bed\Laid;
use Olvek\Core\Nature\Bed\Layer;
use Olvek\Core\Nature\Bed\Side;
use Olvek\Core\Planning\Buying\Sheet;

/**
 * The bed, from below.
 *
 * @internal
 */
final readonly class Laying extends Chapter
{
    public function steps(): array
    {
        $bed = $this->plan->bed;

        return [
            ...$this->below(),
            $this->layer('base', new Message('step.base.name'), $bed->base, false, new Message('step.base.mistake')),
            $this->doses(),
            $this->layer(
                'soil',
                true === $bed->soil?->mix->isGranular() ? new Message('step.soil.name-granules') : new Message('step.soil.name'),
                $bed->soil,
                true,
                $bed->bagged
                    ? new Message('step.soil.mistake-bags')
                    : new Message('step.soil.mistake'),
            ),
            $this->wet(),
            $this->layer('leaves', new Message('step.leaves.name'), $bed->leaves, false, new Message('step.leaves.mistake')),
            $this->layer(
                'cap',
                null === $bed->soil ? new Message('step.cap.name-bed') : new Message('step.cap.name'),
                $bed->cap,
                false,
                new Message('step.cap.mistake'),
            ),
            ...array_map($this->zone(...), $bed->zones),
            $this->layer('dressing', new Message('step.dressing.name'), $bed->dressing, false, new Message('step.dressing.mistake')),
            $this->pots(),
            (null === $bed->cap && null === $bed->soil) || $this->plan->vessel->shape()->isOutdoor()
                ? null
                : new Step(
                    'wipe',
                    new Message('step.wipe.name'),
                    new Message('step.wipe.amount'),
                    new Message('step.wipe.check'),
                    new Message('step.wipe.mistake'),
                    null,
                    3,
                ),
        ];
    }

    /** @return list<Step|null> */
    private function below(): array
    {
        $bed = $this->plan->bed;
        $held = array_filter($bed->zones, static fn (BedZone $z): bool => Edge::None !== $z->edge);
        $part = $bed->plateFrom > 0 || $bed->plateTo < 1 ? 'yes' : 'no';

        return [
            0.0 === $bed->plate
                ? null
                : new Step(
                    'plate',
                    new Message('step.plate.name'),
                    new Message(
                        'step.plate.amount',
                        [
                            'height' => Amount::length($bed->plate),
                            'part' => $part,
                            'from' => (int) round(100 * $bed->plateFrom),
                            'to' => (int) round(100 * $bed->plateTo),
                        ],
                    ),
                    new Message('step.plate.check'),
                    new Message('step.plate.mistake'),
                    null,
                    15,
                    0,
                    'plate',
                ),
            [] === $held
                ? null
                : new Step(
                    'rims',
                    new Message('step.rims.name'),
                    new Message('step.rims.amount', ['zones' => array_values(array_map(
                        static fn (BedZone $z): Message => new Message(
                            'step.rims.each',
                            ['zone' => Words::capital($z->purpose->words()), 'edge' => $z->edge->words()],
                        ),
                        $held,
                    ))]),
                    new Message('step.rims.check'),
                    new Message('step.rims.mistake'),
                    new Message('step.rims.caution'),
                    30,
                ),
            0.0 === $bed->core
                ? null
                : new Step(
                    'core',
                    new Message('step.core.name'),
                    new Message('step.core.amount', ['volume' => Amount::volume($bed->core)]),
                    new Message('step.core.check'),
                    new Message('step.core.mistake'),
                    new Message('step.core.caution'),
                    10,
                ),
        ];
    }

    private function doses(): ?Step
    {
        $bed = $this->plan->bed;
        $doses = array_map(
            static fn ($d): Message => new Message('step.doses.each', ['grams' => $d->grams, 'what' => mb_strtolower($d->amendment->name)]),
            $bed->doses,
        );
        $tabs = array_filter($bed->doses, static fn ($d): bool => 'root-tab' === $d->amendment->id);

        return [] === $doses
            ? null
            : new Step(
                'doses',
                new Message('step.doses.name'),
                new Message(
                    'step.doses.amount',
                    [
                        'doses' => $doses,
                        'pieces' => (int) round(Sheet::TAB_PIECES * array_sum(array_map(static fn ($d): float => $d->grams, $tabs))),
                    ],
                ),
                new Message('step.doses.check'),
                new Message('step.doses.mistake'),
                new Message('step.doses.caution'),
                10,
            );
    }

    private function wet(): ?Step
    {
        $soil = $this->plan->bed->soil;

        return null === $soil
            ? null
            : new Step(
                'wet',
                $soil->mix->isGranular() ? new Message('step.wet.name-granules') : new Message('step.wet.name'),
                new Message('step.wet.amount'),
                $soil->mix->isGranular()
                    ? new Message('step.wet.check-granules')
                    : new Message('step.wet.check'),
                $soil->mix->isGranular()
                    ? new Message('step.wet.mistake-granules')
                    : new Message('step.wet.mistake'),
                new Message('step.wet.caution'),
                5,
                $soil->mix->isGranular() ? 0 : 1,
            );
    }

    private function layer(string $id, Message $name, ?Layer $layer, bool $clear, Message $mistake): ?Step
    {
        $litres = array_sum(
            array_map(
                static fn (Laid $l): float => $l->layer === $id ? $l->litres : 0.0,
                $this->plan->bed->laid($this->plan->vessel),
            ),
        );

        return null === $layer
            ? null
            : new Step(
                $id,
                $name,
                new Message('step.layer.amount', ['volume' => Amount::volume($litres), 'materials' => self::materials($layer->mix->parts)]),
                new Message(
                    'step.layer.check',
                    [
                        'front' => Amount::length($layer->depth(Side::Front)),
                        'back' => Amount::length($layer->depth(Side::Back)),
                        'setback' => $clear && $this->plan->bed->setback > 0 ? 'yes' : 'no',
                        'gap' => Amount::length($this->plan->bed->setback),
                        'zones' => $clear && [] !== $this->plan->bed->zones ? 'yes' : 'no',
                    ],
                ),
                $mistake,
                null,
                15,
                0,
                $id,
            );
    }

    private function zone(BedZone $zone): Step
    {
        $parts = [];
        foreach ($this->plan->bed->laid($this->plan->vessel) as $laid) {
            if (str_starts_with($laid->layer, "$zone->id.")) {
                $parts[] = new Message(
                    'step.layer.amount',
                    ['volume' => Amount::volume($laid->litres), 'materials' => self::materials($laid->mix->parts)],
                );
            }
        }

        return new Step(
            "zone-$zone->id",
            new Message('step.zone.name', ['zone' => $zone->purpose->words()]),
            [] === $parts ? new Message('step.zone.bare') : new Message('step.zone.amount', ['parts' => $parts]),
            new Message(
                'step.zone.check',
                [
                    'soiled' => 0.0 === $zone->soil ? 'no' : 'yes',
                    'soil' => Amount::length($zone->soil),
                    'cap' => Amount::length($zone->cap),
                    'left' => (int) round(100 * $zone->left),
                    'right' => (int) round(100 * $zone->right),
                    'front' => (int) round(100 * $zone->front),
                    'back' => (int) round(100 * $zone->back),
                ],
            ),
            0.0 === $zone->soil
                ? new Message('step.zone.mistake-bare')
                : new Message('step.zone.mistake'),
            null,
            10,
            0,
            'cap',
        );
    }

    private function pots(): ?Step
    {
        $bed = $this->plan->bed;

        return $bed->pots > 0
            ? new Step(
                'pots',
                new Message('step.pots.name'),
                new Message('step.pots.amount', ['count' => $bed->pots, 'volume' => Amount::volume($bed->potLitres)]),
                new Message('step.pots.check'),
                new Message('step.pots.mistake'),
                null,
                5 * $bed->pots,
            )
            : null;
    }

    /**
     * @param list<array{\Olvek\Core\Nature\Bed\Material, float}> $parts
     *
     * @return list<string>
     */
    private static function materials(array $parts): array
    {
        return array_values(array_map(static fn (array $p): string => mb_strtolower($p[0]->name), $parts));
    }
}
