<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Steps;

use Olvek\Core\Basis\Message\Amount;
use Olvek\Core\Basis\Message\Message;
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
            PlantingOrder::Damp === $plan->preparation->order && !$sunk ? (new PlantingSteps($plan))->tall() : null,
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
            FillingMethod::Hose => new Message('step.fill.hose'),
            FillingMethod::Pour => new Message('step.fill.pour'),
            default => new Message('step.fill.plate'),
        };

        return new Step(
            Steps::FILL,
            new Message('step.fill.name'),
            new Message(
                'step.fill.amount',
                [
                    'volume' => Amount::volume($net),
                    'how' => $how,
                    'height' => Amount::length($plan->waterLine),
                    'prepare' => Amount::volume(ShoppingList::waterToPrepare($plan)),
                    'chlorine' => Treatment::Unchlorinated === $plan->preparation->treatment ? 'no' : 'yes',
                ],
            ),
            new Message('step.fill.check'),
            new Message('step.fill.mistake'),
            new Message('step.fill.caution'),
            max(10, (int) round(self::PER_LITRE * $net)),
            0,
            'full',
        );
    }

    private function sink(): Step
    {
        return new Step(
            Steps::FILL,
            new Message('step.sink.name'),
            new Message('step.sink.amount', ['volume' => Amount::volume(ShoppingList::waterToPrepare($this->plan))]),
            $this->plan->site->sealed
                ? new Message('step.sink.check-sealed')
                : new Message('step.sink.check'),
            new Message('step.sink.mistake'),
            new Message('step.sink.caution'),
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
                    new Message('step.wash-roots.name'),
                    new Message('step.wash-roots.amount', ['plants' => self::names($house, $name)]),
                    new Message('step.wash-roots.check'),
                    new Message('step.wash-roots.mistake'),
                    new Message('step.wash-roots.caution'),
                    10 * \count($house),
                    24,
                ),
            [] === $float
                ? null
                : new Step(
                    'float',
                    new Message('step.float.name'),
                    new Message('step.float.amount', ['plants' => array_values(array_map(
                        static fn (Clump $c): Message => new Message('step.piece', ['count' => $c->pieces, 'plant' => $c->kind->common]),
                        $float,
                    ))]),
                    new Message('step.float.check'),
                    new Message('step.float.mistake'),
                    null,
                    5,
                ),
            [] === $kept
                ? null
                : new Step(
                    'ring',
                    new Message('step.ring.name'),
                    new Message('step.ring.amount', ['plants' => array_values(array_map(
                        static fn (Clump $c): Message => new Message(
                            'step.ring.each',
                            [
                                'plant' => $c->kind->common,
                                'how' => FloaterKeeping::Ring === $c->keeping ? 'ring' : 'aside',
                                'percent' => (int) round(100 * $c->part),
                            ],
                        ),
                        $kept,
                    ))]),
                    new Message('step.ring.check'),
                    new Message('step.ring.mistake'),
                    null,
                    5,
                ),
            [] === $above
                ? null
                : new Step(
                    'film',
                    new Message('step.film.name'),
                    new Message('step.film.amount', ['plants' => self::names($above, $name)]),
                    new Message('step.film.check'),
                    new Message('step.film.mistake'),
                    null,
                    5,
                ),
        ];
    }

    private function cloud(): Step
    {
        return new Step(
            'cloud',
            new Message('step.cloud.name'),
            new Message('step.cloud.amount'),
            new Message('step.cloud.check'),
            new Message('step.cloud.mistake'),
            null,
            5,
            12,
        );
    }

    private function change(): Step
    {
        $share = $this->plan->preparation->firstChange;

        return new Step(
            'first-change',
            $share >= 0.99 ? new Message('step.first-change.name-all') : new Message('step.first-change.name'),
            new Message(
                'step.first-change.amount',
                [
                    'volume' => Amount::volume($share * $this->plan->netWater()),
                    'percent' => (int) round(100 * $share),
                    'times' => max(1, $this->plan->preparation->firstChanges),
                ],
            ),
            new Message('step.first-change.check'),
            new Message('step.first-change.mistake'),
            new Message('step.first-change.caution'),
            max(15, (int) round($share * $this->plan->netWater() * self::PER_LITRE)),
            24,
        );
    }
}
