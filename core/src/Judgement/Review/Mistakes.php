<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Review;

use Olvek\Core\Planning\Plan\Plan;

/**
 * Looks a plan through for the mistakes that keepers name, before they happen. What the margins say already (too few plants for the fish,
 * say) is left to them.
 */
final class Mistakes
{
    /** @var list<class-string<Review>> in working order */
    private const REVIEWS = [
        VesselReview::class,
        BedReview::class,
        HardscapeReview::class,
        LightReview::class,
        PlantReview::class,
        WaterReview::class,
        AnimalReview::class,
        StartReview::class,
        FitsReview::class,
        GroundReview::class,
        TechniqueReview::class,
    ];

    /** @return list<Mistake> in working order */
    public static function in(Plan $plan): array
    {
        $found = [];
        foreach (self::REVIEWS as $review) {
            array_push($found, ...array_filter((new $review($plan))->mistakes()));
        }

        return $found;
    }
}
