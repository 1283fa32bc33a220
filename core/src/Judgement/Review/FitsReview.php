<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Review;

use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Nature\Plant\PlantRole;
use Olvek\Core\Nature\Vessel\Outline;
use Olvek\Core\Nature\Vessel\Pane;
use Olvek\Core\Planning\Change\SetNumber;

/** Whether a tank fits where it shall stand, and whether its panes bear the water. C, where nothing else is said. */
final readonly class FitsReview extends Review
{
    /** Corners beyond which an outline is a round one. */
    private const CORNERS = 8;
    /** m behind a vessel that cables, hoses and roots want. C. */
    private const BEHIND = 0.03;
    /** Share of the wanted safety below which a pane is to be thicker, and m of water below which no pane is asked about. J. */
    private const WORN = 0.999;
    private const LOW = 0.1;

    public function mistakes(): array
    {
        return [...$this->footprint(), $this->lamp(), $this->pane(), ...$this->grown()];
    }

    /** @return list<Mistake|null> */
    private function footprint(): array
    {
        $stand = $this->plan->stand;
        $vessel = $this->plan->vessel;
        $wide = $vessel->outerWidth() + $stand->behind;

        return [
            $stand->length > 0 && $vessel->outerLength() > $stand->length
                ? new Mistake(
                    'stand-length',
                    'vessel',
                    \sprintf(
                        'The vessel is %s long, the stand only %s: glass that hangs over an edge breaks.',
                        ...$this->units->apart(Dimension::Length, [$vessel->outerLength(), $stand->length]),
                    ),
                )
                : null,
            $stand->width > 0 && $wide > $stand->width
                ? new Mistake(
                    'stand-width',
                    'vessel',
                    \sprintf(
                        'Vessel and gap behind it take %s, the stand is only %s from front to back.',
                        ...$this->units->apart(Dimension::Length, [$wide, $stand->width]),
                    ),
                )
                : null,
            $stand->behind < self::BEHIND
                ? new Mistake(
                    'behind',
                    'vessel',
                    \sprintf(
                        'Only %s behind the vessel: cables, hoses and a background want %s.',
                        $this->length($stand->behind),
                        $this->length(self::BEHIND),
                    ),
                    true,
                    [new SetNumber('stand.behind', self::BEHIND)],
                    'Leave '.$this->length(self::BEHIND),
                )
                : null,
        ];
    }

    private function lamp(): ?Mistake
    {
        $lamp = $this->plan->lamp;
        $above = $this->plan->site->above;

        return $lamp->lumens > 0 && $lamp->height > $above
            ? new Mistake(
                'lamp-fits',
                'light',
                \sprintf(
                    'The lamp is to hang %s over the rim, where there are only %s.',
                    ...$this->units->apart(Dimension::Length, [$lamp->height, $above]),
                ),
                false,
                [new SetNumber('light.height', round(0.8 * $above, 3))],
                'Hang it lower',
            )
            : null;
    }

    /** A flat pane against the water behind it; bent glass is judged by nobody here. */
    private function pane(): ?Mistake
    {
        $vessel = $this->plan->vessel;
        $glass = $vessel->measures()['glass'] ?? null;
        $line = $this->plan->waterLine;
        $length = self::longest($vessel->outline());
        if (null === $glass || null === $length || $vessel->shape()->isOutdoor() || $line < self::LOW) {
            return null;
        }
        $needed = Pane::needed($length, $line);
        if (Pane::safety($glass, $length, $line) >= self::WORN * Pane::SAFETY) {
            return null;
        }
        $sold = Pane::sold($needed);
        [$have, $want] = $this->units->apart(Dimension::Length, [$glass, $sold]);

        return new Mistake(
            'pane',
            'vessel',
            \sprintf(
                'Panes of %s are thin for %s of water over %s: %s is wanted, which bears its load %s times. Build lower, fill less, or '
                    .'take thicker glass; braces at the rim are a maker’s business.',
                $have,
                $this->length($line),
                $this->length($length),
                $want,
                Pane::SAFETY,
            ),
            false,
            [new SetNumber('vessel.glass', $sold)],
            'Glass of '.$want,
        );
    }

    /** @return list<Mistake|null> what grows above the water, against the room there is */
    private function grown(): array
    {
        $plan = $this->plan;
        $room = $plan->vessel->height() + $plan->site->above;
        $found = [];
        foreach ($plan->clumps as $clump) {
            $top = $plan->top($clump);
            $found[] = $clump->hasLeavesInAir() && !$clump->floats() && $top > $room
                ? new Mistake(
                    "headroom-$clump->id",
                    'plants',
                    \sprintf(
                        '%s grows to %s above the water; there are %s up to what is over the tank. Let it lean out, or keep it cut.',
                        $clump->kind->common,
                        ...$this->units->apart(Dimension::Length, [$top - $plan->waterLine, $room - $plan->waterLine]),
                    ),
                    PlantRole::HousePlant === $clump->kind->role,
                )
                : null;
        }

        return $found;
    }

    /** m of the longest straight pane; null where the outline is bent. */
    private static function longest(Outline $outline): ?float
    {
        $longest = 0.0;
        $before = $outline->points[\count($outline->points) - 1];
        foreach ($outline->points as $point) {
            $longest = max($longest, hypot($point[0] - $before[0], $point[1] - $before[1]));
            $before = $point;
        }

        return \count($outline->points) > self::CORNERS ? null : $longest;
    }
}
