<?php

declare(strict_types=1);

namespace Olvek\Core\Margin;

use Olvek\Core\Plan\Plan;
use Olvek\Core\Unit\Decimal;
use Olvek\Core\Unit\Ion;
use Olvek\Core\Unit\Provenance;

/**
 * What plants and bacteria can take up at a safe ammonia level, against the day's waste: the question of the whole trade.
 * Judged on the worst of the days on which animals are in.
 */
final class Uptake
{
    private const LEAST = 1.0;
    /** Half as much again to spare. J. */
    private const GOOD = 1.5;
    /** Days on which the ledger is drawn up; close where things change fast. */
    public const DAYS = [1, 2, 3, 5, 7, 10, 14, 18, 21, 24, 28, 35, 42, 60, 90, 120, 180, 270, 365];
    /** Shown where nothing is given off. */
    private const PLENTY = 9.0;

    /** The ledger of the day on which uptake is closest to supply while animals are in (all days where there are none). */
    public static function worst(Plan $plan, Account $account): Ledger
    {
        $from = $plan->firstAnimals() ?? 0;
        $worst = null;
        foreach (self::days($from, $plan->feedFrom) as $day) {
            $ledger = $account->onDay((float) $day);
            if (null === $worst || self::ratio($ledger) < self::ratio($worst)) {
                $worst = $ledger;
            }
        }
        \assert(null !== $worst);

        return $worst;
    }

    public static function margin(Plan $plan, Ledger $worst): Margin
    {
        $ratio = min(self::PLENTY, self::ratio($worst));
        $animals = null !== $plan->firstAnimals();
        $times = ($ratio < self::PLENTY ? '' : 'more than ').Decimal::trimmed($ratio, 1);
        $supply = Decimal::significant($worst->supply, 2);
        $capacity = Decimal::significant($worst->capacity, 2);
        $day = (int) $worst->day;
        $whose = $animals ? 'animals, soil and rot' : 'soil and rot';

        return new Margin('uptake', 'Waste taken up', $ratio, self::LEAST, self::GOOD, $day,
            $worst->supply < 1e-6 ? 'no waste' : ($ratio < self::PLENTY ? '' : '> ').Decimal::trimmed($ratio, 1).' ×',
            match (true) {
                $worst->supply < 1e-6 => 'Nothing gives off waste yet.',
                $ratio < self::LEAST => "On day $day $whose give off $supply mg of nitrogen; plants and bacteria can safely take up only $capacity mg.",
                $ratio < self::GOOD => "On day $day plants and bacteria can safely take up $capacity mg of nitrogen and get $supply mg: it works, with little to spare.",
                default => "Even on its hardest day (day $day) plants and bacteria can safely take up $times times the $supply mg of nitrogen they get.",
            },
            [
                new Term('nitrogen given off as ammonia', "$supply mg N a day", Provenance::Published, 'excretion: Timmons & Ebeling 2010; soil and rot: see ledger'),
                new Term('safe ammonia', Decimal::significant($worst->safe, 2).' mg N/L', Provenance::Published, 'EIFAC 1970, US EPA 2013; never above what a drop test shows'),
                new Term('taken up at that level', "$capacity mg N a day", Provenance::Judgement),
                new Term('ammonia settles at', ($worst->keepsUp ? '' : 'more than ').Decimal::significant($worst->ammonia, 2).' mg N/L'),
                new Term('of it un-ionised', Decimal::significant($worst->unionised * 100, 2).' %', Provenance::Published, 'Emerson and others 1975'),
                new Term('nitrate heads for', Decimal::significant(Ion::Nitrate->fromElement($worst->nitrate), 2).' mg/L as NO₃'),
            ],
            match (true) {
                $ratio >= self::GOOD => '',
                $day <= 28 && $animals => 'More fast stems and floaters, animals later, or bacteria from a running tank.',
                default => 'More fast plants or floaters, less food, or fewer animals.',
            });
    }

    private static function ratio(Ledger $ledger): float
    {
        return $ledger->supply < 1e-9 ? \INF : $ledger->capacity / $ledger->supply;
    }

    /** @return list<int> */
    private static function days(int $animals, int $feeding): array
    {
        $days = array_filter(self::DAYS, static fn (int $d): bool => $d >= $animals);
        foreach ([$animals, max($animals, $feeding)] as $start) {
            $days = [...$days, $start, $start + 3, $start + 14, $start + 60];
        }
        $days = array_unique($days);
        sort($days);

        return $days;
    }
}
