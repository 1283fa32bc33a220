<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\Ion;
use Olvek\Core\Basis\Unit\Provenance;

/** Nitrite while animals are in. */
#[Judges(
    'Nitrite',
    Subject::Water,
    remedies: [
        Remedy::LaterAnimals, Remedy::Sponge, Remedy::LaterFood, Remedy::FastStems, Remedy::Floaters,
        Remedy::LessFood, Remedy::DeeperCap, Remedy::FewerAnimals,
    ],
)]
final class Nitrite implements Criterion
{
    /** mg N/L. M (chloride in the water makes fish bear more). */
    public const WATCH = 0.1;
    public const ACT = 0.3;

    public static function margin(Outlook $outlook): Margin
    {
        [$most, $day] = $outlook->trace->highest('nitrite', $outlook->from);
        [$peak, $peakDay] = $outlook->trace->highest('nitrite');
        $shown = Decimal::significant($most, 2).' mg N/L';
        $who = $outlook->stocked ? 'with animals in' : 'from day '.$outlook->from;

        return Margin::atMost(
            MarginId::Nitrite,
            $most,
            'mg N/L',
            self::WATCH,
            self::ACT,
            $day,
            match (true) {
                $most > self::ACT => "Nitrite reaches $shown on day $day $who: change water, or let them come later.",
                $most > self::WATCH => "Nitrite comes up to $shown on day $day $who; a test will show it.",
                default => "Nitrite stays below what a test shows $who.",
            },
            [
                new Term('nitrite, highest '.$who, "$shown, day $day"),
                new Term('as a test kit reads it', Decimal::significant(Ion::Nitrite->fromElement($most), 2).' mg/L as NO₂'),
                new Term('tight, and failing', self::WATCH.' and '.self::ACT.' mg N/L', Provenance::Memory),
                new Term('highest of the whole run', Decimal::significant($peak, 2)." mg N/L, day $peakDay"),
                new Term(
                    'nitrite bacteria on that day',
                    Decimal::trimmed(100 * $outlook->trace->columns['nitriteOxidisers'][$day], 1).' % of a mature film',
                ),
            ],
        );
    }
}
