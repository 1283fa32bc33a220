<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Standing;

use Olvek\Core\Judgement\Margin\Harm\Harm;
use Olvek\Core\Judgement\Margin\Harm\HarmId;

/** Harms of many tanks, each told once: as it comes about in the middle one of them, with the share of tanks in which it fails. */
final class HarmShares
{
    /**
     * @param list<list<Harm>> $tanks
     *
     * @return list<Harm>
     */
    public static function among(array $tanks): array
    {
        /** @var array<string, non-empty-array<int, Harm>> $byKind */
        $byKind = [];
        foreach ($tanks as $n => $harms) {
            foreach ($harms as $harm) {
                // Whether it is likely is counted here, not read off a distance.
                if (null !== $harm->sure) {
                    continue;
                }
                // Which clumps go differs from tank to tank; it is one harm all the same.
                $key = $harm->id->value.' '.(HarmId::Plants === $harm->id ? '' : $harm->about);
                if (!isset($byKind[$key][$n]) || $harm->amount > $byKind[$key][$n]->amount) {
                    $byKind[$key][$n] = $harm;
                }
            }
        }

        return array_map(
            static fn (array $harms): Harm => self::middle(array_values($harms), \count($tanks)),
            array_values($byKind),
        );
    }

    /** @param non-empty-list<Harm> $harms of one sort, of those tanks in which it weighs anything */
    private static function middle(array $harms, int $tanks): Harm
    {
        usort($harms, static fn (Harm $a, Harm $b): int => $a->amount <=> $b->amount);
        $fails = $harms[0]->id->weight()->fails;
        $failing = array_values(array_filter($harms, static fn (Harm $h): bool => $h->amount >= $fails));
        $sure = \count($failing) / $tanks;
        // Where it is likely, as it comes about where it does; else as in the middle tank, which may be spared.
        $middle = Harm::isLikely($sure) ? $failing[intdiv(\count($failing), 2)] : ($harms[\count($harms) - 1 - intdiv($tanks, 2)] ?? null);

        return null === $middle
            ? Harm::possible($harms[0]->id, $sure, $harms[\count($harms) - 1])
            : $middle->withSureness($sure);
    }
}
