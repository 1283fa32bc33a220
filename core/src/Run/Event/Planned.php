<?php

declare(strict_types=1);

namespace Olvek\Core\Run\Event;

use Olvek\Core\Plan\Occasion;
use Olvek\Core\Plan\OccasionKind;
use Olvek\Core\Plan\Plan;

/** What a plan has written into its days, as events of a run. */
final class Planned
{
    /** @return list<Event> */
    public static function events(Plan $plan): array
    {
        return array_map(static fn (Occasion $o): Event => self::event($o, $plan), $plan->occasions);
    }

    private static function event(Occasion $occasion, Plan $plan): Event
    {
        $day = $occasion->day;
        $value = static fn (string $name): float => (float) $occasion->values[$name];
        $days = (int) ($occasion->values['days'] ?? 0);

        return match ($occasion->kind) {
            OccasionKind::Change => new Change($day, $value('share')),
            OccasionKind::Trim => new Trim($day, (int) array_search($occasion->clump, array_column($plan->clumps, 'id'), true), $value('share')),
            OccasionKind::Feed => new Feeding($day, $value('grams')),
            OccasionKind::Light => new Lighting($day, $value('hours'), $value('strength')),
            OccasionKind::LampOff => new LampOff($day, $days),
            OccasionKind::Spell => new Spell($day, $days, $value('degrees')),
            OccasionKind::Holiday => new Holiday($day, $days),
            OccasionKind::Leaves => new Leaves($day, $value('grams')),
            OccasionKind::Fertilise => new Fertilise($day, $value('nitrogen'), $value('phosphorus'), $value('potassium'), $value('iron')),
            OccasionKind::Dose => new Dose($day, $value('milligramsPerLitre')),
        };
    }
}
