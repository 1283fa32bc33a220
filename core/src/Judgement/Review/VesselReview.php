<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Review;

use Olvek\Core\Basis\Message\Amount;
use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Planning\Change\Choose;
use Olvek\Core\Planning\Change\SetNumber;
use Olvek\Core\Planning\Plan\Group;
use Olvek\Core\Planning\Plan\Quantities;

/** What of vessel, place and water line keepers regret. C, where nothing else is said. */
final readonly class VesselReview extends Review
{
    /** m that an arm reaches into a tank with comfort, and m of room that it needs above. J. */
    private const REACH = 0.5;
    private const ROOM = 0.25;
    /** m of rim gap that a hand needs, and that jumpers clear. J. */
    private const RIM_GAP = 0.015;
    public const LEAP = 0.06;
    /** kg above which a support should be known to bear it. J. */
    private const HEAVY = 40.0;

    public function mistakes(): array
    {
        $plan = $this->plan;
        $site = $plan->site;
        $full = Quantities::of($plan)->fullMass;
        $height = $plan->vessel->height();
        $gap = $height - $plan->waterLine;
        $lower = max(0.6 * $height, $height - 2 * self::RIM_GAP);

        return [
            $site->bears > 0 && $full > $site->bears
                ? new Mistake(
                    'support',
                    'vessel',
                    new Message('mistake.support', ['mass' => Amount::mass($full), 'limit' => Amount::mass($site->bears)]),
                )
                : null,
            0.0 === $site->bears && $full > self::HEAVY
                ? new Mistake(
                    'support-unknown',
                    'vessel',
                    new Message('mistake.support-unknown', ['mass' => Amount::mass($full)]),
                    true,
                )
                : null,
            $height - $plan->bed->meanDepth() > self::REACH
                ? new Mistake(
                    'reach',
                    'vessel',
                    new Message('mistake.reach', ['depth' => Amount::length($height - $plan->bed->meanDepth())]),
                )
                : null,
            $site->above < self::ROOM
                ? new Mistake(
                    'room-above',
                    'vessel',
                    new Message('mistake.room-above', ['room' => Amount::length($site->above), 'least' => Amount::length(self::ROOM)]),
                )
                : null,
            $gap < self::RIM_GAP && !$site->sealed
                ? new Mistake(
                    'rim',
                    'vessel',
                    new Message('mistake.rim', ['gap' => Amount::length($gap)]),
                    false,
                    [new SetNumber('waterLine', $lower)],
                    new Message('fix.water-line', ['height' => Amount::length($lower)]),
                )
                : null,
            $this->jumpers() && !$site->lid && !$site->sealed && $gap < self::LEAP
                ? new Mistake(
                    'lid',
                    'vessel',
                    new Message('mistake.lid'),
                    false,
                    [new Choose('site.lid', true)],
                    new Message('fix.lid'),
                )
                : null,
        ];
    }

    private function jumpers(): bool
    {
        return [] !== array_filter($this->plan->groups, static fn (Group $g): bool => $g->kind->jumper);
    }
}
