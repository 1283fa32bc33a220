<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Sign;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Judgement\Sign\Facts\FoodFacts;
use Olvek\Core\Nature\Water\Measure;
use Olvek\Core\Planning\Change\AddEvent;
use Olvek\Core\Planning\Change\Change;
use Olvek\Core\Planning\Event\EventKind;

/** What of a cause's advice Olvek can plan and try: an event of days to come, with the amount that is usual. */
enum Remedy: string
{
    case Fertilise = 'fertilise';
    case ShorterLight = 'light';
    case LongerLight = 'lighter';
    case ThinFloaters = 'thin';
    case LessFood = 'feed';
    case MoreFood = 'feed-more';
    case ChangeWater = 'change';
    case Darken = 'dark';

    /** h by which a lamp is set shorter, and longer. C: an hour or two at once to less, half an hour a week to more. */
    private const SHORTER = 1.5;
    private const LONGER = 0.5;
    private const LEAST_HOURS = 5.0;
    private const MOST_HOURS = 14.0;
    /** Share of the surface that floaters are left. C: a third. */
    private const LEFT = 0.33;
    private const LESS = 0.5;
    private const MORE = 1.5;
    /** Share of the water. C: a third to a half where animals suffer. */
    public const CHANGED = 0.4;
    /** Days of darkness. C. */
    private const DARK = 3;
    /** Part of a usual dose that is tried first. C: a tiny one. */
    private const DOSE = 0.5;

    /** @return list<Change> of the plan, from a day on; none where there is nothing to change in this tank */
    public function changes(TankCase $case, int $day): array
    {
        $hours = $case->trace->columns['lampHours'][$case->day];
        $food = FoodFacts::now($case);

        return match ($this) {
            self::Fertilise => [new AddEvent(EventKind::Fertilise, $day, null, self::DOSE * self::usualDose())],
            self::ShorterLight => $hours > self::LEAST_HOURS
                ? [new AddEvent(EventKind::Light, $day, null, max(self::LEAST_HOURS, $hours - self::SHORTER))]
                : [],
            self::LongerLight => $hours > 0.0
                ? [new AddEvent(EventKind::Light, $day, null, min(self::MOST_HOURS, $hours + self::LONGER))]
                : [],
            self::ThinFloaters => self::thinned($case, $day),
            self::LessFood => $food > 0.0 ? [new AddEvent(EventKind::Feed, $day, null, round(self::LESS * $food, 4))] : [],
            self::MoreFood => $food > 0.0 ? [new AddEvent(EventKind::Feed, $day, null, round(self::MORE * $food, 4))] : [],
            self::ChangeWater => [new AddEvent(EventKind::Change, $day, null, self::CHANGED)],
            self::Darken => [new AddEvent(EventKind::LampOff, $day, null, self::DARK)],
        };
    }

    /** mg N/L. */
    private static function usualDose(): float
    {
        return EventKind::Fertilise->amount()->usual ?? 0.0;
    }

    public function words(TankCase $case): string
    {
        $hours = $case->trace->columns['lampHours'][$case->day];
        $food = 1000 * FoodFacts::now($case);

        return match ($this) {
            self::Fertilise => 'half a usual dose of fertiliser',
            self::ShorterLight => \sprintf('lamp for %s h a day', Decimal::trimmed(max(self::LEAST_HOURS, $hours - self::SHORTER), 1)),
            self::LongerLight => \sprintf('lamp for %s h a day', Decimal::trimmed(min(self::MOST_HOURS, $hours + self::LONGER), 1)),
            self::ThinFloaters => 'floaters thinned to a third of the surface',
            self::LessFood => \sprintf('%s mg of food a day', Decimal::significant(self::LESS * $food, 2)),
            self::MoreFood => \sprintf('%s mg of food a day', Decimal::significant(self::MORE * $food, 2)),
            self::ChangeWater => \sprintf('%d %% of the water changed', (int) (100 * self::CHANGED)),
            self::Darken => \sprintf('the tank dark for %d days', self::DARK),
        };
    }

    /** @return list<Change> */
    private static function thinned(TankCase $case, int $day): array
    {
        $cover = $case->level(Measure::Cover, 'cover', '')->value;
        $most = null;
        foreach ($case->plan->clumps as $i => $clump) {
            $grams = $case->trace->clumps[$case->day][$i];
            // Of several kinds, the one of which there is most.
            if ($clump->floats() && (null === $most || $grams > $most[1])) {
                $most = [$clump->id, $grams];
            }
        }
        if (null === $most || $cover <= self::LEFT) {
            return [];
        }

        return [new AddEvent(EventKind::Trim, $day, $most[0], round(1 - self::LEFT / $cover, 2))];
    }
}
