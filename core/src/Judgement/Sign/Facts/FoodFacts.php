<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Sign\Facts;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Judgement\Sign\Finding;
use Olvek\Core\Judgement\Sign\Source;
use Olvek\Core\Judgement\Sign\TankCase;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Event\Holiday;
use Olvek\Core\Planning\Plan\UsualAmount;

/** What goes in: food for the animals, and by them for the plants; fertiliser. */
final class FoodFacts
{
    /** Times what the animals need, that is ample and plainly too much; and that is lean and plainly too little. J. */
    private const MUCH = [1.2, 2.0];
    private const LITTLE = [0.7, 0.35];
    /** Times the food before, that is a rise and plainly one; days for which it tells. J. */
    private const RAISED = [1.2, 1.8];
    private const RAISED_DAYS = 35;
    /** mg N a day and L of water: feeds plants, feeds none. J, near what an understocked soil tank gets. */
    private const FEEDS = [0.03, 0.01];
    private const FERTILISED = 14;
    private const AWAY = 21;

    /** @return list<Finding> */
    public static function of(TankCase $case): array
    {
        $found = [self::raised($case), self::plants($case), self::fertilised($case), self::away($case)];
        $grams = self::now($case);
        $need = self::need($case);
        if ($need <= 0.0) {
            return $found;
        }
        $times = $grams / $need;
        $fed = $case->log->of(EventKind::Feed);
        $words = \sprintf(
            '%s mg of food a day, where some %s mg would do',
            Decimal::significant(1000 * $grams, 2),
            Decimal::significant(1000 * $need, 2),
        );
        $source = [] === $fed ? $case->byPlan() : Source::Logged;

        return [
            ...$found,
            new Finding('fed-much', Finding::ramp($times, ...self::MUCH), $words, $source, $case->day),
            new Finding('fed-little', Finding::ramp($times, ...self::LITTLE), $words, $source, $case->day),
        ];
    }

    /** g of food a day now. */
    public static function now(TankCase $case): float
    {
        $grams = $case->plan->feedFrom <= $case->day ? $case->plan->feed->grams : 0.0;
        foreach ($case->log->of(EventKind::Feed) as $logged) {
            $grams = $logged->amount;
        }

        return $grams;
    }

    /** g of food a day that those who are in need. */
    private static function need(TankCase $case): float
    {
        $need = 0.0;
        foreach ($case->plan->groups as $i => $group) {
            $need += UsualAmount::food($group->kind, 1) * ($case->trace->heads[$case->day][$i] ?? 0.0);
        }

        return $need;
    }

    private static function raised(TankCase $case): Finding
    {
        $before = $case->plan->feedFrom <= $case->day ? $case->plan->feed->grams : 0.0;
        $most = 0.0;
        $words = 'Food was not raised in the last weeks';
        $on = null;
        foreach ($case->log->of(EventKind::Feed) as $logged) {
            $times = $before > 0 ? $logged->amount / $before : 0.0;
            if ($logged->day > $case->day - self::RAISED_DAYS && $times > max(1.0, $most)) {
                $most = $times;
                $on = $logged->day;
                $words = \sprintf(
                    'Food went from %s to %s mg a day on day %d',
                    Decimal::significant(1000 * $before, 2),
                    Decimal::significant(1000 * $logged->amount, 2),
                    $logged->day,
                );
            }
            $before = $logged->amount;
        }

        return new Finding('food-doubled', Finding::ramp($most, ...self::RAISED), $words, Source::Logged, $on);
    }

    private static function plants(TankCase $case): Finding
    {
        $nitrogen = $case->mean('food', 2 * TankCase::WINDOW) / $case->plan->netWater();

        return new Finding(
            'few-animals',
            Finding::ramp($nitrogen, ...self::FEEDS),
            \sprintf('Food brings %s mg of nitrogen a day to each litre', Decimal::significant($nitrogen, 2)),
            $case->byRun(),
            $case->day,
        );
    }

    private static function fertilised(TankCase $case): Finding
    {
        $lately = $case->lately(EventKind::Fertilise, self::FERTILISED);
        $weekly = $case->plan->care->fertilises();

        return new Finding(
            'fertilised',
            [] !== $lately || $weekly ? 1.0 : 0.0,
            match (true) {
                [] !== $lately => \sprintf('It was fertilised on day %d', end($lately)->day),
                $weekly => 'The plan fertilises each week',
                default => 'It was not fertilised in the last two weeks',
            },
            [] !== $lately ? Source::Logged : $case->byPlan(),
            [] !== $lately ? end($lately)->day : null,
        );
    }

    private static function away(TankCase $case): Finding
    {
        $spells = [];
        foreach ($case->actual->plan->events as $planned) {
            $event = $planned->event();
            if ($event instanceof Holiday && $planned->day <= $case->day && $planned->day + $event->days > $case->day - self::AWAY) {
                $spells[] = $planned->day;
            }
        }
        foreach ($case->log->of(EventKind::Holiday) as $logged) {
            if ($logged->day + $logged->amount > $case->day - self::AWAY) {
                $spells[] = $logged->day;
            }
        }

        return new Finding(
            'away',
            [] === $spells ? 0.0 : 1.0,
            [] === $spells ? 'Nobody was away in the last weeks' : \sprintf('Nobody was there from day %d', max($spells)),
            [] === $spells ? $case->byPlan() : Source::Logged,
        );
    }
}
