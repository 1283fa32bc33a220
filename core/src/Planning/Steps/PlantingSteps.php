<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Steps;

use Olvek\Core\Basis\Message\Amount;
use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Nature\Plant\PlantRole;
use Olvek\Core\Planning\Plan\Clump;
use Olvek\Core\Planning\Plan\Emersion;
use Olvek\Core\Planning\Plan\FillingMethod;
use Olvek\Core\Planning\Plan\PlantingOrder;
use Olvek\Core\Planning\Plan\Seat;

/**
 * What is planted before the tank is full, and what in a full one.
 *
 * @internal
 */
final readonly class PlantingSteps extends Chapter
{
    /** Depth to which a tank is filled before planting, of the water over the bed. C. */
    private const PART_FILL = 0.15;
    /** Minutes a stem or pot takes to plant. J. */
    private const PER_PIECE = 0.6;
    /** Roles that stay low, or grow slowly, and go in first. */
    private const LOW = [PlantRole::Carpet, PlantRole::Rosette, PlantRole::Runner, PlantRole::Epiphyte, PlantRole::Moss, PlantRole::Marsh];

    public function steps(): array
    {
        $sunk = FillingMethod::Sink === $this->plan->preparation->filling;
        $damp = $sunk || PlantingOrder::Damp === $this->plan->preparation->order;
        $seated = array_filter($this->first(), static fn (Clump $c): bool => $c->isOffBed());
        $rooted = array_filter($this->first(), static fn (Clump $c): bool => !$c->isOffBed());
        $low = array_filter($rooted, self::isLow(...));

        return [
            ...array_map(fn (Seat $seat): ?Step => $this->seat($seat, $seated), Seat::cases()),
            [] === $rooted || $damp
                ? null
                : new Step(
                    'part-fill',
                    new Message('step.part-fill.name'),
                    new Message(
                        'step.part-fill.amount',
                        ['depth' => Amount::length(self::PART_FILL * ($this->plan->waterLine - $this->plan->bed->meanDepth()))],
                    ),
                    new Message('step.part-fill.check'),
                    new Message('step.part-fill.mistake'),
                    null,
                    5,
                ),
            $this->plant(
                'plant-low',
                $damp ? new Message('step.plant-low.name-damp') : new Message('step.plant-low.name'),
                $low,
            ),
            $damp && [] !== $low
                ? new Step(
                    'mist',
                    new Message('step.mist.name'),
                    new Message('step.mist.amount'),
                    new Message('step.mist.check'),
                    new Message('step.mist.mistake'),
                    null,
                    5,
                )
                : null,
            $damp && !$sunk ? null : $this->tall(),
        ];
    }

    /** Tall stems: before the water where all is planted in a little of it, else in a full tank, where one sees how they stand. */
    public function tall(): ?Step
    {
        $tall = array_filter($this->first(), static fn (Clump $c): bool => !$c->isOffBed() && !self::isLow($c));

        return $this->plant('plant-tall', new Message('step.plant-tall.name'), $tall);
    }

    /** @return list<Clump> of the first day that are set by hand under water or on its edge, the lowest first */
    private function first(): array
    {
        $first = array_filter(
            $this->plan->clumps,
            static fn (Clump $c): bool => 0 === $c->day
                && !$c->floats()
                && !\in_array($c->kind->role, [PlantRole::HousePlant, PlantRole::FloatingStem], true),
        );
        usort($first, static fn (Clump $a, Clump $b): int => $a->kind->height->value <=> $b->kind->height->value);

        return $first;
    }

    private static function isLow(Clump $clump): bool
    {
        return \in_array($clump->kind->role, self::LOW, true);
    }

    /** @param array<Clump> $clumps */
    private function plant(string $id, Message $name, array $clumps): ?Step
    {
        if ([] === $clumps) {
            return null;
        }
        $pieces = array_sum(array_map(static fn (Clump $c): int => $c->pieces, $clumps));
        $each = array_map(
            static fn (Clump $c): Message => new Message('step.plant.each', [
                'count' => $c->pieces,
                'plant' => $c->kind->common,
                'how' => self::set($c),
                'emersed' => Emersion::Emersed === $c->emersion ? 'yes' : 'no',
            ]),
            $clumps,
        );

        return new Step(
            $id,
            $name,
            new Message('step.plant.amount', ['plants' => array_values($each)]),
            new Message('step.plant.check'),
            new Message('step.plant.mistake'),
            new Message('step.plant.caution'),
            max(5, (int) round(self::PER_PIECE * $pieces)),
            0,
            'planted',
        );
    }

    /** How a clump is set. */
    private static function set(Clump $clump): Message
    {
        return match (true) {
            Seat::Pot === $clump->seat => Message::text((string) $clump->seat->how()),
            0.0 === $clump->kind->planting->value => new Message('step.plant.tied'),
            default => new Message('step.plant.deep', ['depth' => Amount::length($clump->kind->planting->value)]),
        };
    }

    /** @param array<Clump> $seated */
    private function seat(Seat $seat, array $seated): ?Step
    {
        $here = array_filter($seated, static fn (Clump $c): bool => $seat === $c->seat);
        $how = $seat->how();
        if ([] === $here || null === $how) {
            return null;
        }
        $each = array_map(
            static fn (Clump $c): Message => new Message(
                'step.seat.each',
                [
                    'count' => $c->pieces,
                    'plant' => $c->kind->common,
                    'raised' => $c->raised > 0 ? 'yes' : 'no',
                    'height' => Amount::length($c->raised),
                    'wick' => Emersion::Wicking === $c->emersion ? 'yes' : 'no',
                ],
            ),
            $here,
        );

        return new Step(
            "seat-$seat->value",
            new Message('step.seat.name', ['seat' => $seat->words()]),
            new Message('step.seat.amount', ['plants' => array_values($each), 'how' => $how]),
            new Message('step.seat.check'),
            match ($seat) {
                Seat::Glued => new Message('step.seat.mistake-glued'),
                Seat::Tied => new Message('step.seat.mistake-tied'),
                Seat::Hole => new Message('step.seat.mistake-hole'),
                default => new Message('step.seat.mistake'),
            },
            Seat::Glued === $seat ? new Message('step.seat.caution') : null,
            max(5, 3 * \count($here)),
        );
    }
}
