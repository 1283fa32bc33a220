<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Ask;

use Olvek\Core\Keeping\Estimation\Estimate;
use Olvek\Core\Keeping\Estimation\Quantity;
use Olvek\Core\Keeping\Log\Log;
use Olvek\Core\Keeping\Log\LoggedEvent;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Event\WaterChangeRoutine;
use Olvek\Core\Planning\Plan\Group;
use Olvek\Core\Planning\Plan\Plan;

/** How a tank stands today, as its logbook says, and its plan where that is silent. */
final readonly class Now
{
    /**
     * @param float       $food        g a day
     * @param float       $hours       of the lamp
     * @param int         $changeEvery days between changes of water, 0 for never
     * @param float       $cover       share of the surface under floaters
     * @param list<string> $in         groups that are in
     */
    private function __construct(
        public Plan $plan,
        public int $day,
        public float $food,
        public float $hours,
        public int $changeEvery,
        public float $cover,
        private array $in,
    ) {
    }

    public static function of(Plan $plan, Log $log, int $today, Estimate $estimate): self
    {
        $every = [0 => $plan->care->changeShare > 0 ? $plan->care->changeEvery : 0];
        $food = [0 => $plan->feedFrom <= $today ? $plan->feed->grams : 0.0];
        $hours = [0 => $plan->lamp->hours];
        foreach ($plan->events as $planned) {
            $event = $planned->event();
            if ($planned->day <= $today && $event instanceof WaterChangeRoutine) {
                $every[$planned->day] = $event->every;
            }
        }
        foreach ($log->upTo($today)->events as $logged) {
            match ($logged->kind) {
                EventKind::Feed => $food[$logged->day] = $logged->amount,
                EventKind::Light => $hours[$logged->day] = $logged->amount,
                default => null,
            };
        }
        $in = array_map(static fn (LoggedEvent $e): string => (string) $e->of, $log->upTo($today)->of(EventKind::Stock));

        return new self(
            $plan,
            $today,
            self::newest($food),
            self::newest($hours),
            (int) self::newest($every),
            $estimate->on(Quantity::Cover, $today)[1],
            $in,
        );
    }

    /** Whether animals of a group have come. */
    public function isIn(Group $group): bool
    {
        return \in_array($group->id, $this->in, true);
    }

    /** @param non-empty-array<int, float|int> $values by day */
    private static function newest(array $values): float
    {
        return (float) $values[max(array_keys($values))];
    }
}
