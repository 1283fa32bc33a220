<?php

declare(strict_types=1);

namespace Olvek\Core\Margin;

use Olvek\Core\Unit\Decimal;
use Olvek\Core\Unit\Provenance;

/** Whether plants find the nitrogen, phosphorus, potassium and iron that they grow with. */
final class FedPlants implements Criterion
{
    /** Share of growth that nutrients allow, over the leanest four weeks. J. */
    private const LEAST = 0.25;
    private const GOOD = 0.5;

    /** Days in which a new tank lives on what leaves brought along. C. */
    public static function margin(Outlook $outlook): Margin
    {
        $trace = $outlook->trace;
        $leanest = $trace->leanest($trace->fed, Outlook::SETTLING);
        if (null === $leanest) {
            return Margin::idle('fed', 'Plants fed', 'no plants', 'There are no plants to feed yet.');
        }
        [$share, $clump, $day] = $leanest;
        $name = $outlook->plan->clumps[$clump]->kind->common;
        $nutrient = $trace->shortOf[$day][$clump];
        $percent = Decimal::trimmed(100 * $share, 0)."\u{202F}%";
        $terms = [];
        foreach ($outlook->plan->clumps as $i => $one) {
            $terms[] = new Term($one->kind->common, \sprintf('%s %% of its growth on day %d, %s mg N/g in the leaf', Decimal::trimmed(100 * $trace->fed[$day][$i], 0), $day, Decimal::trimmed($trace->quotas[$day][$i], 0)));
        }

        return Margin::atLeast('fed', 'Plants fed', $share, '%', self::LEAST, self::GOOD, $day,
            match (true) {
                $share < self::LEAST => "$name starves: around day $day $nutrient lets it grow at $percent of its best.",
                $share < self::GOOD => "$name is short of $nutrient around day $day and grows at $percent of its best.",
                default => "Plants find what they need; $name is the leanest, at $percent around day $day.",
            },
            [
                ...\array_slice($terms, 0, 8),
                new Term('growth stops below', '13 mg N/g in the leaf', Provenance::Published, 'Gerloff & Krombholz 1966'),
                new Term('nitrate on that day', Decimal::significant($trace->columns['nitrate'][$day], 2).' mg N/L'),
                new Term('phosphate, potassium, iron', \sprintf('%s, %s, %s mg/L', ...array_map(static fn (string $c): string => Decimal::significant($trace->columns[$c][$day], 2), ['phosphate', 'potassium', 'iron']))),
            ]);
    }
}
