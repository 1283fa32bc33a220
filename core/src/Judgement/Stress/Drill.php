<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Stress;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Basis\TimeLimit\NoTimeLimit;
use Olvek\Core\Basis\TimeLimit\TimeLimit;
use Olvek\Core\Judgement\Margin\AmmoniaMargin;
use Olvek\Core\Judgement\Margin\DawnOxygen;
use Olvek\Core\Judgement\Margin\MarginState;
use Olvek\Core\Judgement\Margin\Nitrite;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Simulation\Run\UsualCare;

/** Rehearses mishaps on a plan: each happens once to the grown tank, and is watched by the hour. */
final readonly class Drill
{
    /** Day of the mishap where animals are in by then, and days after the last animals came. J: the tank has grown in. */
    private const USUAL_DAY = 120;
    private const SETTLED = 30;
    private const LATEST = 365;
    /** mg/L of O2, and mg N/L, by which a mishap must be worse than the day before to be blamed. J. */
    private const WORSE_OXYGEN = 0.3;
    private const WORSE = 0.02;

    /**
     * @param TimeLimit $patience when it is spent, what was rehearsed by then is given
     *
     * @return list<Rehearsal>
     */
    public static function run(Plan $plan, TimeLimit $patience = new NoTimeLimit()): array
    {
        $day = min(
            self::LATEST,
            max(self::USUAL_DAY, self::SETTLED + max([0, ...array_map(static fn ($g): int => $g->day, $plan->groups)])),
        );
        $found = [];
        $usual = null;
        foreach (Mishap::cases() as $mishap) {
            if (!$mishap->concerns($plan)) {
                continue;
            }
            if ($patience->isSpent()) {
                break;
            }
            $usual ??= self::watch($plan, [], $day, 28);
            $found[] = self::told($plan, $mishap, $day, self::watch($plan, $mishap->events($plan, $day), $day, $mishap->watched()), $usual);
        }

        return $found;
    }

    /**
     * @param list<\Olvek\Core\Planning\Event\Event> $events none for usual care
     *
     * @return array{oxygen: float, ammonia: float, nitrite: float, hours: float|null, lost: float} worst of the days watched; hours
     *     until the first limit was passed
     */
    private static function watch(Plan $plan, array $events, int $day, int $days): array
    {
        [$least] = DawnOxygen::limits($plan);
        $worst = ['oxygen' => \INF, 'ammonia' => 0.0, 'nitrite' => 0.0, 'hours' => null, 'lost' => 0.0];
        $trace = (new Runner($plan))->run($day + $days, [] === $events ? UsualCare::events() : $events, 1, null, static function (
            int $n,
            int $hour,
            array $water,
        ) use (&$worst, $day, $least): void {
            if ($n < $day) {
                return;
            }
            $worst['oxygen'] = min($worst['oxygen'], $water['oxygen']);
            $worst['ammonia'] = max($worst['ammonia'], $water['ammonia']);
            $worst['nitrite'] = max($worst['nitrite'], $water['nitrite']);
            if ($water['oxygen'] < $least || $water['ammonia'] > AmmoniaMargin::TEST_ACT || $water['nitrite'] > Nitrite::ACT) {
                $worst['hours'] ??= 24.0 * ($n - $day) + $hour + 1;
            }
        });
        foreach ($plan->groups as $i => $group) {
            $before = $trace->heads[$day - 1][$i];
            foreach (\array_slice($trace->heads, $day) as $heads) {
                $worst['lost'] = max($worst['lost'], $before > 0 ? 1 - $heads[$i] / $before : 0.0);
            }
        }

        return $worst;
    }

    /**
     * @param array{oxygen: float, ammonia: float, nitrite: float, hours: float|null, lost: float} $worst
     * @param array{oxygen: float, ammonia: float, nitrite: float, hours: float|null, lost: float} $usual
     */
    private static function told(Plan $plan, Mishap $mishap, int $day, array $worst, array $usual): Rehearsal
    {
        [$least, $good] = DawnOxygen::limits($plan);
        $worse =
            $worst['oxygen'] < $usual['oxygen'] - self::WORSE_OXYGEN
            || $worst['ammonia'] > $usual['ammonia'] + self::WORSE
            || $worst['nitrite'] > $usual['nitrite'] + self::WORSE;
        $state = match (true) {
            !$worse => MarginState::Holds,
            null !== $worst['hours'] => MarginState::Fails,
            $worst['oxygen'] < $good,
            $worst['ammonia'] > AmmoniaMargin::TEST_SHOWS,
            $worst['nitrite'] > Nitrite::WATCH => MarginState::Tight,
            default => MarginState::Holds,
        };
        $what = [
            ...$worst['oxygen'] < $good ? [new Message('rehearsal.oxygen', ['oxygen' => $worst['oxygen']])] : [],
            ...$worst['ammonia'] > AmmoniaMargin::TEST_SHOWS / 2
                ? [new Message('rehearsal.ammonia', ['ammonia' => $worst['ammonia']])]
                : [],
            ...$worst['nitrite'] > Nitrite::WATCH / 2
                ? [new Message('rehearsal.nitrite', ['nitrite' => $worst['nitrite']])]
                : [],
            ...null === $worst['hours'] ? [] : [self::passed($worst['hours'])],
        ];

        return new Rehearsal(
            $mishap,
            $state,
            $mishap->begins($day),
            $worse ? $worst['hours'] : null,
            $worst['ammonia'],
            $worst['nitrite'],
            $worst['oxygen'],
            $worse && [] !== $what
                ? $what
                : [new Message('rehearsal.fine', ['oxygen' => $worst['oxygen']])],
        );
    }

    private static function passed(float $hours): Message
    {
        return $hours < 48
            ? new Message('rehearsal.hours', ['hours' => (int) round($hours)])
            : new Message('rehearsal.days', ['days' => (int) round($hours / 24)]);
    }
}
