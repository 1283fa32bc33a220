<?php

declare(strict_types=1);

namespace Olvek\Core\Simulation\Run;

use Olvek\Core\Planning\Event\Event;
use Olvek\Core\Planning\Event\ThinFloaters;
use Olvek\Core\Planning\Event\TrimOvergrown;

/** What a keeper does without being told: floaters are thinned before they close the surface, what overgrows is cut back. All C. */
final class UsualCare
{
    /** Shares of the surface at which floaters are thinned, and to which. */
    public const FLOATERS_ABOVE = 0.6;
    private const FLOATERS_TO = 0.3;
    /** Times the planted mass at which a clump is cut, and to which. */
    private const OVERGROWN = 2.5;
    private const CUT_TO = 1.5;

    /** @return list<Event> */
    public static function events(): array
    {
        return [new ThinFloaters(self::FLOATERS_ABOVE, self::FLOATERS_TO), new TrimOvergrown(self::OVERGROWN, self::CUT_TO)];
    }
}
