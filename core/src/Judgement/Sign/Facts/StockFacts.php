<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Sign\Facts;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Judgement\Sign\Finding;
use Olvek\Core\Judgement\Sign\Source;
use Olvek\Core\Judgement\Sign\TankCase;
use Olvek\Core\Keeping\Log\LoggedEvent;
use Olvek\Core\Keeping\Log\Sighting;
use Olvek\Core\Keeping\Log\Sign;
use Olvek\Core\Planning\Event\EventKind;

/** Who came and who was lost, when, and how many there are. */
final class StockFacts
{
    /** Days after an arrival for which what came along shows, and then fades. C: quarantine is two to four weeks. */
    private const CAME = [24, 40];
    /** Days in which the journey and the new water show. C. */
    private const JUST = [4, 10];
    /** Days after which small animals are old. C: one to three years. */
    private const OLD = [270, 420];
    private const LOST = 14;
    /** How plainly one loss is a series, and each head of it more. J: three leave no doubt. */
    private const ONE = 0.7;
    private const MORE = 0.1;
    /** Times the room that the kinds ask for: full, and too full. J. */
    private const ROOM = [0.8, 1.3];

    /** @return list<Finding> */
    public static function of(TankCase $case): array
    {
        $found = [...self::arrivals($case), self::losses($case)];
        $days = [];
        $litres = 0.0;
        foreach ($case->groups() as $i) {
            $days[] = $case->day - ($case->cameOn($case->plan->groups[$i]) ?? $case->day);
        }
        foreach ($case->plan->groups as $i => $group) {
            $litres += $group->kind->litresEach->value * ($case->trace->heads[$case->day][$i] ?? 0.0);
        }
        if ([] === $days) {
            return $found;
        }
        $share = $litres / $case->plan->netWater();

        return [
            ...$found,
            new Finding(
                'old-animals',
                Finding::ramp((float) max($days), ...self::OLD),
                \sprintf('They came %d days ago', max($days)),
                $case->byPlan(),
            ),
            new Finding(
                'crowded',
                Finding::ramp($share, ...self::ROOM),
                \sprintf(
                    'By their kinds they ask for %s of %s L',
                    Decimal::significant($litres, 2),
                    Decimal::significant($case->plan->netWater(), 2),
                ),
                $case->byRun(),
                $case->day,
            ),
        ];
    }

    /** @return list<Finding> */
    private static function arrivals(TankCase $case): array
    {
        $came = array_filter($case->log->of(EventKind::Stock), static fn (LoggedEvent $e): bool => $e->amount > 0);
        $last = end($came);
        if (false === $last) {
            return array_map(
                static fn (string $fact): Finding => new Finding($fact, 0.0, 'No animals have come', $case->byPlan()),
                ['arrivals', 'just-arrived'],
            );
        }
        $ago = $case->day - $last->day;
        $name = array_column($case->plan->groups, null, 'id')[$last->of ?? '']->kind->common ?? 'Animals';
        $words = \sprintf('%s came on day %d, %d days ago', $name, $last->day, $ago);

        return [
            new Finding('arrivals', 1 - Finding::ramp((float) $ago, ...self::CAME), $words, Source::Logged, $last->day),
            new Finding('just-arrived', 1 - Finding::ramp((float) $ago, ...self::JUST), $words, Source::Logged, $last->day),
        ];
    }

    private static function losses(TankCase $case): Finding
    {
        $lost = $case->lately(EventKind::Lost, self::LOST);
        $heads = array_sum(array_map(static fn (LoggedEvent $e): float => $e->amount, $lost));
        $seen = array_filter(
            $case->log->sightings,
            static fn (Sighting $s): bool => Sign::Dead === $s->sign && $s->day > $case->day - self::LOST && $s->day < $case->day,
        );

        return new Finding(
            'losses',
            [] === $lost ? ([] === $seen ? 0.0 : 1.0) : min(1.0, self::ONE + self::MORE * $heads),
            match (true) {
                [] !== $lost => \sprintf('%d died since day %d, by the logbook', (int) $heads, $lost[0]->day),
                [] !== $seen => 'Dead animals were seen in the last two weeks',
                default => 'The logbook has no losses in the last two weeks',
            },
            Source::Logged,
            [] === $lost ? null : end($lost)->day,
        );
    }
}
