<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Solve\Compose;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Basis\TimeLimit\NoTimeLimit;
use Olvek\Core\Basis\TimeLimit\OutOfTime;
use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Basis\Unit\Words;
use Olvek\Core\Judgement\Margin\Judge;
use Olvek\Core\Judgement\Margin\MarginState;
use Olvek\Core\Judgement\Solve\Trial;
use Olvek\Core\Keeping\Care\Effort;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Nature\Plant\PlantKind;
use Olvek\Core\Planning\Buying\RoughCost;
use Olvek\Core\Planning\Change\Change;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Plan\Clump;
use Olvek\Core\Planning\Plan\Group;
use Olvek\Core\Planning\Plan\Method;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Pace;

/**
 * Makes whole plans for a wish: a method's recipe in the wished vessel, planted and stocked after a taste, then changed as keepers would
 * change it until its run holds. What of the wish keeps it from holding is left out, and named. No chance is in it, and what it tries is
 * counted in runs, not in seconds: the same wish gives the same plan on any machine.
 */
final readonly class Composer
{
    /** Years that are run for one plan at most. J: most wishes take ten, hard ones fifty. */
    public const RUNS = 60;
    /** Faults of place or stand that no plan can mend, and that must not be built. */
    private const UNSAFE = ['support', 'stand-length', 'stand-width', 'pane'];

    public function __construct(private Editor $editor, private Catalogue $catalogue)
    {
    }

    /**
     * @param \Closure(int, int): void|null $progress told how many steps of how many are done
     */
    public function compose(
        Wish $wish,
        Taste $taste,
        UnitSystem $units = UnitSystem::Metric,
        ?\Closure $progress = null,
    ): Composition {
        $trial = new Trial($this->editor, new NoTimeLimit(), self::RUNS);
        $search = new Search($wish, $taste, new Bounds($wish), $trial, null === $progress
            ? null
            : static fn (int $step) => $progress($step, FirstDraft::METHODS + Mending::RUNS));
        $mending = new Mending();
        $granting = new Granting($this->editor, $mending);
        $found = null;
        $complete = true;
        try {
            foreach ((new FirstDraft($this->editor, $this->catalogue))->begun($wish, $taste, $units, $trial) as [$method, $score, $unmet]) {
                $search->step();
                if (null === $found || $score->valued($taste) < $found[1]->valued($taste)) {
                    $found = [$method, $score, $unmet];
                }
            }
        } catch (OutOfTime) {
            $complete = false;
        }
        if (null === $found) {
            throw new \LogicException('every vessel takes at least one method');
        }
        [$method, $score, $unmet] = $found;
        $notes = [];
        try {
            // What is tried is run roughly; what is answered is run whole, and mended once more where that finds fault.
            [$score, $notes] = $mending->mended($score, $search, Pace::Rough);
            $score = Score::of($score->plan, $trial->judged($score->plan));
            if (!$score->holds()) {
                [$score, $more] = $mending->mended($score, $search, Pace::Whole);
                $notes = Message::distinct([...$notes, ...$more]);
            }
            foreach ([Pace::Rough, Pace::Whole] as $pace) {
                [$score, $dropped] = $granting->granted($score, $search, $pace);
                $unmet = [...$unmet, ...$dropped];
                $score = [] === $dropped ? $score : Score::of($score->plan, $trial->judged($score->plan));
            }
        } catch (OutOfTime) {
            $complete = false;
        }
        if (!$complete) {
            // What was tried last may have been run roughly.
            $score = Score::of($score->plan, Judge::judge($score->plan));
        }
        $unmet = [...$unmet, ...$this->leftOut($wish, $score->plan, $unmet)];
        $unsafe = array_filter($score->toFix, static fn ($m): bool => \in_array($m->id, self::UNSAFE, true));
        foreach ($score->toFix as $mistake) {
            $unmet[] = new Unmet(
                'vessel' === $mistake->stage ? new Message('unmet.vessel') : Message::text($mistake->stage),
                [$mistake->message],
                $mistake->fix,
            );
        }
        $unmet = [...$unmet, ...array_map(Unmet::ofHarm(...), $score->failing)];

        return new Composition(
            $taste,
            $method,
            $score->plan,
            $score->judgement,
            [] === $score->failing && MarginState::Fails !== $score->judgement->state && [] === $unsafe,
            self::sentence($score->plan, $method),
            $unmet,
            $notes,
            RoughCost::of($score->plan, $wish->hasVessel, LampWish::Mine === $wish->lamp),
            Effort::weekly($score->plan, $score->judgement->trace),
            $trial->runs,
            $complete,
        );
    }

    /**
     * Plants that were wanted and did not stay.
     *
     * @param list<Unmet> $named already
     *
     * @return list<Unmet>
     */
    private function leftOut(Wish $wish, Plan $plan, array $named): array
    {
        $here = [
            ...array_map(static fn (Clump $c): string => $c->kind->id, $plan->clumps),
            ...array_map(static fn (Unmet $u): ?string => $u->kind, $named),
        ];
        $gone = array_filter($wish->wanted, static fn (PlantKind $p): bool => !\in_array($p->id, $here, true));

        return array_values(array_map(
            static fn (PlantKind $p): Unmet => new Unmet(
                Message::text($p->common),
                [new Message('unmet.dwindles')],
                new Message('needed.light'),
                $p->id,
            ),
            $gone,
        ));
    }

    private static function sentence(Plan $plan, Method $method): string
    {
        $kinds = \count(array_unique(array_map(static fn ($c): string => $c->kind->id, $plan->clumps)));
        $animals = array_map(static fn (Group $g): string => "$g->count × {$g->kind->common}", $plan->groups);

        return \sprintf(
            '%s, %s of plants, %s; %s.',
            $method->words(),
            Words::count($kinds, 'kind'),
            [] === $animals ? 'no animals' : Words::list($animals),
            $plan->lamp->lumens > 0
                ? \sprintf('a lamp of %s lm for %s h', Decimal::trimmed($plan->lamp->lumens, 0), Decimal::trimmed($plan->lamp->hours, 1))
                : $plan->site->aspect->words().', no lamp',
        );
    }
}
