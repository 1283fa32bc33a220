<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\Provenance;
use Olvek\Core\Nature\Bed\Material;
use Olvek\Core\Planning\Plan\Plan;

/** Whether pH and carbonate hardness stay where animals and bacteria can live. */
#[Judges(
    'pH and KH',
    Subject::Water,
    remedies: [
        Remedy::SoftTopUp, Remedy::ShorterLight, Remedy::WaterChanges, Remedy::Limestone, Remedy::Lid,
        Remedy::MoreSoil, Remedy::Floaters,
    ],
)]
final class PhDrift implements Criterion
{
    /**
     * pH that most animals bear for an afternoon (each kind's own range is another margin), and °dH below which nothing holds the pH. M:
     * ponds in bloom reach 9–10 by evening and their fish bear it (6–9 by the day; 1–3).
     */
    private const ACID = 6.0;
    private const ALKALINE = 9.8;
    private const LEAST_KH = 0.5;
    /** Distance from each bound at which it is no worry. J: leaves stop drawing near pH 9.6 by themselves. */
    private const ROOM_ACID = 0.4;
    private const ROOM_ALKALINE = 0.2;
    private const ROOM_KH = 1.0;

    /** meq per litre of water that a bed of granules can exchange from which it, and not the water, holds the pH. J. */
    private const HOLDS = 1.0;
    /** pH down to which such a bed is as it should be; what lives there has a range of its own. M: they hold 5.5 to 6.5. */
    private const HELD = 5.5;

    public static function margin(Outlook $outlook): Margin
    {
        $trace = $outlook->trace;
        [$low, $lowDay] = $trace->lowest('pHLeast', $outlook->from);
        [$high, $highDay] = $trace->highest('pHMost', $outlook->from);
        [$kh, $khDay] = $trace->lowest('carbonateHardness', $outlook->from);
        $held = self::holds($outlook->plan);
        $acid = $held ? self::HELD : self::ACID;
        $room = [
            [($low - $acid) / self::ROOM_ACID, $lowDay],
            [(self::ALKALINE - $high) / self::ROOM_ALKALINE, $highDay],
            ...$held ? [] : [[($kh - self::LEAST_KH) / self::ROOM_KH, $khDay]],
        ];
        usort($room, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
        [$value, $day] = $room[0];
        $first = $trace->columns['carbonateHardness'][0];
        $last = $trace->columns['carbonateHardness'][$outlook->lastDay()];
        $hardness = static fn (float $degrees): string => $outlook->units->about(Dimension::Hardness, $degrees);
        $unit = $outlook->units->unitFor(Dimension::Hardness);
        $range = Decimal::trimmed($low, 1).'–'.Decimal::trimmed($high, 1);

        return new Margin(
            MarginId::PH,
            max(-1.0, min(9.0, $value)),
            0.0,
            1.0,
            $day,
            $unit->fromBase($kh),
            $unit->symbol(),
            'pH '.$range,
            \sprintf('pH %s to %s', Decimal::trimmed($acid, 1), Decimal::trimmed(self::ALKALINE, 1)).
                ($held ? '' : ", KH from {$hardness(self::LEAST_KH)}"),
            match (true) {
                $value >= 1 && $held => "pH stays between $range: granules in the bed hold it, with carbonate hardness as low as {$hardness(
                    $kh,
                )}.",
                $value >= 1 => "pH stays between $range through days and nights, on {$hardness($kh)} of carbonate hardness or more.",
                !$held && $kh - self::LEAST_KH < self::ROOM_KH => "Carbonate hardness falls to {$hardness(
                    $kh,
                )} by day $khDay: little is left to hold the pH.",
                $high > self::ALKALINE - self::ROOM_ALKALINE => 'pH climbs to '.
                    Decimal::trimmed($high, 1).
                    " by lamp light on day $highDay: plants draw the carbon dioxide down.",
                default => 'pH falls to '.Decimal::trimmed($low, 1)." on day $lowDay.",
            },
            [
                new Term(
                    'pH, lowest and highest',
                    Decimal::trimmed($low, 2)." (day $lowDay) and ".Decimal::trimmed($high, 2)." (day $highDay)",
                    Provenance::Published,
                    'Plummer & Busenberg 1982',
                ),
                new Term('carbonate hardness, first and last day', $hardness($first).' and '.$hardness($last)),
                new Term('nitrification slows below', 'pH 7.2', Provenance::Published, 'US EPA 1993'),
                new Term('uses up, per mg N made nitrate', '7.14 mg CaCO₃', Provenance::Published, 'US EPA 1993'),
            ],
        );
    }

    /** Whether granules of the bed hold the pH: their exchange takes up alkalinity above pH 6 and gives it back below. M. */
    private static function holds(Plan $plan): bool
    {
        $exchange = 0.0;
        foreach ($plan->bed->contents($plan->vessel) as [$mix, $litres]) {
            $exchange += $mix->isGranular() ? $litres * $mix->perLitre(static fn (Material $m): float => $m->acidity->value) : 0.0;
        }

        return $exchange > self::HOLDS * $plan->netWater();
    }
}
