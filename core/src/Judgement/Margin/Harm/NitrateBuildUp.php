<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin\Harm;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Basis\Unit\Ion;
use Olvek\Core\Judgement\Margin\Nitrate;
use Olvek\Core\Judgement\Margin\Outlook;

/** Nitrate that gathers, and how much water has to be changed for it. */
final class NitrateBuildUp implements HarmCriterion
{
    /** Share of the water in a usual change. C. */
    private const CHANGE = 0.33;
    private const YEAR = 365;

    public static function of(Outlook $outlook): array
    {
        $end = $outlook->lastDay();
        $nitrate = $outlook->trace->columns['nitrate'];
        $days = array_unique([max($outlook->since, min(Nitrate::HALF_YEAR, $end)), $end]);
        $most = 0.0;
        foreach ($days as $day) {
            $most = max($most, Ion::Nitrate->fromElement($nitrate[$day]));
        }
        $limit = Ion::Nitrate->toElement(Nitrate::WORRY);
        $from = $outlook->since;
        while ($from < $end && $nitrate[$from] <= $limit) {
            ++$from;
        }
        // A change of a third takes out a third of what stands there: so many a year hold it at the limit.
        $middle = intdiv($outlook->since + $end, 2);
        $gained = Ion::Nitrate->fromElement(max(0.0, $nitrate[$end] - $nitrate[$middle])) * self::YEAR / max(1, $end - $middle);
        $changes = max(1, (int) ceil($gained / (self::CHANGE * Nitrate::WORRY)));

        return [
            new Harm(
                HarmId::Nitrate,
                '',
                $most,
                $from,
                new Message('harm.nitrate', ['nitrate' => (int) round($most), 'when' => $outlook->when($from)]),
                [new Message('avert.nitrate', ['changes' => $changes])],
            ),
        ];
    }
}
