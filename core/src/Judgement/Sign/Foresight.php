<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Sign;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\Words;
use Olvek\Core\Judgement\Margin\AmmoniaMargin;
use Olvek\Core\Judgement\Margin\DawnOxygen;
use Olvek\Core\Judgement\Margin\Nitrite;
use Olvek\Core\Keeping\Estimation\Estimator;
use Olvek\Core\Keeping\Estimation\Member;
use Olvek\Core\Keeping\Estimation\Quantity;
use Olvek\Core\Keeping\Log\LoggedEvent;
use Olvek\Core\Keeping\Log\Reading;
use Olvek\Core\Keeping\Log\Sign;
use Olvek\Core\Nature\Water\Measure;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Simulation\Run\Alga;

/** Reads a tank by itself: what its logbook and the days ahead show coming. It says little, and what somebody can do something about. */
final class Foresight
{
    /** Days for which what was logged is news, and days ahead that are looked at. J. */
    private const NEWS = 7;
    private const AHEAD = 14;
    /** Tanks of the band that readings are held against. J: its ends need no more to be told. */
    private const TANKS = 12;
    /** Widths of that band beyond it, from which a reading has left it. J. */
    private const BEYOND = 0.5;
    /** Times the food before that is doubled, or nearly. */
    private const DOUBLED = 1.8;
    /** Animals in a week that are a loss to ask about. J. */
    private const LOST = 2;
    /** Share of their growth for which plants find food, below which growth all but stops. J, as the margin FedPlants has it. */
    private const STOPPED = 0.3;

    /** @return list<Notice> the urgent first */
    public static function of(TankCase $case): array
    {
        $notices = array_values(array_filter([
            ...self::readings($case),
            self::food($case),
            self::losses($case),
            self::oxygen($case),
            self::algae($case),
            self::growth($case),
        ]));
        usort($notices, static fn (Notice $a, Notice $b): int => [$b->isUrgent, $a->day] <=> [$a->isUrgent, $b->day]);

        return $notices;
    }

    /** @return list<Notice> */
    private static function readings(TankCase $case): array
    {
        $animals = [] !== $case->groups();
        $notices = [];
        foreach ([
            [Measure::Ammonia, AmmoniaMargin::TEST_SHOWS, Sign::GaspingAllDay],
            [Measure::Nitrite, Nitrite::WATCH, Sign::GaspingAllDay],
        ] as [$measure, $limit, $sign]) {
            $read = $case->log->latest($measure);
            if ($animals && null !== $read && self::isNews($case, $read->day) && $read->value >= $limit) {
                $notices[] = new Notice(
                    $measure->value,
                    $sign,
                    \sprintf('%s with animals in.', self::read($case, $read)),
                    $read->day,
                    isUrgent: true,
                );
            }
        }
        $known = array_map(static fn (Notice $n): string => $n->id, $notices);
        foreach (self::beyond($case) as $notice) {
            if (!\in_array($notice->id, $known, true)) {
                $notices[] = $notice;
            }
        }

        return $notices;
    }

    /** @return list<Notice> readings that the plan and the logbook do not explain */
    private static function beyond(TankCase $case): array
    {
        $news = [];
        foreach ([Measure::Nitrate, Measure::Temperature, Measure::GeneralHardness, Measure::Ammonia] as $measure) {
            $read = $case->log->latest($measure);
            $quantity = Quantity::of($measure);
            if (null !== $read && null !== $quantity && self::isNews($case, $read->day)) {
                $news[] = [$read, $quantity];
            }
        }
        if ([] === $news) {
            return [];
        }
        $estimator = new Estimator($case->plan, $case->log, $case->day);
        $members = array_map(
            static fn (array $scores): Member => $estimator->run($scores, true),
            \array_slice($estimator->prior(), 0, self::TANKS),
        );
        $notices = [];
        foreach ($news as [$read, $quantity]) {
            $values = array_map(static fn (Member $m): float => $m->column($quantity)[$read->day] ?? $read->value, $members);
            \assert([] !== $values);
            [$low, $high] = [min($values), max($values)];
            // A test is read no finer than what it just shows.
            $width = max($high - $low, 2 * $read->measure->nothingBelow());
            if ($read->value > $high + self::BEYOND * $width || $read->value < $low - self::BEYOND * $width) {
                $notices[] = new Notice(
                    $read->measure->value,
                    self::sign($read, $read->value > $high),
                    \sprintf(
                        '%s, where %s were to be expected.',
                        self::read($case, $read),
                        $quantity->between($low, $high, $case->kit, $case->units),
                    ),
                    $read->day,
                );
            }
        }

        return $notices;
    }

