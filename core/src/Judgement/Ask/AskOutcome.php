<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Ask;

use Olvek\Core\Basis\Unit\Ion;
use Olvek\Core\Judgement\Margin\Algae;
use Olvek\Core\Judgement\Margin\AmmoniaMargin;
use Olvek\Core\Judgement\Margin\DawnOxygen;
use Olvek\Core\Judgement\Margin\Nitrate;
use Olvek\Core\Judgement\Margin\Nitrite;
use Olvek\Core\Keeping\Estimation\Member;
use Olvek\Core\Keeping\Estimation\Quantity;
use Olvek\Core\Planning\Plan\Plan;

/**
 * What is looked at where two ways to go on are held against each other: a quantity at its worst or at the end, and what it must not
 * pass.
 */
enum AskOutcome: string
{
    case Ammonia = 'ammonia';
    case Nitrite = 'nitrite';
    case Oxygen = 'oxygen';
    case Nitrate = 'nitrate';
    case Film = 'film';
    case Acidity = 'ph';
    case Phosphate = 'phosphate';
    case Iron = 'iron';
    case Plants = 'plants';
    case Cover = 'cover';

    public function quantity(): Quantity
    {
        return match ($this) {
            self::Ammonia => Quantity::Ammonia,
            self::Nitrite => Quantity::Nitrite,
            self::Oxygen => Quantity::Oxygen,
            self::Nitrate => Quantity::Nitrate,
            self::Film => Quantity::Film,
            self::Acidity => Quantity::Acidity,
            self::Phosphate => Quantity::Phosphate,
            self::Iron => Quantity::Iron,
            self::Plants => Quantity::Plants,
            self::Cover => Quantity::Cover,
        };
    }

    /** "highest", "lowest" of the days ahead, or "at the end". */
    public function when(): string
    {
        return match ($this) {
            self::Ammonia, self::Nitrite, self::Film => 'at its highest',
            self::Oxygen => 'at its lowest',
            default => 'at the end',
        };
    }

    /**
     * One tank's value of the days from tomorrow on.
     *
     * @param Member $member whose first day is today
     */
    public function value(Member $member): float
    {
        $days = \array_slice($member->column($this->quantity()), 1);

        return match (true) {
            [] === $days => 0.0,
            'at its highest' === $this->when() => max($days),
            'at its lowest' === $this->when() => min($days),
            default => end($days),
        };
    }

    /** What it must not pass, on the run's scale; null where nothing is harmed by it. */
    public function limit(Plan $plan): ?float
    {
        return match ($this) {
            self::Ammonia => AmmoniaMargin::TEST_SHOWS,
            self::Nitrite => Nitrite::ACT,
            self::Oxygen => DawnOxygen::need($plan->stock()),
            self::Nitrate => Ion::Nitrate->toElement(Nitrate::WORRY),
            self::Film => Algae::FILM_ACT,
            default => null,
        };
    }

    /** Whether a value keeps to the limit. */
    public function holds(float $value, Plan $plan): bool
    {
        $limit = $this->limit($plan);

        return null === $limit || (self::Oxygen === $this ? $value >= $limit : $value <= $limit);
    }

    /** @return array<string, float> of one tank, by outcome */
    public static function all(Member $member): array
    {
        $all = [];
        foreach (self::cases() as $outcome) {
            $all[$outcome->value] = $outcome->value($member);
        }

        return $all;
    }
}
