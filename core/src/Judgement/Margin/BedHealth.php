<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\Provenance;

/** Whether the bed may turn foul: too deep, too rich, no roots. */
#[Judges(
    'Bed health',
    Subject::Bed,
    remedies: [Remedy::ThinnerSoil, Remedy::MoreStems, Remedy::FastStems],
)]
final class BedHealth implements Criterion
{
    /** Of the sulphide index (BedDay), 1 being a bed to worry about. J. */
    private const WATCH = 0.5;
    private const ACT = 1.0;

    public static function margin(Outlook $outlook): Margin
    {
        if (null === $outlook->plan->bed->soil) {
            return Margin::idle(MarginId::Bed, 'no soil', 'Without soil there is little in the bed to turn foul.');
        }
        $trace = $outlook->trace;
        [$index, $day] = $trace->highest('sulphide');
        [$gas, $gasDay] = $trace->highest('bubbles');

        return Margin::atMost(
            MarginId::Bed,
            $index,
            'of critical',
            self::WATCH,
            self::ACT,
            $day,
            match (true) {
                $index > self::ACT => "The bed is deep and rich and hardly rooted: around day $day it may turn foul (rotten-egg smell, "
                    .'black roots).',
                $index > self::WATCH => "The bed is on the rich side for its roots around day $day; leave it alone and let roots come.",
                $gas > 300 => 'The bed stays sound. Bubbles of gas are normal in the first months.',
                default => 'The bed stays sound.',
            },
            [
                new Term('risk of sulphide, at most', Decimal::significant($index, 2).' of 1, day '.$day, Provenance::Judgement),
                new Term('bed', $outlook->units->show(Dimension::Length, $outlook->plan->bed->meanDepth())),
                new Term(
                    'gas from the bed, at most',
                    Decimal::significant($gas, 2)." mL a day, day $gasDay",
                    Provenance::Judgement,
                    'bubbles for 2 to 5 months are normal (common practice)',
                ),
                new Term('roots take from it', Decimal::significant($trace->columns['rooted'][$day], 2).' mg N that day'),
            ],
        );
    }
}
