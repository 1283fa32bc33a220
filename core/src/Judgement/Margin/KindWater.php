<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\Provenance;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Nature\Animal\AnimalKind;

/** Whether the water suits every kind of animal through its days in it: pH and general hardness of the run against the kind's own range. */
#[Judges(
    'Water fit',
    Subject::Animals,
    remedies: [Remedy::MixedWater, Remedy::SoftTopUp, Remedy::WaterChanges, Remedy::Limestone],
    voice: Voice::Welfare,
)]
final class KindWater implements Criterion
{
    /**
     * How far on the way from the water in which a kind thrives (0) to the end of that in which it is kept for years (1) it is at the edge,
     * and from where on the water is wrong for it. J.
     */
    public const TIGHT = 0.4;
    public const FAILS = 1.0;
    /** Least way between the two ranges, of pH and in °dH. J. */
    private const STEP_PH = 0.3;
    private const STEP_DEGREES = 2.0;
    /** Days at either end that do not count, and most of them as a share. J: a bad week passes. */
    private const OUTLIERS = 7;
    private const OUTLIERS_MOST = 0.1;

    public static function margin(Outlook $outlook): Margin
    {
        $plan = $outlook->plan;
        $kinds = [];
        foreach ($plan->groups as $group) {
            $kinds[$group->kind->id] = [$group->kind, min($group->day, $kinds[$group->kind->id][1] ?? $group->day)];
        }
        if ([] === $kinds) {
            return Margin::idle(MarginId::Waters, 'no animals', 'There are no animals yet for whom the water could be wrong.');
        }
        $worst = null;
        $terms = $waters = [];
        $hardness = static fn (float $degrees): string => $outlook->units->show(Dimension::Hardness, $degrees, 0);
        $unit = $outlook->units->unitFor(Dimension::Hardness);
        $bare = static fn (float $degrees): string => Decimal::trimmed($unit->fromBase($degrees), 0);
        foreach ($kinds as [$kind, $from]) {
            if ($from > $outlook->lastDay()) {
                continue;
            }
            // Kinds that come on one day have the same water.
            [$pH, $gh] = $waters[$from] ??= [
                self::spread($outlook->trace->columns['pH'], $from),
                self::spread($outlook->trace->columns['generalHardness'], $from),
            ];
            $terms[] = new Term(
                $kind->common,
                \sprintf(
                    'pH %s–%s of %s–%s, %s–%s of %s–%s',
                    Decimal::trimmed($pH[0], 1),
                    Decimal::trimmed($pH[1], 1),
                    Decimal::trimmed($kind->acidest->value, 1),
                    Decimal::trimmed($kind->alkalinest->value, 1),
                    $bare($gh[0]),
                    $hardness($gh[1]),
                    $bare($kind->softest->value),
                    $hardness($kind->hardest->value),
                ),
                $kind->acidest->provenance,
            );
            foreach (self::steps($kind, $pH, $gh, $outlook->units) as [$steps, $words, $short]) {
                if (null === $worst || $steps > $worst[0]) {
                    $worst = [$steps, $kind, $words, $short];
                }
            }
        }
        if (null === $worst) {
            return Margin::idle(MarginId::Waters, 'later', 'The animals come after the days that were run.');
        }
        [$steps, $kind, $words, $short] = $worst;
        $measure = max(0.0, $steps);

        return Margin::atMost(
            MarginId::Waters,
            $measure,
            '',
            self::TIGHT,
            self::FAILS,
            null,
            match (true) {
                $measure > self::FAILS => "$kind->common: $words. Another kind, or other water.",
                $measure > self::TIGHT => "$kind->common is at the edge: $words.",
                default => 'The water suits every kind through its days in it.',
            },
            [
                ...\array_slice($terms, 0, 10),
                new Term('days counted', 'from the day they come, but for a week at either end', Provenance::Judgement),
            ],
            shown: $measure <= self::TIGHT ? 'suits all' : $short,
        );
    }

    /**
     * @param list<float> $values by day
     *
     * @return array{float, float} least and most from a day on, but for a week at either end
     */
    public static function spread(array $values, int $from): array
    {
        $days = \array_slice($values, $from);
        sort($days);
        \assert([] !== $days);

        $left = min(self::OUTLIERS_MOST, self::OUTLIERS / \count($days));

        return [Band::percentile($days, $left), Band::percentile($days, 1 - $left)];
    }

    /**
     * How far (0: where it thrives, 1: the end of where it is kept) water goes in each direction.
     *
     * @param array{float, float} $pH least and most
     * @param array{float, float} $gh °dH
     *
     * @return array{acid: float, alkaline: float, soft: float, hard: float}
     */
    public static function ways(AnimalKind $kind, array $pH, array $gh): array
    {
        $kept = $kind->kept;
        $way = static fn (float $beyond, float $room, float $least): float => $beyond / max($least, $room);

        return [
            'acid' => $way($kind->acidest->value - $pH[0], $kind->acidest->value - $kept->acidest->value, self::STEP_PH),
            'alkaline' => $way($pH[1] - $kind->alkalinest->value, $kept->alkalinest->value - $kind->alkalinest->value, self::STEP_PH),
            'soft' => $way($kind->softest->value - $gh[0], $kind->softest->value - $kept->softest->value, self::STEP_DEGREES),
            'hard' => $way($gh[1] - $kind->hardest->value, $kept->hardest->value - $kind->hardest->value, self::STEP_DEGREES),
        ];
    }

    /**
     * The direction in which water goes farthest.
     *
     * @param array{acid: float, alkaline: float, soft: float, hard: float} $ways
     *
     * @return 'acid'|'alkaline'|'soft'|'hard'
     */
    public static function worst(array $ways): string
    {
        arsort($ways);

        return array_key_first($ways);
    }

    /**
     * @param array{float, float} $pH
     * @param array{float, float} $gh
     *
     * @return list<array{float, string, string}> how far beyond each bound, as ways() has it, in words, and the reading alone
     */
    public static function steps(AnimalKind $kind, array $pH, array $gh, UnitSystem $units): array
    {
        $ways = self::ways($kind, $pH, $gh);
        $acid = \sprintf('needs pH %s–%s', Decimal::trimmed($kind->acidest->value, 1), Decimal::trimmed($kind->alkalinest->value, 1));
        $hard = \sprintf(
            'needs hardness %s–%s',
            Decimal::trimmed($units->unitFor(Dimension::Hardness)->fromBase($kind->softest->value), 0),
            $units->show(Dimension::Hardness, $kind->hardest->value, 0),
        );
        [$soft, $much] = [$units->show(Dimension::Hardness, $gh[0], 0), $units->show(Dimension::Hardness, $gh[1], 0)];

        return [
            [
                $ways['acid'],
                $acid.', the water falls to '.Decimal::trimmed($pH[0], 1),
                'pH '.Decimal::trimmed($pH[0], 1),
            ],
            [
                $ways['alkaline'],
                $acid.', the water rises to '.Decimal::trimmed($pH[1], 1),
                'pH '.Decimal::trimmed($pH[1], 1),
            ],
            [$ways['soft'], "$hard, the water has $soft", $soft],
            [$ways['hard'], "$hard, the water comes to $much", $much],
        ];
    }
}
