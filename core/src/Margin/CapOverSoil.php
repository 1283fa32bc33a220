<?php

declare(strict_types=1);

namespace Olvek\Core\Margin;

use Olvek\Core\Bed\Side;
use Olvek\Core\Plan\Plan;
use Olvek\Core\Unit\Decimal;
use Olvek\Core\Unit\Dimension;
use Olvek\Core\Unit\Provenance;
use Olvek\Core\Unit\UnitSystem;

/** Whether the cap holds the soil back: at least as deep as the soil, front and back. C; better twice as deep. */
final class CapOverSoil
{
    private const LEAST = 0.8;
    private const GOOD = 1.0;
    /** Shown where there is no soil to hold back. */
    private const NO_SOIL = 3.0;

    public static function margin(Plan $plan, Account $account, UnitSystem $units): Margin
    {
        $soil = $plan->bed->soil;
        $cap = $plan->bed->cap;
        if (null === $soil || 0.0 === $soil->front + $soil->back) {
            return new Margin('cap', 'Cap over soil', self::NO_SOIL, self::LEAST, self::GOOD, null, 'no soil',
                'There is no soil to hold back; the bed feeds no roots either.', [], '');
        }
        $ratios = [];
        foreach (Side::cases() as $side) {
            $ratios[$side->value] = $soil->depth($side) > 0 ? ($cap?->depth($side) ?? 0.0) / $soil->depth($side) : self::NO_SOIL;
        }
        $thinnest = $ratios['front'] <= $ratios['back'] ? Side::Front : Side::Back;
        $worst = $thinnest->value;
        $ratio = $ratios[$worst];
        $soilThere = $units->show(Dimension::Length, $soil->depth($thinnest));
        $capThere = $units->show(Dimension::Length, $cap?->depth($thinnest) ?? 0.0);
        $flush = $account->firstFlush();

        return new Margin('cap', 'Cap over soil', $ratio, self::LEAST, self::GOOD, 0, Decimal::trimmed($ratio, 1).' ×',
            match (true) {
                $ratio < self::LEAST => "At the $worst $capThere of cap lies on $soilThere of soil: the soil will come through.",
                $ratio < self::GOOD => "At the $worst the cap ($capThere) is a little thinner than the soil ($soilThere).",
                $ratio < 2 => "The cap is as deep as the soil or deeper ($capThere on $soilThere at the $worst).",
                default => "The cap is twice the soil or more ($capThere on $soilThere at the $worst); next to nothing comes through.",
            },
            [
                new Term('soil, front and back', $units->show(Dimension::Length, $soil->front).' and '.$units->show(Dimension::Length, $soil->back)),
                new Term('cap, front and back', $units->show(Dimension::Length, $cap->front ?? 0.0).' and '.$units->show(Dimension::Length, $cap->back ?? 0.0)),
                new Term('cap wanted', 'as deep as the soil; twice is better', Provenance::CommonPractice),
                new Term('ammonia pushed out at filling', Decimal::significant($flush, 2).' mg N/L', Provenance::Judgement),
                new Term('leak through the cap on day 14', Decimal::significant($account->release()->leak(14), 2).' mg N a day', Provenance::Judgement, 'stirring and sorption are judgement; diffusion: Boudreau 1996, Li & Gregory 1974'),
            ],
            $ratio < self::GOOD ? \sprintf('Lay the cap %s deep at the %s, or make the soil thinner.', $units->show(Dimension::Length, max($soil->depth($thinnest), 0.025)), $worst) : '',
        );
    }
}
