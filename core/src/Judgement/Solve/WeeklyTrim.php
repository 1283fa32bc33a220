<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Solve;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Basis\TimeLimit\NoTimeLimit;
use Olvek\Core\Basis\TimeLimit\TimeLimit;
use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\Provenance;
use Olvek\Core\Judgement\Margin\Term;
use Olvek\Core\Nature\Plant\Handful;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Plan\Plan;

/** What must be cut and carried out each week so that the nitrogen fed leaves again. */
final readonly class WeeklyTrim implements Question
{
    /** Day from which a tank has settled. J. */
    private const SETTLED = 182;

    public function __construct(private Editor $editor)
    {
    }

    public function solve(Plan $plan, TimeLimit $patience = new NoTimeLimit()): Answer
    {
        if ([] === $plan->clumps) {
            return Answer::none(new Message('answer.trim-no-plants'), [], 0);
        }
        $trial = new Trial($this->editor, $patience);
        $trace = $trial->judged($plan)->trace;
        $end = $trace->days();
        $fed = null === $plan->firstAnimals() ? 0.0 : 7 * $plan->feed->nitrogen();
        if ($fed < 0.01) {
            return Answer::none(new Message('answer.trim-not-fed'), [], $trial->runs);
        }
        $gas = 7 * $trace->mean('denitrified', self::SETTLED, $end);
        $changed = 7 * $plan->care->dailyShare() * $plan->netWater() * $trace->mean('nitrate', self::SETTLED, $end);
        $must = max(0.0, $fed - $gas - $changed);
        $can = 7 * ($trace->mean('taken', self::SETTLED, $end) + $trace->mean('rooted', self::SETTLED, $end));
        // Which plant is cut: the one that grew most; its leaf and its water content say what a handful holds.
        $cut = 0;
        foreach ($plan->clumps as $i => $clump) {
            $cut =
                $clump->kind->growth->value * $trace->clumps[$end - 1][$i] >
                $plan->clumps[$cut]->kind->growth->value * $trace->clumps[$end - 1][$cut]
                    ? $i
                    : $cut;
        }
        $kind = $plan->clumps[$cut]->kind;
        $leaf = max(13.0, $trace->quotas[$end - 1][$cut]);
        $wet = ($must / $leaf) * $kind->wetRatio->value;
        $terms = [
            new Term('fed', Decimal::significant($fed, 2).' mg N a week', Provenance::Published, 'protein × 0.16: FAO 2003'),
            new Term('turned to gas in the bed', Decimal::significant($gas, 2).' mg N a week', Provenance::Memory),
            new Term('carried out by water changes', Decimal::significant($changed, 2).' mg N a week'),
            new Term('must leave with plants', Decimal::significant($must, 2).' mg N a week'),
            new Term('plants use', Decimal::significant($can, 2).' mg N a week', Provenance::Memory),
            new Term(
                $kind->common.' holds',
                Decimal::trimmed($leaf, 0).' mg N/g dry, '.Decimal::trimmed($kind->wetRatio->value, 0).' g wet to a gram dry',
                $kind->wetRatio->provenance,
            ),
            new Term('a handful', Decimal::trimmed(Handful::WET, 0).' g wet, shaken off', Provenance::CommonPractice),
        ];
        if ($must < 0.01) {
            return Answer::found(new Message('answer.trim-nothing'), [], $terms, $trial->runs);
        }
        if ($can < $must) {
            return Answer::none(
                new Message('answer.trim-too-little', ['can' => $can, 'must' => $must]),
                $terms,
                $trial->runs,
            );
        }
        $handfuls = $wet / Handful::WET;

        return Answer::found(
            new Message('answer.trim', [
                'grams' => $wet,
                'every' => $handfuls < 0.75 ? max(2, (int) round(1 / max(0.02, $handfuls))) : 1,
                'handfuls' => max(1, (int) round($handfuls)),
                'plant' => $kind->common,
            ]),
            [],
            $terms,
            $trial->runs,
        );
    }
}
