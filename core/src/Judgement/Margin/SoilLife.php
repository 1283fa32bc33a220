<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\Provenance;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Nature\Plant\Growth;

/**
 * Years until the soil gives roots less than a tenth of what they could use: nitrogen as microbes free it; or half of its iron has gone.
 */
#[Judges(
    'Soil life',
    Subject::Bed,
    remedies: [Remedy::RootTabs, Remedy::MoreSoil, Remedy::MoreFood],
)]
final class SoilLife implements Criterion
{
    /**
     * Years below which the bed is laid for nothing, and from which it is worth its labour. J: keepers speak of one to several years (C).
     */
    private const LEAST = 0.4;
    private const GOOD = 0.8;
    /** Share of what roots could use below which a soil counts as spent. J: the rest comes from mulm and water. */
    private const SPENT = 0.1;
    /** mg N per L below which a bed material is no store: baked clay, sand. J. */
    private const NO_STORE = 100.0;
    /** Years beyond which nobody plans. J. */
    private const LONG = 12.0;

    public static function margin(Outlook $outlook): Margin
    {
        if (null === $outlook->plan->bed->soil) {
            return Margin::idle(MarginId::Soil, 'no soil', 'There is no soil to wear out; roots live on what settles.');
        }
        if ($outlook->plan->bed->soil->mix->slowNitrogenPerLitre() < self::NO_STORE) {
            return Margin::idle(
                MarginId::Soil,
                'no store',
                'What lies there holds hardly anything that could wear out; roots live on what settles.',
            );
        }
        $trace = $outlook->trace;
        $end = $outlook->lastDay();
        $from = intdiv($end, 2);
        $span = max(1, $end - $from);
        $c = $trace->columns;
        $drawn = $trace->mean('rooted', $from, $end + 1);
        $need = $trace->mean('rootNeed', $from, $end + 1);
        $theta = Growth::temperatureFactor($outlook->plan->site->temperature);
        $nitrogen = self::years(
            $need,
            $c['soilReady'][$end],
            $outlook->parameters->readyRate * $theta,
            $c['soilNitrogen'][$end] - $c['soilReady'][$end],
            $outlook->parameters->slowRate * $theta,
            $end,
        );
        $rusted = ($c['soilIron'][$from] - $c['soilIron'][$end]) / $span;
        $iron = $rusted < 1e-6 ? self::LONG : ($end + $c['soilIron'][$end] / 2 / $rusted) / 365;
        $gone = ($c['soilPotassium'][$from] - $c['soilPotassium'][$end]) / $span;
        $years = min($nitrogen, $iron, self::LONG);
        $poor = $years < self::LEAST && (FedPlants::leanest($trace)[0] ?? 1.0) >= FedPlants::LEAST;
        $first = $nitrogen <= $iron ? 'nitrogen' : 'iron';
        $text = static fn (float $y): string => $y >= self::LONG
            ? 'more than '.self::LONG.' years'
            : Decimal::significant($y, 2).' years';

        // Spent, but missed by nobody: a note among the tight ones, not the first of them.
        return new Margin(
            MarginId::Soil,
            $poor ? (self::LEAST + self::GOOD) / 2 : $years,
            self::LEAST,
            self::GOOD,
            null,
            $years,
            'years',
            $years >= self::LONG ? '> '.self::LONG.' years' : Margin::text($years, 'years'),
            Margin::bound(self::LEAST, self::GOOD, 'years'),
            match (true) {
                $poor => 'The soil gives roots less than a tenth of the nitrogen they could use, but water and mulm feed the plants '
                    .'meanwhile.',
                $years < self::LEAST => "The soil is too little for these roots: within {$text(
                    $years,
                )} it gives less than a tenth of the $first they could use.",
                $years < self::GOOD => "The soil feeds roots well for about {$text($years)}; then $first runs short and root tabs help.",
                default => "The soil feeds roots for {$text($years)}.",
            },
            [
                new Term(
                    'nitrogen falls to a tenth of what roots could use',
                    'after '.$text($nitrogen),
                    Provenance::Judgement,
                    \sprintf(
                        '%s of what is ready a day, %s of the rest',
                        ...array_map(static fn (float $rate): string => UnitSystem::Metric->show(Dimension::Share, $rate, 2), [
                            $outlook->parameters->readyRate,
                            $outlook->parameters->slowRate,
                        ]),
                    ),
                ),
                new Term('iron falls to half', 'after '.$text($iron), Provenance::Judgement),
                new Term(
                    'potassium left after the run',
                    Decimal::significant($c['soilPotassium'][$end], 2).
                        ' mg, going by '.
                        Decimal::significant(max(0.0, $gone), 2).
                        ' mg a day',
                    Provenance::Judgement,
                    'leaves also take potassium from the water',
                ),
                new Term(
                    'roots could use, and draw',
                    Decimal::significant($need, 2).' and '.Decimal::significant($drawn, 2).' mg N a day',
                ),
                new Term(
                    'nitrogen in the soil',
                    Decimal::significant($c['soilNitrogen'][$end], 2).' mg on day '.$end,
                    Provenance::Memory,
                ),
            ],
        );
    }

    /** Years from filling until what is freed falls below a tenth of a need, mg N/d; LONG where it never does. */
    private static function years(float $need, float $ready, float $readyRate, float $slow, float $slowRate, int $end): float
    {
        $left = self::SPENT * $need - $slow * $slowRate;
        if ($need < 0.01 || $left <= 0) {
            return self::LONG;
        }

        return max(0.0, $end + log(max(1e-9, ($ready * $readyRate) / $left)) / $readyRate) / 365;
    }
}
