<?php

declare(strict_types=1);

namespace Olvek\Core\Margin;

use Olvek\Core\Unit\Decimal;
use Olvek\Core\Unit\Provenance;
use Olvek\Core\Water\Oxygen;

/** The day's lowest oxygen, at the end of the night. */
final class DawnOxygen implements Criterion
{
    /** mg/L. M: 5 is good for all, 4 a watch, 3 too little for most. */
    public const ACT = 3.0;
    public const WATCH = 4.0;

    public static function margin(Outlook $outlook): Margin
    {
        $trace = $outlook->trace;
        [$least, $day] = $trace->lowest('oxygen', $outlook->from);
        $c = $trace->columns;
        $shown = Decimal::significant($least, 2).' mg/L';

        return Margin::atLeast('oxygen', 'Dawn oxygen', $least, 'mg/L', self::ACT, self::WATCH, $day,
            match (true) {
                $least < self::ACT => "At dawn on day $day only $shown of oxygen is left: fish will hang at the surface.",
                $least < self::WATCH => "Oxygen falls to $shown at dawn on day $day; hardy animals bear it.",
                default => "Oxygen never falls below $shown, at dawn on day $day.",
            },
            [
                new Term('lowest at dawn', "$shown, day $day"),
                new Term('full at that warmth', Decimal::significant(Oxygen::saturation($c['temperature'][$day]), 2).' mg/L', Provenance::Published, 'Benson & Krause 1984'),
                new Term('surface under floaters', Decimal::trimmed(100 * $c['cover'][$day], 0).' %, which hold back half the air’s share', Provenance::Judgement),
                new Term('plants that breathe', Decimal::significant($c['plants'][$day], 2).' g dry'),
                new Term('mulm that rots', Decimal::significant($c['mulm'][$day], 2).' g carbon'),
                new Term('animals', Decimal::significant($c['animals'][$day], 2).' g'),
                new Term('watch, and act', '4 and 3 mg/L', Provenance::Memory),
            ]);
    }
}
