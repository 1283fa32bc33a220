<?php

declare(strict_types=1);

namespace Olvek\Core\Margin;

use Olvek\Core\Plant\Growth;
use Olvek\Core\Unit\Decimal;
use Olvek\Core\Unit\Provenance;

/** Years until the soil gives roots only half of what they want: nitrogen by its slow decay, iron by what has gone. */
final class SoilLife implements Criterion
{
    /** Years below which the bed is laid for nothing, and from which it is worth its labour. J: keepers speak of one to several years (C). */
    private const LEAST = 0.75;
    private const GOOD = 2.0;
    /** Share of growth that nutrients allow from which plants that find little in the soil still do well. J. */
    private const FED = 0.3;
    /** Years beyond which nobody plans. J. */
    private const LONG = 12.0;

    public static function margin(Outlook $outlook): Margin
    {
        if (null === $outlook->plan->bed->soil) {
            return Margin::idle('soil', 'Soil life', 'no soil', 'There is no soil to wear out; roots live on what settles.');
        }
        $trace = $outlook->trace;
        $end = $outlook->lastDay();
        $from = intdiv($end, 2);
        $span = max(1, $end - $from);
        $c = $trace->columns;
        $drawn = $trace->mean('rooted', $from, $end + 1);
        $need = $trace->mean('rootNeed', $from, $end + 1);
        $rate = $outlook->parameters->slowRate * Growth::temperatureFactor($outlook->plan->site->temperature);
        $nitrogen = $need < 0.01 ? self::LONG : max(0.0, log(max(1e-9, $c['soilNitrogen'][$end] * $rate / (0.5 * $need))) / $rate + $end) / 365;
        $rusted = ($c['soilIron'][$from] - $c['soilIron'][$end]) / $span;
        $iron = $rusted < 1e-6 ? self::LONG : ($end + $c['soilIron'][$end] / 2 / $rusted) / 365;
        $gone = ($c['soilPotassium'][$from] - $c['soilPotassium'][$end]) / $span;
        $years = min($nitrogen, $iron, self::LONG);
        $poor = $years < self::LEAST && ($trace->leanest($trace->fed, Outlook::SETTLING)[0] ?? 1.0) >= self::FED;
        $first = $nitrogen <= $iron ? 'nitrogen' : 'iron';
        $text = static fn (float $y): string => $y >= self::LONG ? 'more than '.self::LONG.' years' : Decimal::significant($y, 2).' years';

        return new Margin('soil', 'Soil life', $poor ? self::LEAST : $years, self::LEAST, self::GOOD, null, $years, 'years', $years >= self::LONG ? '> '.self::LONG.' years' : Margin::text($years, 'years'), 'act below 0.75 years, good from 2 years',
            match (true) {
                $poor => 'The soil gives roots less than half of the nitrogen they want, but the water feeds the plants meanwhile.',
                $years < self::LEAST => "The soil is too little for these roots: within {$text($years)} it gives less than half of the $first they want.",
                $years < self::GOOD => "The soil feeds roots well for about {$text($years)}; then $first runs short and root tabs help.",
                default => "The soil feeds roots for {$text($years)}.",
            },
            [
                new Term('nitrogen falls to half of what roots want', 'after '.$text($nitrogen), Provenance::Judgement, 'slow decay 0.0004–0.0015 a day'),
                new Term('iron falls to half', 'after '.$text($iron), Provenance::Judgement),
                new Term('potassium left after the run', Decimal::significant($c['soilPotassium'][$end], 2).' mg, going by '.Decimal::significant(max(0.0, $gone), 2).' mg a day', Provenance::Judgement, 'leaves also take potassium from the water'),
                new Term('roots want, and draw', Decimal::significant($need, 2).' and '.Decimal::significant($drawn, 2).' mg N a day'),
                new Term('nitrogen in the soil', Decimal::significant($c['soilNitrogen'][$end], 2).' mg on day '.$end, Provenance::Memory),
            ]);
    }
}