    /** What would show next. */
    private static function sign(Reading $read, bool $high): Sign
    {
        return match ($read->measure) {
            Measure::Nitrate => $high ? Sign::Threads : Sign::YellowOldLeaves,
            Measure::Temperature => $high ? Sign::Gasping : Sign::Hiding,
            Measure::GeneralHardness => $high ? Sign::Crust : Sign::WornShells,
            default => Sign::GaspingAllDay,
        };
    }

    private static function food(TankCase $case): ?Notice
    {
        $before = $case->plan->feedFrom <= $case->day ? $case->plan->feed->grams : 0.0;
        $notice = null;
        foreach ($case->log->of(EventKind::Feed) as $logged) {
            if (self::isNews($case, $logged->day) && $before > 0.0 && $logged->amount >= self::DOUBLED * $before) {
                $notice = new Notice(
                    'food',
                    Sign::ManySnails,
                    \sprintf(
                        'Food went from %s to %s mg a day on day %d: look for snails, film and haze in the next weeks.',
                        Decimal::significant(1000 * $before, 2),
                        Decimal::significant(1000 * $logged->amount, 2),
                        $logged->day,
                    ),
                    $logged->day,
                );
            }
            $before = $logged->amount;
        }

        return $notice;
    }

    private static function losses(TankCase $case): ?Notice
    {
        $lost = $case->lately(EventKind::Lost, self::NEWS);
        $heads = (int) array_sum(array_map(static fn (LoggedEvent $e): float => $e->amount, $lost));

        return $heads < self::LOST ? null : new Notice(
            'losses',
            Sign::Dead,
            \sprintf('%d animals died since day %d.', $heads, $lost[0]->day),
            $lost[0]->day,
            $lost[0]->of,
            true,
        );
    }

    private static function oxygen(TankCase $case): ?Notice
    {
        if ([] === $case->groups()) {
            return null;
        }
        [$act] = DawnOxygen::limits($case->plan);
        foreach (self::ahead($case) as $day) {
            if ($case->trace->columns['oxygen'][$day] < $act) {
                return new Notice(
                    'oxygen',
                    Sign::Gasping,
                    \sprintf(
                        'By the run, oxygen falls to %s mg/L at dawn around day %d: move the surface before then.',
                        Decimal::significant($case->trace->columns['oxygen'][$day], 2),
                        $day,
                    ),
                    $case->day,
                    isUrgent: true,
                );
            }
        }

        return null;
    }

    private static function algae(TankCase $case): ?Notice
    {
        $film = $case->trace->columns['algae'];
        foreach (self::ahead($case) as $day) {
            if ($film[$case->day] < Alga::SHOWS && $film[$day] >= Alga::SHOWS) {
                return new Notice(
                    'algae',
                    Sign::GreenDust,
                    "By the run, algae begin to show around day $day: an hour less light now is worth more than two then.",
                    $case->day,
                );
            }
        }

        return null;
    }

    /** Plants that stop for want of food, within the next days. */
    private static function growth(TankCase $case): ?Notice
    {
        $worst = null;
        foreach ($case->clumps() as $i) {
            $fed = 0.0;
            $days = self::ahead($case);
            foreach ($days as $day) {
                $fed += ($case->trace->fed[$day][$i] ?? 1.0) / max(1, \count($days));
            }
            if ($fed < self::STOPPED && [] !== $days && (null === $worst || $fed < $worst[1])) {
                $worst = [$i, $fed];
            }
        }
        if (null === $worst) {
            return null;
        }
        $clump = $case->plan->clumps[$worst[0]];

        return new Notice(
            'growth',
            Sign::PaleTips,
            \sprintf(
                'By the run, %s finds food for %s %% of its growth in the next two weeks, and is short of %s first.',
                Words::small($clump->kind->common),
                Decimal::trimmed(100 * $worst[1], 0),
                $case->trace->shortOf[min($case->trace->days() - 1, $case->day + 1)][$worst[0]] ?? 'nitrogen',
            ),
            $case->day,
            $clump->id,
        );
    }

    /** @return list<int> the next days */
    private static function ahead(TankCase $case): array
    {
        $last = min($case->trace->days() - 1, $case->day + self::AHEAD);

        return $last > $case->day ? range($case->day + 1, $last) : [];
    }

    private static function isNews(TankCase $case, int $day): bool
    {
        return $day > $case->day - self::NEWS;
    }

    private static function read(TankCase $case, Reading $read): string
    {
        return \sprintf(
            '%s read %s on day %d',
            Words::capital($read->measure->label()),
            $case->kit->show($read->measure, $read->value, $case->units),
            $read->day,
        );
    }
}
