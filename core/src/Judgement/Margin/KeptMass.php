<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\Provenance;

/** Whether what is rooted keeps its mass: the least that any kind in the floor comes down to once the first weeks are over. */
#[Judges(
    'Plant mass',
    Subject::Plants,
    remedies: [
        Remedy::StrongerLamp, Remedy::LongerLight, Remedy::NoFloaters, Remedy::MoreSoil, Remedy::RootTabs,
        Remedy::MoreFood,
    ],
)]
final class KeptMass implements Criterion
{
    /**
     * Share of what was planted below which a kind dwindles away, and from which it keeps itself. J; that the tender lose half at first is
     * C.
     */
    public const LEAST = 0.35;
    public const GOOD = 0.7;
    /** Days after planting within which melting is no sign. C. */
    private const SETTLED = 42;
    /**
     * Share of all that is rooted that a kind must be to fail a tank by itself; less of it is a loss, not a fall. J: fast stems make way
     * for slow ones in time, C.
     */
    private const MATTERS = 0.5;

    public static function margin(Outlook $outlook): Margin
    {
        $plan = $outlook->plan;
        $trace = $outlook->trace;
        $end = $outlook->lastDay();
        $planted = $least = $names = [];
        foreach ($plan->clumps as $i => $clump) {
            if (!$clump->standsOnFloor() || $clump->day + self::SETTLED > $end) {
                continue;
            }
            $kind = $clump->kind->id;
            $planted[$kind] = ($planted[$kind] ?? 0.0) + $clump->biomass();
            for ($day = $clump->day + self::SETTLED; $day <= $end; ++$day) {
                $least[$kind][$day] = ($least[$kind][$day] ?? 0.0) + $trace->clumps[$day][$i];
            }
            $names[$kind] = $clump->kind->common;
        }
        if ([] === $planted) {
            return Margin::idle(MarginId::Mass, 'none', 'Nothing is rooted in the floor that could dwindle.');
        }
        $all = array_sum($planted);
        $whole = [];
        foreach ($least as $byDay) {
            foreach ($byDay as $day => $grams) {
                $whole[$day] = ($whole[$day] ?? 0.0) + $grams;
            }
        }
        $worst = null;
        $terms = [];
        foreach ($planted as $kind => $grams) {
            [$lowest, $day] = self::lowest($least[$kind] ?? []);
            $low = $lowest / $grams;
            $terms[] = new Term(
                $names[$kind],
                \sprintf(
                    'at least %s of what was planted, on day %d; at the end %s',
                    self::times($low),
                    $day,
                    self::times(($least[$kind][$end] ?? 0.0) / $grams),
                ),
                Provenance::Judgement,
            );
            // A little of a kind that fades is tight at most.
            $counted = $grams < self::MATTERS * $all ? max($low, self::LEAST) : $low;
            if (null === $worst || $counted < $worst[0]) {
                $worst = [$counted, $low, $kind, $day];
            }
        }
        [$counted, $low, $kind, $day] = $worst;
        $name = $names[$kind];
        [$lowest, $when] = self::lowest($whole);
        if ($lowest / $all < $counted) {
            $counted = $low = $lowest / $all;
            $day = $when;
            $name = 'All that is rooted';
        }

        return Margin::atLeast(
            MarginId::Mass,
            $counted,
            '%',
            self::LEAST,
            self::GOOD,
            $day,
            match (true) {
                $counted < self::LEAST => "$name dwindles: by day $day ".
                    Decimal::trimmed(100 * $low, 0).
                    "\u{202F}% of what was planted is left.",
                $counted < self::GOOD => "$name shrinks to ".
                    Decimal::trimmed(100 * $low, 0).
                    "\u{202F}% of what was planted by day $day.",
                default => 'All that is rooted keeps its mass or grows.',
            },
            \array_slice($terms, 0, 12),
        );
    }

    /**
     * @param array<int, float> $grams by day
     *
     * @return array{float, int} the least, and its day
     */
    private static function lowest(array $grams): array
    {
        asort($grams);

        return [[] === $grams ? 0.0 : reset($grams), (int) array_key_first($grams)];
    }

    private static function times(float $share): string
    {
        return Decimal::significant($share, 2).' ×';
    }
}
