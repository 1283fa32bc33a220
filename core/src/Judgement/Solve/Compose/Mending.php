<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Solve\Compose;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Judgement\Margin\Harm\Harm;
use Olvek\Core\Judgement\Margin\Harm\HarmId;
use Olvek\Core\Judgement\Margin\MarginId;
use Olvek\Core\Judgement\Margin\Remedy;
use Olvek\Core\Judgement\Review\VesselReview;
use Olvek\Core\Planning\Change\Change;
use Olvek\Core\Planning\Change\Remove;
use Olvek\Core\Planning\Change\SetNumber;
use Olvek\Core\Planning\Plan\Clump;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Pace;
use Olvek\Core\Simulation\Run\Trace;

/**
 * Changes a plan as keepers would, until its run holds or nothing helps.
 *
 * @internal
 */
final readonly class Mending
{
    /** Runs that mending may take. J: more find little more. */
    public const RUNS = 45;
    /** Score by which a change must better a plan to be made. J. */
    private const WORTH = 0.05;
    /** Rounds in which what is only tight or unsure is bettered. J. */
    private const POLISH = 2;
    /** h of lamp light beyond which none is lengthened. C: eight to ten hours without CO2. */
    private const LONGEST = 10.0;
    /** Share of what was planted below which a clump is no gain. J. */
    private const DWINDLED = 0.5;

    /**
     * Changed as keepers would, one change at a time and the best first, until nothing fails or nothing helps.
     *
     * @return array{Score, list<Message>} and what was changed
     */
    public function mended(Score $score, Search $search, Pace $pace): array
    {
        $notes = [];
        $polish = 0;
        $until = $search->trial->runs + self::RUNS;
        while ($search->trial->runs < $until) {
            $about = [] === $score->failing ? $score->tight : $score->failing;
            if ([] === $score->failing && [] === $score->toFix && ++$polish > self::POLISH) {
                break;
            }
            $best = null;
            foreach ($this->candidates($score, \array_slice($about, 0, 2)) as [$note, $changes]) {
                $plan = $search->bounds->allow($changes) ? $search->trial->changed($score->plan, $changes) : null;
                if (null === $plan) {
                    continue;
                }
                $search->step();
                $then = Score::of($plan, $search->trial->judged($plan, pace: $pace));
                if ($then->valued($search->taste) < ($best[0] ?? $score)->valued($search->taste) - self::WORTH) {
                    $best = [$then, $note];
                }
            }
            if (null === $best) {
                break;
            }
            [$score, $note] = $best;
            $notes[] = $note;
        }

        return [$score, Message::distinct($notes)];
    }

    /**
     * @param list<Harm> $about
     *
     * @return list<array{Message, list<Change>}> what they do, and how
     */
    private function candidates(Score $score, array $about): array
    {
        $candidates = [];
        foreach ($score->toFix as $mistake) {
            if ([] !== $mistake->changes && null !== $mistake->fix) {
                $candidates[] = [$mistake->fix, $mistake->changes];
            }
            if ('lid' === $mistake->id) {
                $low = round($score->plan->vessel->height() - VesselReview::LEAP - 0.001, 3);
                $candidates[] = [new Message('note.lower-for-jumpers'), [new SetNumber('waterLine', $low)]];
            }
        }
        foreach ($about as $harm) {
            foreach ($harm->margins() as $margin) {
                $candidates = [...$candidates, ...$this->remedies($margin, $score)];
            }
            if (HarmId::Plants === $harm->id) {
                $candidates = [...$candidates, ...$this->withoutWeakest($score)];
            }
        }

        if (!$score->airy) {
            $candidates = [...$candidates, ...$this->remedies(MarginId::Oxygen, $score)];
        }

        // Two margins may ask for the same change, which is tried once.
        $distinct = [];
        foreach ($candidates as [$note, $changes]) {
            $distinct[serialize($note)] = [$note, $changes];
        }

        return array_values($distinct);
    }

    /** @return list<array{Message, list<Change>}> */
    private function remedies(MarginId $margin, Score $score): array
    {
        $candidates = [];
        foreach ($margin->about()->remedies as $remedy) {
            $found = $this->mayBe($remedy, $score) ? $remedy->on($score->plan) : null;
            if (null !== $found) {
                $candidates[] = [Message::text($found[0]), $found[1]];
            }
        }

        return $candidates;
    }

    private function mayBe(Remedy $remedy, Score $score): bool
    {
        return match ($remedy) {
            // Animals were wished for: fewer of them is the last thing that is tried.
            Remedy::FewerAnimals, Remedy::LargerGroup => false,
            Remedy::LongerLight => $score->plan->lamp->hours + 2 <= self::LONGEST,
            // What carries waste out in the long run stays, unless all else would fail; and a lid would shut in what grows out.
            Remedy::NoFloaters => [] !== $score->failing,
            Remedy::Lid => [] === array_filter($score->plan->clumps, static fn (Clump $c): bool => $c->hasLeavesInAir() && !$c->floats()),
            default => true,
        };
    }

    /** @return list<array{Message, list<Change>}> without the clump that fares worst, where there are others */
    private function withoutWeakest(Score $score): array
    {
        $plan = $score->plan;
        $weakest = self::dwindled($plan, $score->judgement->trace);

        return null === $weakest || \count($plan->clumps) < 4
            ? []
            : [[new Message('note.without-plant', ['plant' => $weakest->kind->common]), [new Remove('plants', $weakest->id)]]];
    }

    private static function dwindled(Plan $plan, Trace $trace): ?Clump
    {
        $weakest = null;
        foreach ($plan->clumps as $i => $clump) {
            $left = $trace->clumps[$trace->days() - 1][$i] / max(1e-9, $clump->biomass());
            if (!$clump->floats() && $left < self::DWINDLED && (null === $weakest || $left < $weakest[0])) {
                $weakest = [$left, $clump];
            }
        }

        return $weakest[1] ?? null;
    }
}
