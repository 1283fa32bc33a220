<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Solve;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Basis\TimeLimit\NoTimeLimit;
use Olvek\Core\Basis\TimeLimit\OutOfTime;
use Olvek\Core\Basis\TimeLimit\TimeLimit;
use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Judgement\Margin\Asked;
use Olvek\Core\Judgement\Margin\Term;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Change\SetNumber;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Alga;

/** The hours of lamp light that feed the plants and hold the algae. */
final readonly class LightHours implements Question
{
    /** Hours tried. J. */
    private const SHORTEST = 4;
    private const LONGEST = 16;

    /** h of lamp light up to which more is better, while algae do not show. C: eight to ten without added carbon dioxide. */
    private const USUAL = 9;

    public function __construct(private Editor $editor)
    {
    }

    public function solve(Plan $plan, TimeLimit $patience = new NoTimeLimit()): Answer
    {
        if ($plan->lamp->lumens <= 0) {
            return Answer::none(new Message('answer.no-lamp'), [], 0);
        }
        if ([] === $plan->clumps) {
            return Answer::none(new Message('answer.no-plants'), [], 0);
        }
        $trial = new Trial($this->editor, $patience);
        $terms = $good = [];
        $why = null;
        for ($hours = self::SHORTEST; $hours <= self::LONGEST; ++$hours) {
            $changed = $trial->changed($plan, [new SetNumber('light.hours', $hours)]);
            \assert(null !== $changed);
            try {
                $judgement = $trial->judged($changed);
            } catch (OutOfTime) {
                break;
            }
            $forbids = Trial::forbids($judgement, Asked::LightHours);
            // What plants would grow, over the year, and the worst of algae.
            $growth = $judgement->trace->mean('exportable', 0, $judgement->trace->days());
            $film = $judgement->trace->highest('algae')[0];
            $terms[] = new Term(
                "$hours h",
                \sprintf(
                    '%s; growth %s mg N a day, film %s g/m²',
                    null === $forbids ? 'holds' : 'fails',
                    Decimal::significant($growth, 2),
                    Decimal::significant($film, 2),
                ),
            );
            if (null === $forbids) {
                $good[$hours] = $film < Alga::SHOWS && $hours <= self::USUAL ? $growth : $growth / (1 + $film + abs($hours - self::USUAL));
            } else {
                $why = $forbids;
            }
        }
        $tried = self::SHORTEST - 1 + \count($terms);
        if ([] === $good) {
            return $trial->brokenOff
                ? Answer::soFar(new Message('answer.light-not-yet', ['tried' => $tried]), [], $terms, $trial->runs)
                : Answer::none(
                    [new Message('answer.light-none'), ...null === $why ? [] : [$why->message]],
                    $terms,
                    $trial->runs,
                );
        }
        // The day in which plants grow most while algae do not show, up to what is usual.
        arsort($good);
        $best = array_key_first($good);
        $changes = [new SetNumber('light.hours', $best)];
        if ($trial->brokenOff) {
            return Answer::soFar(new Message('answer.light-so-far', ['best' => $best, 'tried' => $tried]), $changes, $terms, $trial->runs);
        }
        // Told is the stretch without a gap that it lies in.
        $from = $to = $best;
        while (isset($good[$from - 1])) {
            --$from;
        }
        while (isset($good[$to + 1])) {
            ++$to;
        }

        return Answer::found(
            new Message('answer.light', ['best' => $best, 'from' => $from, 'to' => $to, 'now' => $plan->lamp->hours]),
            $changes,
            $terms,
            $trial->runs,
        );
    }
}
