<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\Provenance;
use Olvek\Core\Simulation\Run\Trace;

/** Whether plants find the nitrogen, phosphorus, potassium and iron that they grow with. */
#[Judges(
    'Plants fed',
    Subject::Plants,
    remedies: [
        Remedy::MoreFood, Remedy::MoreSoil, Remedy::RootTabs, Remedy::WaterChanges, Remedy::ShorterLight,
        Remedy::NoFloaters,
    ],
)]
final class FedPlants implements Criterion
{
    /**
     * Share of growth that nutrients allow all plants together, over the leanest four weeks. J: a tank that clears its water leaves its
     * plants half hungry.
     */
    public const LEAST = 0.15;
    private const GOOD = 0.3;

    public static function margin(Outlook $outlook): Margin
    {
        $trace = $outlook->trace;
        $leanest = self::leanest($trace);
        if (null === $leanest) {
            return Margin::idle(MarginId::Fed, 'no plants', 'There are no plants to feed yet.');
        }
        [$share, $day] = $leanest;
        $clump = self::hungriest($trace, $day);
        $name = $outlook->plan->clumps[$clump]->kind->common;
        $nutrient = $trace->shortOf[$day][$clump];
        $percent = Decimal::trimmed(100 * $share, 0)."\u{202F}%";
        $terms = [];
        foreach ($outlook->plan->clumps as $i => $one) {
            $terms[] = new Term(
                $one->kind->common,
                \sprintf(
                    '%s %% of its growth on day %d, %s mg N/g in the leaf',
                    Decimal::trimmed(100 * $trace->fed[$day][$i], 0),
                    $day,
                    Decimal::trimmed($trace->quotas[$day][$i], 0),
                ),
            );
        }

        return Margin::atLeast(
            MarginId::Fed,
            $share,
            '%',
            self::LEAST,
            self::GOOD,
            $day,
            match (true) {
                $share < self::LEAST => "Plants starve: around day $day they find food for $percent of their growth; $name first wants "
                    ."$nutrient.",
                $share < self::GOOD => "Plants are short around day $day and grow at $percent of their best; $name first wants $nutrient.",
                default => "Plants find what they need, $percent of their best growth at the leanest, around day $day.",
            },
            [
                ...\array_slice($terms, 0, 8),
                new Term(
                    'growth stops, and is full, at',
                    \sprintf(
                        '%s and %s mg N/g in the leaf',
                        Decimal::trimmed($outlook->parameters->leafNitrogenLeast, 1),
                        Decimal::trimmed($outlook->parameters->leafNitrogenFull, 1),
                    ),
                    Provenance::Memory,
                    'full growth near Gerloff & Krombholz 1966',
                ),
                new Term('nitrate on that day', Decimal::significant($trace->columns['nitrate'][$day], 2).' mg N/L'),
                new Term(
                    'phosphate, potassium, iron',
                    \sprintf(
                        '%s, %s, %s mg/L',
                        ...array_map(static fn (string $c): string => Decimal::significant($trace->columns[$c][$day], 2), [
                            'phosphate',
                            'potassium',
                            'iron',
                        ]),
                    ),
                ),
            ],
        );
    }

    /**
     * @return array{float, int}|null least mean over four weeks of the share of its growth that the whole stand finds food for, and its
     * last day
     */
    public static function leanest(Trace $trace): ?array
    {
        $shares = [];
        foreach ($trace->fed as $day => $fed) {
            $all = array_sum($trace->clumps[$day]);
            $sum = 0.0;
            foreach ($fed as $i => $share) {
                $sum += $share * $trace->clumps[$day][$i];
            }
            $shares[$day] = $all > 1e-6 ? $sum / $all : 1.0;
        }
        if ([] === ($trace->clumps[0] ?? [])) {
            return null;
        }
        $worst = null;
        for ($day = Outlook::SETTLING + Trace::WINDOW - 1; $day < $trace->days(); ++$day) {
            $mean = array_sum(\array_slice($shares, $day - Trace::WINDOW + 1, Trace::WINDOW)) / Trace::WINDOW;
            $worst = null === $worst || $mean < $worst[0] ? [$mean, $day] : $worst;
        }

        return $worst;
    }

    private static function hungriest(Trace $trace, int $day): int
    {
        $fed = array_filter($trace->fed[$day], static fn (int $i): bool => $trace->clumps[$day][$i] > 1e-3, \ARRAY_FILTER_USE_KEY);
        $fed = [] === $fed ? $trace->fed[$day] : $fed;
        asort($fed);

        return (int) array_key_first($fed);
    }
}
