<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin\Harm;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Judgement\Margin\KeptMass;
use Olvek\Core\Judgement\Margin\Outlook;
use Olvek\Core\Planning\Plan\Clump;
use Olvek\Core\Simulation\Run\PlantDay;

/** How much of the planting goes. A clump that fades is worth knowing; a third of all is harm. */
final class Dwindling implements HarmCriterion
{
    /** Days after planting before which melting is no sign, and days over whose mean a clump is judged: a season passes. C; J. */
    private const SETTLED = 42;
    private const WINDOW = 56;
    /** What a loss counts where others have taken its place. J. */
    private const REPLACED = 0.5;
    /** Share of the planted mass from which the planting as a whole stands. J. */
    private const STANDS = 0.5;
    /** Share of growth that light allows below which it was the light; share that food allows below which it was hunger. J. */
    private const DARK = 0.15;
    private const HUNGRY = 0.4;

    public static function of(Outlook $outlook): array
    {
        $faded = self::faded($outlook);
        $planted = array_sum(array_map(static fn (Clump $c): float => $c->biomass(), self::standing($outlook)));
        if ([] === $faded || $planted <= 0) {
            return [];
        }
        // Where the rest has taken the place of what went, the planting stands; it has only become another.
        $end = $outlook->lastDay();
        $stands = $outlook->trace->columns['plants'][$end] >= self::STANDS * $planted;
        $lost = array_sum(array_column($faded, 'lost')) * ($stands ? self::REPLACED : 1.0);
        usort($faded, static fn (array $a, array $b): int => $b['lost'] <=> $a['lost']);
        $names = array_values(array_unique(array_column($faded, 'name')));
        $cause = $faded[0]['cause'];
        $day = min(array_column($faded, 'day'));

        return [
            new Harm(
                HarmId::Plants,
                implode(' ', array_column($faded, 'clump')),
                $lost / $planted,
                $day,
                new Message('harm.plants', [
                    'plants' => \array_slice($names, 0, 3),
                    'more' => max(0, \count($names) - 3),
                    'percent' => 100 * $lost / $planted,
                    'when' => $outlook->when($day),
                    'cause' => $cause,
                ]),
                [new Message('avert.plants', ['cause' => $cause])],
            ),
        ];
    }

    /** @return array<int, Clump> by place in the plan: those that are not gone already on the first day that counts */
    private static function standing(Outlook $outlook): array
    {
        $today = $outlook->trace->clumps[min($outlook->since, $outlook->lastDay())];

        return 0 === $outlook->since ? $outlook->plan->clumps : array_filter(
            $outlook->plan->clumps,
            static fn (Clump $c, int $i): bool => $c->day > $outlook->since || $today[$i] >= KeptMass::LEAST * $c->biomass(),
            \ARRAY_FILTER_USE_BOTH,
        );
    }

    /**
     * Clumps that come down to less than KeptMass::LEAST of what was planted.
     *
     * @return list<array{clump: string, kind: string, name: string, lost: float, day: int, cause: string}> lost: g dry as planted
     */
    public static function faded(Outlook $outlook): array
    {
        $trace = $outlook->trace;
        $end = $outlook->lastDay();
        $since = $outlook->since;
        $over = 0 === $since ? self::WINDOW : max(1, min(self::WINDOW, intdiv($end - $since, 2)));
        $faded = [];
        foreach (self::standing($outlook) as $i => $clump) {
            $from = max($since, $clump->day + self::SETTLED);
            $planted = $clump->biomass();
            if ($from + $over > $end || $planted <= 0) {
                continue;
            }
            $masses = array_column($trace->clumps, $i);
            $late = \array_slice($masses, $end - $over + 1);
            if (array_sum($late) / \count($late) >= KeptMass::LEAST * $planted) {
                continue;
            }
            $day = $from;
            while ($day < $end && $masses[$day] >= KeptMass::LEAST * $planted) {
                ++$day;
            }
            $window = static fn (array $columns): float => array_sum(array_column(\array_slice($columns, max(0, $day - 28), 28), $i)) / 28;
            $faded[] = [
                'clump' => $clump->id,
                'kind' => $clump->kind->id,
                'name' => $clump->kind->common,
                'lost' => $planted,
                'day' => $day,
                'cause' => match (true) {
                    $trace->columns['temperature'][$day] > $clump->kind->warmest->value + PlantDay::SCORCHED => 'heat',
                    $window($trace->lit) < self::DARK => 'dark',
                    $window($trace->fed) < self::HUNGRY => 'hunger',
                    default => 'weak',
                },
            ];
        }

        return $faded;
    }
}
