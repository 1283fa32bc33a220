<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Steps;

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
                    'Fill a little',
                    \sprintf('%s over the bed', $this->length(self::PART_FILL * ($this->plan->waterLine - $this->plan->bed->meanDepth()))),
                    'The cap is just under water and still lies as it was laid.',
                    'Poured on the sand, it digs a hole: pour on a plate.',
                    '',
                    5,
                ),
            $this->plant('plant-low', $damp ? 'Plant the low and the slow in damp sand' : 'Plant the low and the slow', $low),
            $damp && [] !== $low
                ? new Step(
                    'mist',
                    'Keep what is planted wet',
                    'A mist of water every ten minutes, wet paper over what is done',
                    'No leaf looks dull or curls.',
                    'It is planted for an hour, and the first carpet has dried by then.',
                    '',
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

        return $this->plant('plant-tall', 'Plant the stems', $tall);
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
    private function plant(string $id, string $name, array $clumps): ?Step
    {
        if ([] === $clumps) {
            return null;
        }
        $pieces = array_sum(array_map(static fn (Clump $c): int => $c->pieces, $clumps));
        $each = array_map(
            fn (Clump $c): string => \sprintf(
                '%d × %s, %s%s',
                $c->pieces,
                $c->kind->common,
                match (true) {
                    Seat::Pot === $c->seat => (string) $c->seat->how(),
                    0.0 === $c->kind->planting->value => 'tied on, never buried',
                    default => $this->length($c->kind->planting->value).' deep',
                },
                Emersion::Emersed === $c->emersion ? ', its leaves over the water line' : '',
            ),
            $clumps,
        );

        return new Step(
            $id,
            $name,
            implode('; ', $each),
            'Roots and stems end in the cap; crowns and rhizomes are free. One kind to a clump.',
            'Stems are pushed down into raw soil, which burns their roots.',
            'Sap of some plants itches: gloves. Keep pots’ wool and lead out of the tank.',
            max(5, (int) round(self::PER_PIECE * $pieces)),
            0,
            'planted',
        );
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
            fn (Clump $c): string => \sprintf(
                '%d × %s%s%s',
                $c->pieces,
                $c->kind->common,
                $c->raised > 0 ? ', '.$this->length($c->raised).' over the ground' : '',
                Emersion::Wicking === $c->emersion ? ', its wick hanging into the water' : '',
            ),
            $here,
        );

        return new Step(
            "seat-$seat->value",
            'Fix plants: '.$seat->words(),
            implode('; ', $each).': '.$how,
            'A pull with one finger does not move it; the rhizome is in the open.',
            match ($seat) {
                Seat::Glued => 'The rhizome is glued over, and rots.',
                Seat::Tied => 'The thread cuts the rhizome.',
                Seat::Hole => 'Too much bed in the hole: it washes out and clouds the water.',
                default => 'It is packed too thick: what lies below browns.',
            },
            Seat::Glued === $seat ? 'Superglue: fresh air, off eyes and skin.' : '',
            max(5, 3 * \count($here)),
        );
    }
}
