<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin;

use Olvek\Core\Basis\TimeLimit\NoTimeLimit;
use Olvek\Core\Basis\TimeLimit\TimeLimit;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Ensemble;
use Olvek\Core\Simulation\Run\Parameters;
use Olvek\Core\Simulation\Run\Structure;

/**
 * Which of a plan's uncertain numbers decide it: of the margin on which the tanks of the band are most divided, the numbers that go with it
 * in the
 * band are tried one by one from their low to their high end.
 *
 * P: Saltelli and others (2008), Global Sensitivity Analysis: The Primer, Wiley: screening by rank correlation before trying one at a time.
 */
final readonly class Tornado
{
    /** Numbers that are tried, and of them those that are shown. J. */
    private const TRIED = 12;
    public const SHOWN = 5;
    /** Shares of tanks at the ends. */
    private const ENDS = [0.1, 0.9];
    /** What of it a keeper can measure at home, by the end of a dimension's name. */
    private const MEASURED = [
        'input landing' => 'a lux meter on the water, in the middle and at an end',
        'input kh' => 'a drop test of the tap',
        'input gh' => 'a drop test of the tap',
        'input nitrate' => 'a test of the tap',
        'input food' => 'a scale that shows hundredths of a gram',
        'input warmth' => 'a thermometer, morning and evening for a week',
        'parameter roomLight' => 'a lux meter at the rim with the lamp off',
        'parameter flushFactor' => 'a jar test of the soil: its ammonium after three days',
        'parameter evaporation' => 'a mark on the glass and a week',
        ' piece' => 'a kitchen scale: weigh a drained bunch',
        ' flush' => 'a jar test of the soil: its ammonium after three days',
    ];

    /** What is varied of a plant and of a soil. */
    private const PLANT = [
        'growth' => 'its greatest growth',
        'light' => 'the light it needs',
        'melt' => 'what it sheds at first',
        'densest' => 'how dense it grows',
        'piece' => 'the weight of a piece',
        'roots' => 'the share fed by its roots',
    ];
    private const SOIL = [
        'flush' => 'soluble nitrogen',
        'slow' => 'old nitrogen',
        'quick' => 'quick carbon',
        'old' => 'old carbon',
        'hold' => 'its hold on ammonium',
    ];

    /**
     * @param Margin          $margin whose measure the bars are about
     * @param list<Bar>       $bars   the widest first
     */
    private function __construct(public Margin $margin, public array $bars)
    {
    }

    /**
     * @param array<int, array<string, array{float, bool}>> $members as Band::member() gives them, one at least
     * @param TimeLimit                                      $patience where it is spent, what was tried so far is told
     */
    public static function of(
        Plan $plan,
        array $members,
        UnitSystem $units = UnitSystem::Metric,
        TimeLimit $patience = new NoTimeLimit(),
    ): self {
        $judgement = Judge::judge($plan, $units);
        $margin = self::decisive($judgement, $members);
        $ensemble = new Ensemble($plan, \count($members));
        $ranks = self::ranks(array_map(static fn (array $m): float => $m[$margin->id->value][0], $members));
        $goes = [];
        foreach ($ensemble->dimensions() as $dimension) {
            $places = $ensemble->places($dimension);
            $goes[$dimension] = abs(self::together(array_values($ranks), $places));
        }
        arsort($goes);
        $widths = $bars = [];
        foreach (array_keys(\array_slice($goes, 0, self::TRIED)) as $dimension) {
            if ($patience->isSpent()) {
                break;
            }
            $ends = [];
            foreach (self::ENDS as $share) {
                [$varied, $parameters] = $ensemble->only($dimension, $share);
                $ends[] = Judge::judge($varied, $units, $parameters)->margin($margin->id);
            }
            $widths[] = abs($ends[1]->measure - $ends[0]->measure);
            $bars[] = new Bar(
                $dimension,
                self::words($dimension, $plan),
                $ends[0]->shown,
                $ends[1]->shown,
                self::measurable($dimension),
                $ends[0]->measure,
                $ends[1]->measure,
            );
        }
        array_multisort($widths, \SORT_DESC, $bars);

        // What moves nothing that is shown decides nothing.
        return new self(
            $margin,
            \array_slice(array_values(array_filter($bars, static fn (Bar $b): bool => $b->low !== $b->high)), 0, self::SHOWN),
        );
    }

    /** @param array<int, array<string, array{float, bool}>> $members */
    private static function decisive(Judgement $judgement, array $members): Margin
    {
        $worst = null;
        $most = -1.0;
        foreach ($judgement->margins as $margin) {
            if (Voice::Practice === $margin->voice) {
                continue;
            }
            // What fails in some tanks and not in others is undecided; where all agree, the one that is closest to failing.
            $fails = \count(array_filter($members, static fn (array $m): bool => $m[$margin->id->value][1])) / \count($members);
            $undecided = $fails * (1 - $fails) + (1 - $margin->position()) / (10 * \count($members));
            if ($undecided > $most) {
                $most = $undecided;
                $worst = $margin;
            }
        }
        \assert(null !== $worst);

        return $worst;
    }

    /**
     * @param array<int, float> $values
     *
     * @return array<int, float>
     */
    private static function ranks(array $values): array
    {
        asort($values);

        $ranks = array_combine(array_keys($values), array_map(floatval(...), range(0, \count($values) - 1)));
        ksort($ranks);

        return $ranks;
    }

    /**
     * Pearson's correlation of two lists.
     *
     * @param list<float> $a
     * @param list<float> $b
     */
    private static function together(array $a, array $b): float
    {
        $n = \count($a);
        $meanA = array_sum($a) / $n;
        $meanB = array_sum($b) / $n;
        $ab = $aa = $bb = 0.0;
        foreach ($a as $i => $value) {
            $ab += ($value - $meanA) * ($b[$i] - $meanB);
            $aa += ($value - $meanA) ** 2;
            $bb += ($b[$i] - $meanB) ** 2;
        }

        return $aa > 0 && $bb > 0 ? $ab / sqrt($aa * $bb) : 0.0;
    }

    private static function measurable(string $dimension): string
    {
        foreach (self::MEASURED as $end => $how) {
            if (str_ends_with($dimension, $end)) {
                return $how;
            }
        }

        return '';
    }

    private static function words(string $dimension, Plan $plan): string
    {
        [$of, $what] = explode(' ', $dimension, 2);
        if ('parameter' === $of) {
            $name = strtolower((string) preg_replace('/(?<=[a-z])(?=[A-Z])/', ' ', $what));

            return "$name: ".Parameters::meaning($what);
        }
        if ('structure' === $of) {
            return 'form of the model: '.(Structure::questions()[$what] ?? $what);
        }
        foreach ($plan->clumps as $clump) {
            if ($clump->kind->id === $of) {
                return $clump->kind->common.': '.(self::PLANT[$what] ?? $what);
            }
        }

        return match ($dimension) {
            'input landing' => 'share of the lamp’s light that lands',
            'input kh' => 'carbonate hardness of the water',
            'input gh' => 'general hardness of the water',
            'input nitrate' => 'nitrate in the water',
            'input food' => 'food a day',
            'input warmth' => 'warmth of the water',
            default => strtr($of, ['-' => ' ']).': '.(self::SOIL[$what] ?? $what),
        };
    }

    /**
     * Where along a line from the lowest to the highest measure of all bars something lies.
     *
     * @return float 0–1
     */
    public function place(float $measure): float
    {
        $ends = [$this->margin->measure, ...array_column($this->bars, 'from'), ...array_column($this->bars, 'to')];
        $span = max($ends) - min($ends);

        return $span > 0 ? ($measure - min($ends)) / $span : 0.5;
    }
}
