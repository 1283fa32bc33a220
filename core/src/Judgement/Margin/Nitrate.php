<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\Ion;
use Olvek\Core\Basis\Unit\Provenance;

/** Nitrate after half a year and a year: whether waste builds up faster than plants and changes take it away. */
#[Judges(
    'Nitrate',
    Subject::Water,
    remedies: [
        Remedy::Floaters, Remedy::HousePlants, Remedy::MoreStems, Remedy::FastStems, Remedy::LessFood,
        Remedy::FewerAnimals, Remedy::WaterChanges, Remedy::LongerLight,
    ],
)]
final class Nitrate implements Criterion
{
    /** mg/L as NO₃. C: at most 30 for a start, 50 a worry. */
    public const START = 30.0;
    public const WORRY = 50.0;
    public const HALF_YEAR = 182;

    public static function margin(Outlook $outlook): Margin
    {
        $trace = $outlook->trace;
        $days = array_unique([min(self::HALF_YEAR, $outlook->lastDay()), $outlook->lastDay()]);
        $read = static fn (int $day): float => Ion::Nitrate->fromElement($trace->columns['nitrate'][$day]);
        $worst = array_reduce($days, static fn (int $w, int $day): int => $read($day) > $read($w) ? $day : $w, $days[0]);
        $most = $read($worst);
        $shown = Decimal::significant($most, 2).' mg/L';
        $from = max(0, $outlook->lastDay() - 60);
        $rise = (($read($outlook->lastDay()) - $read($from)) / max(1, $outlook->lastDay() - $from)) * 30;

        return Margin::atMost(
            MarginId::Nitrate,
            $most,
            'mg/L',
            self::START,
            self::WORRY,
            $worst,
            match (true) {
                $most > self::WORRY => "Nitrate builds up to $shown by day $worst: more goes in than plants take out.",
                $most > self::START => "Nitrate creeps up to $shown by day $worst; thin and trim, feed less, or change some water.",
                $most < 1 => 'Plants leave next to no nitrate; they live from hand to mouth.',
                default => "Nitrate stands at $shown on day $worst and stays in bounds.",
            },
            [
                ...array_map(
                    static fn (int $day): Term => new Term("nitrate on day $day", Decimal::significant($read($day), 2).' mg/L as NO₃'),
                    $days,
                ),
                new Term('rising by', Decimal::significant($rise, 2).' mg/L a month at the end'),
                new Term('fed', Decimal::significant($trace->mean('food', $from, $outlook->lastDay() + 1), 2).' mg N a day'),
                new Term(
                    'drawn by plants from the water',
                    Decimal::significant($trace->mean('taken', $from, $outlook->lastDay() + 1), 2).' mg N a day',
                ),
                new Term(
                    'turned to gas in the bed',
                    Decimal::significant($trace->mean('denitrified', $from, $outlook->lastDay() + 1), 2).' mg N a day',
                    Provenance::Memory,
                ),
                new Term(
                    'for a start, and a worry',
                    \sprintf('%s and %s mg/L as NO₃', Decimal::trimmed(self::START, 0), Decimal::trimmed(self::WORRY, 0)),
                    Provenance::CommonPractice,
                ),
            ],
        );
    }
}
