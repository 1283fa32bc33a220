<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Review;

use Olvek\Core\Basis\Message\Amount;
use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Nature\Plant\PlantRole;
use Olvek\Core\Nature\Vessel\Pane;
use Olvek\Core\Planning\Change\SetNumber;

/** Whether a tank fits where it shall stand, and whether its panes bear the water. C, where nothing else is said. */
final readonly class FitsReview extends Review
{
    /** m behind a vessel that cables, hoses and roots want. C. */
    private const BEHIND = 0.03;
    /** Share of the wanted thickness below which a pane is too thin, and m of water below which no pane is asked about. J. */
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
                    new Message(
                        'mistake.stand-length',
                        [
                            'tank' => Amount::length($vessel->outerLength(), $stand->length),
                            'stand' => Amount::length($stand->length, $vessel->outerLength()),
                        ],
                    ),
                )
                : null,
            $stand->width > 0 && $wide > $stand->width
                ? new Mistake(
                    'stand-width',
                    'vessel',
                    new Message(
                        'mistake.stand-width',
                        ['tank' => Amount::length($wide, $stand->width), 'stand' => Amount::length($stand->width, $wide)],
                    ),
                )
                : null,
            $stand->behind < self::BEHIND
                ? new Mistake(
                    'behind',
                    'vessel',
                    new Message('mistake.behind', ['gap' => Amount::length($stand->behind), 'least' => Amount::length(self::BEHIND)]),
                    true,
                    [new SetNumber('stand.behind', self::BEHIND)],
                    new Message('fix.behind', ['gap' => Amount::length(self::BEHIND)]),
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
                new Message(
                    'mistake.lamp-fits',
                    ['height' => Amount::length($lamp->height, $above), 'room' => Amount::length($above, $lamp->height)],
                ),
                false,
                [new SetNumber('light.height', round(0.8 * $above, 3))],
                new Message('fix.lamp-fits'),
            )
            : null;
    }

    /** A flat pane against the water behind it; bent glass is judged by nobody here. */
    private function pane(): ?Mistake
    {
        $vessel = $this->plan->vessel;
        $glass = $vessel->measures()['glass'] ?? null;
        $line = $this->plan->waterLine;
        $length = $vessel->outline()->longestPane();
        if (null === $glass || null === $length || $vessel->shape()->isOutdoor() || $line < self::LOW) {
            return null;
        }
        $braced = $this->plan->stand->braced;
        $needed = Pane::needed($length, $line, $braced);
        if ($glass >= self::WORN * $needed) {
            return null;
        }
        $sold = Pane::sold($needed);

        return new Mistake(
            'pane',
            'vessel',
            new Message(
                'mistake.pane',
                [
                    'glass' => Amount::thickness($glass),
                    'water' => Amount::length($line),
                    'length' => Amount::length($length),
                    'needed' => Amount::thickness($sold),
                    'braced' => $braced ? 'yes' : 'no',
                    'enoughBraced' => !$braced && $glass >= Pane::needed($length, $line, true) ? 'yes' : 'no',
                ],
            ),
            false,
            [new SetNumber('vessel.glass', $sold)],
            new Message('fix.pane', ['glass' => Amount::thickness($sold)]),
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
                    new Message(
                        'mistake.headroom',
                        [
                            'plant' => $clump->kind->common,
                            'height' => Amount::length($top - $plan->waterLine, $room - $plan->waterLine),
                            'room' => Amount::length($room - $plan->waterLine, $top - $plan->waterLine),
                        ],
                    ),
                    PlantRole::HousePlant === $clump->kind->role,
                )
                : null;
        }

        return $found;
    }
}
