<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Review;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Planning\Change\Choose;
use Olvek\Core\Planning\Change\SetNumber;

/** Too much light for a new tank, or none. C, where nothing else is said. */
final readonly class LightReview extends Review
{
    /** µmol/m²/s on the water of a new tank above which algae come before plants take hold. J. */
    private const BRIGHT = 130.0;

    public function mistakes(): array
    {
        $plan = $this->plan;
        $lamp = $plan->lamp;
        $full = $lamp->brightest($plan->surface());
        $first = $full * $lamp->programme->startShare;
        $share = max(5, 5 * (int) floor(20 * min(0.6, self::BRIGHT / max(1.0, $full))));

        return [
            $first > self::BRIGHT && 0 === $lamp->programme->allDay
                ? new Mistake(
                    'bright',
                    'light',
                    new Message('mistake.bright', ['light' => (int) round($first)]),
                    false,
                    [
                        new SetNumber('light.startShare', $share / 100),
                        new SetNumber('light.stepShare', 0.05),
                        new Choose('light.held', true),
                    ],
                    new Message('fix.bright', ['share' => $share]),
                )
                : null,
            $lamp->lumens <= 0 && !$plan->site->daylight()->any()
                ? new Mistake(
                    'dark',
                    'light',
                    new Message('mistake.dark'),
                    true,
                )
                : null,
        ];
    }
}
