<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Steps;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Nature\Plant\PlantRole;
use Olvek\Core\Planning\Buying\ShoppingList;
use Olvek\Core\Planning\Plan\Clump;
use Olvek\Core\Planning\Plan\Emersion;
use Olvek\Core\Planning\Plan\FillingMethod;
use Olvek\Core\Planning\Plan\FloaterKeeping;
use Olvek\Core\Planning\Plan\PlantingOrder;
use Olvek\Core\Planning\Plan\Treatment;

/**
 * Water in, and what goes into a full tank.
 *
 * @internal
 */
final readonly class FillingSteps extends Chapter
{
    /** Minutes a litre of hose water takes to run in gently. J. */
    private const PER_LITRE = 0.5;

    public function steps(): array
    {
        $plan = $this->plan;
        $sunk = FillingMethod::Sink === $plan->preparation->filling;

        return [
            // What is closed under water takes nothing more.
            ...$sunk ? $this->surface() : [],
            $sunk ? $this->sink() : $this->fill(),
            PlantingOrder::Damp === $plan->preparation->order && !$sunk ? (new PlantingSteps($plan, $this->units))->tall() : null,
            ...$sunk ? [] : $this->surface(),
            $sunk ? null : $this->cloud(),
            $plan->preparation->firstChange > 0 ? $this->change() : null,
        ];
    }

    private function fill(): Step
    {
        $plan = $this->plan;
        $net = $plan->netWater();
        $how = match ($plan->preparation->filling) {
            FillingMethod::Hose => 'through a thin hose',
            FillingMethod::Pour => 'poured, though a plate would spare the bed',
            default => 'over a plate or bag',
        };

        return new Step(
            Steps::FILL,
            'Fill slowly',
            \sprintf(
                '%s, %s, to %s over the bottom (%s with what the bed drinks).%s',
                $this->litres($net),
                $how,
                $this->length($plan->waterLine),
                $this->litres(ShoppingList::waterToPrepare($plan)),
                Treatment::Unchlorinated === $plan->preparation->treatment ? '' : ' Treat it for chlorine and chloramine first.',
            ),
            'Stones can be seen through it by evening; a haze of sand settles in a day.',
            'It is poured in, and soil comes up through the cap.',
            'Never start a siphon by mouth. Wash hands.',
            max(10, (int) round(self::PER_LITRE * $net)),
            0,
            'full',
        );
    }

    private function sink(): Step
    {
        return new Step(
            Steps::FILL,
            'Fill by sinking',
            \sprintf(
                '%s of water in a tub that is deeper than the jar is wide; lower it in slowly, mouth up, tip it until the last bubble is '
                    .'out, and close it under water',
                $this->litres(ShoppingList::waterToPrepare($this->plan)),
            ),
            $this->plan->site->sealed
                ? 'The seal holds upside down; only as much air is left as is planned.'
                : 'No air is caught under stones, wood or leaves.',
            'It is pushed under at once, and the bed washes out.',
            'Wet glass slips: both hands, and no ring on them. A sealed jar never stands in the sun.',
            20,
            0,
            'full',
        );
    }

    /** @return list<Step|null> */
    private function surface(): array
    {
        $first = array_filter($this->plan->clumps, static fn (Clump $c): bool => 0 === $c->day);
        $house = array_filter($first, static fn (Clump $c): bool => PlantRole::HousePlant === $c->kind->role);
        $float = array_filter(
            $first,
            static fn (Clump $c): bool => $c->floats() || \in_array($c->kind->role, [PlantRole::HousePlant, PlantRole::FloatingStem], true),
        );
        $kept = array_filter($first, static fn (Clump $c): bool => $c->isKept());
        $above = array_filter($first, static fn (Clump $c): bool => Emersion::Under !== $c->emersion);
        $name = static fn (Clump $c): string => $c->kind->common;

        return [
            [] === $house
                ? null
                : new Step(
                    'wash-roots',
                    'Wash the roots of house plants',
                    self::names($house, $name).': soil off under running water, dead roots off, then a day in a glass of water',
                    'The water in the glass stays clear; roots are white and firm.',
                    'Potting soil with fertiliser stays between the roots.',
                    'Sap of some house plants irritates skin and eyes: gloves; keep them from children and pets.',
                    10 * \count($house),
                    24,
                ),
            [] === $float
                ? null
                : new Step(
                    'float',
                    'Lay in floaters and house plants',
                    implode('; ', array_map(static fn (Clump $c): string => \sprintf('%d × %s', $c->pieces, $c->kind->common), $float)),
                    'Leaves are dry above, roots hang free; half of the surface is open.',
                    'Duckweed comes in with them: pick it out now, or never.',
                    '',
                    5,
                ),
            [] === $kept
                ? null
                : new Step(
                    'ring',
                    'Keep the floaters to their part',
                    self::names($kept, static fn (Clump $c): string => \sprintf(
                        '%s: %s, %s %% of the surface',
                        $c->kind->common,
                        FloaterKeeping::Ring === $c->keeping ? 'a ring of air hose, its ends plugged' : 'pushed to one side',
                        Decimal::trimmed(100 * $c->part, 0),
                    )),
                    'Light falls through the open part onto what needs it.',
                    'The ring sticks to the glass as the water sinks, and they drift under it.',
                    '',
                    5,
                ),
            [] === $above
                ? null
                : new Step(
                    'film',
                    'Cover what stands above the water, and mist it',
                    self::names($above, $name).': clear film over the vessel, misted twice a day',
                    'Drops hang on the film each morning; new leaves come within three weeks.',
                    'The film comes off at once: take it off for an hour more each day, over a week.',
                    '',
                    5,
                ),
        ];
    }

    private function cloud(): Step
    {
        return new Step(
            'cloud',
            'Look at the cloud',
            'The morning after',
            'Grey and thinner by the hour: dust, wait. Brown and clear: tannin, harmless. Brown and thick: soil, change half of it. '
                .'White and thicker by the day: bacteria, wait and feed nothing. A wad of fine filter wool before any pump takes dust out '
                .'in a day.',
            'It is stirred, or a clearing agent goes in.',
            '',
            5,
            12,
        );
    }

    private function change(): Step
    {
        $share = $this->plan->preparation->firstChange;

        return new Step(
            'first-change',
            $share >= 0.99 ? 'Change all of the water' : 'Change water the day after',
            \sprintf(
                '%s, %s %% of it, as warm as the old and treated alike%s',
                $this->litres($share * $this->plan->netWater()),
                Decimal::trimmed(100 * $share, 0),
                $this->plan->preparation->firstChanges > 1
                    ? \sprintf('; %d times in all, every other day', $this->plan->preparation->firstChanges)
                    : '',
            ),
            'The bed lies as it lay; plants stand upright again.',
            'It is drained to the sand, and leaves dry while the buckets are fetched.',
            'Lamp and heater unplugged first: a heater in air bursts.',
            max(15, (int) round($share * $this->plan->netWater() * self::PER_LITRE)),
            24,
        );
    }
}
