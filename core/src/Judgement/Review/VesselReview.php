<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Review;

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
                    \sprintf(
                        'It weighs %s when filled; the stand’s load limit is %s. Find a stronger one, or build a smaller tank.',
                        $this->mass($full),
                        $this->mass($site->bears),
                    ),
                )
                : null,
            0.0 === $site->bears && $full > self::HEAVY
                ? new Mistake(
                    'support-unknown',
                    'vessel',
                    \sprintf('It weighs %s when filled: find out the stand’s load limit.', $this->mass($full)),
                    true,
                )
                : null,
            $height - $plan->bed->meanDepth() > self::REACH
                ? new Mistake(
                    'reach',
                    'vessel',
                    \sprintf(
                        'From rim to bed it is %s: farther than an arm reaches. Plan for tongs, or a deeper bed.',
                        $this->length($height - $plan->bed->meanDepth()),
                    ),
                )
                : null,
            $site->above < self::ROOM
                ? new Mistake(
                    'room-above',
                    'vessel',
                    \sprintf(
                        'Only %s of clearance above the rim: no hand, tongs or lamp gets in. Leave at least %s.',
                        $this->length($site->above),
                        $this->length(self::ROOM),
                    ),
                )
                : null,
            $gap < self::RIM_GAP && !$site->sealed
                ? new Mistake(
                    'rim',
                    'vessel',
                    \sprintf('The water stands %s under the rim: it will overflow when you reach in.', $this->length($gap)),
                    false,
                    [new SetNumber('waterLine', $lower)],
                    \sprintf('Water line at %s', $this->length($lower)),
                )
                : null,
            $this->jumpers() && !$site->lid && !$site->sealed && $gap < self::LEAP
                ? new Mistake(
                    'lid',
                    'vessel',
                    'Jumpers, no lid, and the water close under the rim: cover it, or lower the water line while they settle.',
                    false,
                    [new Choose('site.lid', true)],
                    'Put a lid on',
                )
                : null,
        ];
    }

    private function jumpers(): bool
    {
        return [] !== array_filter($this->plan->groups, static fn (Group $g): bool => $g->kind->jumper);
    }
}
