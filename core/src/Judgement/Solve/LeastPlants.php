<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Solve;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Basis\TimeLimit\NoTimeLimit;
use Olvek\Core\Basis\TimeLimit\OutOfTime;
use Olvek\Core\Basis\TimeLimit\TimeLimit;
use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Judgement\Margin\Asked;
use Olvek\Core\Judgement\Margin\Harm\Harm;
use Olvek\Core\Judgement\Margin\PlantedShare;
use Olvek\Core\Judgement\Margin\Term;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Planning\Change\AddClump;
use Olvek\Core\Planning\Change\Change;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Change\Remove;
use Olvek\Core\Planning\Change\SetNumber;
use Olvek\Core\Planning\Plan\Clump;
use Olvek\Core\Planning\Plan\Plan;

/** The least plant mass that keeps the water fit, and which roles it should come from. */
final readonly class LeastPlants implements Question
{
    /** Pieces of one kind beyond which nobody plants. J. */
    private const MOST = 400;
    /**
     * Mixes of roles tried, in parts of pieces. C: fast stems and root feeders do the work of the first months together; floaters or a
     * foreground beside them.
     */
    private const MIXES = [
        'fast stems and root feeders' => ['hygrophila-polysperma' => 8, 'cryptocoryne-wendtii' => 2],
        'fast stems, root feeders and floaters' => ['hygrophila-polysperma' => 6, 'cryptocoryne-wendtii' => 2, 'salvinia-natans' => 1],
        'fast stems, tape grass and root feeders' => [
            'hygrophila-polysperma' => 5,
            'vallisneria-spiralis' => 5,
            'cryptocoryne-wendtii' => 1,
        ],
    ];
    /** Share of the floor that even the fewest plants cover. C: half to three quarters; J. */
    private const LEAST_PLANTED = 0.4;

    public function __construct(private Editor $editor, private Catalogue $catalogue)
    {
    }

    public function solve(Plan $plan, TimeLimit $patience = new NoTimeLimit()): Answer
    {
        $trial = new Trial($this->editor, $patience);
        $bare = $plan;
        foreach ($plan->clumps as $clump) {
            $bare = $bare->withoutClump($clump->id);
        }
        $best = null;
        $why = null;
        $terms = [];
        foreach ($this->mixes($plan) as $words => $parts) {
            $holds = static function (int $share) use ($trial, $bare, $parts, &$why): bool {
                $planted = self::planted($bare, $parts, $share);
                if (PlantedShare::of($planted) < self::LEAST_PLANTED) {
                    return false;
                }
                $forbids = Trial::forbids($trial->judged($planted), Asked::LeastPlants);
                $why = $forbids ?? $why;

                return null === $forbids;
            };
            try {
                $least = $this->smallest($holds);
            } catch (OutOfTime) {
                break;
            }
            if (null === $least) {
                $terms[] = new Term($words, 'never enough');
                continue;
            }
            $grams = array_sum(array_map(static fn (Clump $c): float => $c->biomass(), self::planted($bare, $parts, $least)->clumps));
            $terms[] = new Term($words, Decimal::significant($grams, 2).' g dry');
            if (null === $best || $grams < $best[0]) {
                $best = [$grams, $words, self::planted($bare, $parts, $least)];
            }
        }
        if (null === $best && $trial->brokenOff) {
            return Answer::soFar(new Message('answer.plants-not-yet'), [], $terms, $trial->runs);
        }
        if (null === $best) {
            return Answer::none([
                new Message('answer.plants-none'),
                ...$why instanceof Harm ? [$why->message] : [],
            ], $terms, $trial->runs);
        }
        [$grams, , $planted] = $best;
        $have = array_sum(array_map(static fn (Clump $c): float => $c->biomass(), $plan->clumps));
        $sentence = new Message('answer.plants', [
            'grams' => $grams,
            'list' => array_map(
                static fn (Clump $c): Message => new Message('answer.pieces', ['pieces' => $c->pieces, 'plant' => $c->kind->common]),
                array_values($planted->clumps),
            ),
            'have' => $have,
        ]);
        $changes = self::changes($plan, $planted);

        return $trial->brokenOff
            ? Answer::soFar([$sentence, new Message('answer.plants-others')], $changes, $terms, $trial->runs)
            : Answer::found($sentence, $changes, $terms, $trial->runs);
    }

    /** @return array<string, list<array{Clump, float}>> clumps and pieces at a whole share of 100 */
    private function mixes(Plan $plan): array
    {
        $mixes = [];
        if ([] !== $plan->clumps) {
            $mixes['the plants of the plan'] = array_map(static fn (Clump $c): array => [$c, (float) $c->pieces], $plan->clumps);
        }
        $floor = $plan->floor() * 1e4;
        foreach (self::MIXES as $words => $parts) {
            $mix = [];
            $n = 0;
            foreach ($parts as $kind => $part) {
                $kind = $this->catalogue->plants[$kind];
                ++$n;
                // A whole share plants about the whole floor with stems and covers the rest in proportion.
                $mix[] = [new Clump("s$n", $kind, 1, $n / (1 + \count($parts)), $kind->zone->row()), ($part * $floor) / 120];
            }
            $mixes[$words] = $mix;
        }

        return $mixes;
    }

    /** @param list<array{Clump, float}> $parts */
    private static function planted(Plan $bare, array $parts, int $share): Plan
    {
        foreach ($parts as [$clump, $pieces]) {
            $bare = $bare->withClump($clump->withPieces(max(1, min(Clump::MOST_PIECES, (int) round(($pieces * $share) / 100)))));
        }

        return $bare;
    }

    /** @param \Closure(int): bool $holds */
    private function smallest(\Closure $holds): ?int
    {
        $high = null;
        foreach ([25, 50, 100, 200, self::MOST] as $share) {
            if ($holds($share)) {
                $high = $share;
                break;
            }
        }
        if (null === $high) {
            return null;
        }
        $low = 25 === $high ? 0 : intdiv($high, 2);
        while ($high - $low > max(2, intdiv($high, 12))) {
            $middle = intdiv($low + $high, 2);
            if ($holds($middle)) {
                $high = $middle;
            } else {
                $low = $middle;
            }
        }

        return $high;
    }

    /** @return list<Change> */
    private static function changes(Plan $plan, Plan $planted): array
    {
        $changes = [];
        $kept = array_map(static fn (Clump $c): string => $c->id, $planted->clumps);
        foreach ($plan->clumps as $clump) {
            if (!\in_array($clump->id, $kept, true)) {
                $changes[] = new Remove('plants', $clump->id);
            }
        }
        foreach ($planted->clumps as $clump) {
            if (\in_array($clump->id, array_map(static fn (Clump $c): string => $c->id, $plan->clumps), true)) {
                $changes[] = new SetNumber("plants.$clump->id.pieces", $clump->pieces);
            } else {
                $changes[] = new AddClump($clump->kind->id, $clump->pieces);
            }
        }

        return $changes;
    }
}
