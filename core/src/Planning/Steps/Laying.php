<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Steps;

use Olvek\Core\Basis\Unit\Decimal;
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
            $this->layer('base', 'Lay the lowest layer', $bed->base, '', 'It is laid dry, and holds air for weeks.'),
            $this->doses(),
            $this->layer(
                'soil',
                true === $bed->soil?->mix->isGranular() ? 'Lay the granules' : 'Lay the soil',
                $bed->soil,
                ($bed->setback > 0 ? \sprintf(' Keep it %s from the front pane.', $this->length($bed->setback)) : '')
                    .([] === $bed->zones ? '' : ' Leave the zones free.'),
                $bed->bagged
                    ? 'It is poured loose, though it was to lie in bags.'
                    : 'It is scraped back from the glass where a carpet is to grow.',
            ),
            $this->wet(),
            $this->layer('leaves', 'Lay the leaves', $bed->leaves, '', 'They lie in a wad that gas lifts.'),
            $this->layer(
                'cap',
                null === $bed->soil ? 'Lay the bed' : 'Lay the cap',
                $bed->cap,
                '',
                'It is thinner at the front than the soil under it.',
            ),
            ...array_map($this->zone(...), $bed->zones),
            $this->layer('dressing', 'Lay the top layer', $bed->dressing, '', 'It sinks into the cap, because that is coarser.'),
            $this->pots(),
            (null === $bed->cap && null === $bed->soil) || $this->plan->vessel->shape()->isOutdoor()
                ? null
                : new Step(
                    'wipe',
                    'Wipe the front pane',
                    'A damp cloth along the edge of the bed',
                    'The layers show as clean lines behind the glass.',
                    'Mud dries on, and stays there for years.',
                    '',
                    3,
                ),
        ];
    }

    /** @return list<Step|null> */
    private function below(): array
    {
        $bed = $this->plan->bed;
        $held = array_filter($bed->zones, static fn (BedZone $z): bool => Edge::None !== $z->edge);
        $part = $bed->plateFrom > 0 || $bed->plateTo < 1
            ? \sprintf(', from %d %% to %d %% of the front', (int) round(100 * $bed->plateFrom), (int) round(100 * $bed->plateTo))
            : '';

        return [
            0.0 === $bed->plate
                ? null
                : new Step(
                    'plate',
                    'Set the plate',
                    \sprintf('%s of room under it%s', $this->length($bed->plate), $part),
                    'It stands firm; mesh covers every hole.',
                    'Sand trickles through in a month.',
                    '',
                    15,
                    0,
                    'plate',
                ),
            [] === $held
                ? null
                : new Step(
                    'rims',
                    'Set rims and walls between the zones',
                    Words::capital(
                        implode('; ', array_map(static fn (BedZone $z): string => $z->purpose->words().': '.$z->edge->words(), $held)),
                    ),
                    'They stand on the bottom, not on sand; wadding fills every gap that a grain could pass.',
                    'A gap at the glass: that is where the coarse rolls into the fine.',
                    'Stones slip: hands never under them; lay card on the bottom pane first.',
                    30,
                ),
            0.0 === $bed->core
                ? null
                : new Step(
                    'core',
                    'Lay the bags of the hill',
                    $this->litres($bed->core).' of lava in mesh',
                    'They lie under the back, none touches the glass.',
                    'A bag under the front shows as soon as the soil settles.',
                    'Lava is sharp: gloves.',
                    10,
                ),
        ];
    }

    private function doses(): ?Step
    {
        $bed = $this->plan->bed;
        $doses = array_map(
            static fn ($d): string => \sprintf('%s %s', Decimal::trimmed($d->grams, 1).' g', mb_strtolower($d->amendment->name)),
            $bed->doses,
        );
        $tabs = array_filter($bed->doses, static fn ($d): bool => 'root-tab' === $d->amendment->id);

        return [] === $doses
            ? null
            : new Step(
                'doses',
                'Mix in what feeds the bed',
                implode(', ', $doses).
                    ([] === $tabs
                        ? ''
                        : \sprintf(
                            '; break tabs into quarters, %d pieces',
                            (int) round(Sheet::TAB_PIECES * array_sum(array_map(static fn ($d): float => $d->grams, $tabs))),
                        )),
                'Spread evenly, none against the glass.',
                'Root tabs are forgotten until the cap is on.',
                'Fine powders: mask.',
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
                $soil->mix->isGranular() ? 'Wet the granules' : 'Wet the soil and let the air out',
                'Water to just over it',
                $soil->mix->isGranular()
                    ? 'They are dark throughout; no bubbles rise when the side is knocked.'
                    : 'No bubbles come when it is pressed with a flat hand.',
                $soil->mix->isGranular()
                    ? 'They are rinsed or stirred like gravel: the coat comes off and clouds the water.'
                    : 'Air stays in it, and lifts the cap in a week.',
                'Gloves: cuts and soil water do not go together.',
                5,
                $soil->mix->isGranular() ? 0 : 1,
            );
    }

    private function layer(string $id, string $name, ?Layer $layer, string $more, string $mistake): ?Step
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
                \sprintf('%s of %s', $this->litres($litres), self::materials($layer->mix->parts)),
                \sprintf(
                    '%s deep at the front, %s at the back.%s',
                    $this->length($layer->depth(Side::Front)),
                    $this->length($layer->depth(Side::Back)),
                    $more,
                ),
                $mistake,
                '',
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
                $parts[] = \sprintf('%s of %s', $this->litres($laid->litres), self::materials($laid->mix->parts));
            }
        }

        return new Step(
            "zone-$zone->id",
            'Lay the '.$zone->purpose->words(),
            [] === $parts ? 'Nothing: it stays bare' : implode(', then ', $parts),
            \sprintf(
                '%s, from %d %% to %d %% along and %d %% to %d %% back.',
                0.0 === $zone->soil
                    ? $this->length($zone->cap).' deep'
                    : \sprintf('%s of soil and %s of cap', $this->length($zone->soil), $this->length($zone->cap)),
                ...array_map(static fn (float $s): int => (int) round(100 * $s), [$zone->left, $zone->right, $zone->front, $zone->back]),
            ),
            0.0 === $zone->soil
                ? 'Soil lies under its edge, and comes up there.'
                : 'It is heaped on a slope, and slides before it is planted.',
            '',
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
                'Fill the pots',
                \sprintf('%d × %s of soil, a finger of gravel on top', $bed->pots, $this->litres($bed->potLitres)),
                'Wetted through, no bubbles; gravel covers all soil.',
                'A hole in the bottom lets the soil out: lay wadding over it.',
                '',
                5 * $bed->pots,
            )
            : null;
    }

    /** @param list<array{\Olvek\Core\Nature\Bed\Material, float}> $parts */
    private static function materials(array $parts): string
    {
        return implode(', ', array_map(static fn (array $p): string => mb_strtolower($p[0]->name), $parts));
    }
}
