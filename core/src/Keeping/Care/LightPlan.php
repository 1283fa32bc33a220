<?php

declare(strict_types=1);

namespace Olvek\Core\Keeping\Care;

use Olvek\Core\Keeping\Log\Log;
use Olvek\Core\Planning\Plan\Plan;

/** The lamp's programme over the first weeks, as a timer is set: one entry wherever it changes. */
final readonly class LightPlan
{
    /** Weeks beyond which nothing changes any more, whatever the steps. */
    private const LAST_WEEK = 52;

    /**
     * @param int                        $day       after filling, from which it holds
     * @param list<array{string, string}> $stretches on and off, as HH:MM; none while it burns day and night
     * @param float                      $hours     a day
     * @param float                      $share     of its strength, 0–1
     * @param bool                       $gated     true where it waits, or goes back, as long as algae show
     */
    private function __construct(public int $day, public array $stretches, public float $hours, public float $share, public bool $gated)
    {
    }

    /**
     * @param Log $log in which algae were seen, or not: a week with them takes the next step back
     *
     * @return list<self> in the order of days; none without a lamp
     */
    public static function of(Plan $plan, Log $log = new Log()): array
    {
        $lamp = $plan->lamp;
        if ($lamp->lumens <= 0 || $lamp->hours <= 0) {
            return [];
        }
        $programme = $lamp->programme;
        $shares = [$programme->startShare];
        for ($week = 1; $week <= self::LAST_WEEK && $programme->stepShare > 0; ++$week) {
            // Ten steps of 0.1 do not quite make 1.
            $shares[] = round(
                $programme->next($shares[$week - 1], null !== $log->algaeOn(1 === $week ? 0 : 7 * ($week - 1) + 1, 7 * $week)),
                6,
            );
        }
        $days = array_unique([...array_map(static fn (int $week): int => 7 * $week, array_keys($shares)), $programme->allDay]);
        sort($days);
        $entries = [];
        $before = null;
        foreach ($days as $day) {
            $share = $shares[min(\count($shares) - 1, intdiv($day, 7))];
            $hours = $day < $programme->allDay ? 24.0 : $lamp->hours;
            if ([$share, $hours] !== $before) {
                $entries[] = new self(
                    $day,
                    array_map(
                        static fn (array $s): array => [self::clock($s[0]), self::clock($s[1])],
                        $hours >= 24 ? [] : $programme->stretches($hours),
                    ),
                    $hours,
                    $share,
                    $programme->held && $share > $programme->startShare,
                );
                $before = [$share, $hours];
            }
        }

        return $entries;
    }

    /**
     * The entry that holds on a day; null without a lamp.
     *
     * @param list<self> $entries
     */
    public static function on(array $entries, int $day): ?self
    {
        $on = null;
        foreach ($entries as $entry) {
            $on = $entry->day <= max(0, $day) ? $entry : $on;
        }

        return $on;
    }

    /**
     * The entries that begin within a stretch of days.
     *
     * @param list<self> $entries
     *
     * @return list<self>
     */
    public static function within(array $entries, int $from, int $to): array
    {
        return array_values(array_filter($entries, static fn (self $e): bool => $e->day >= $from && $e->day <= $to));
    }

    /** What it says of the lamp, in words: "65 % from 10:00 to 18:00". */
    public function words(): string
    {
        return \sprintf(
            "%d\u{202F}%% %s",
            (int) round(100 * $this->share),
            [] === $this->stretches
                ? 'day and night'
                : implode(', ', array_map(static fn (array $s): string => "from $s[0] to $s[1]", $this->stretches)),
        );
    }

    /**
     * @return array{format: string, version: int, entries: list<array{day: int, allDay: bool, stretches: list<array{on: string,
     * off: string}>, percent: int, waitsForAlgae: bool}>} as a timer's file (docs/formats.md)
     */
    public static function document(Plan $plan, Log $log = new Log()): array
    {
        return [
            'format' => 'olvek.light',
            'version' => 1,
            'entries' => array_map(
                static fn (self $e): array => [
                    'day' => $e->day,
                    'allDay' => [] === $e->stretches,
                    'stretches' => array_map(static fn (array $s): array => ['on' => $s[0], 'off' => $s[1]], $e->stretches),
                    'percent' => (int) round(100 * $e->share),
                    'waitsForAlgae' => $e->gated,
                ],
                self::of($plan, $log),
            ),
        ];
    }

    /** An hour of the day as a clock shows it; what runs past midnight comes round. */
    private static function clock(float $hour): string
    {
        $minutes = (int) round(60 * $hour) % 1440;

        return \sprintf('%02d:%02d', intdiv($minutes, 60), $minutes % 60);
    }
}
