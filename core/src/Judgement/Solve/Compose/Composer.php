<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Solve\Compose;

use Olvek\Core\Basis\Field\Fields;
use Olvek\Core\Basis\TimeLimit\NoTimeLimit;
use Olvek\Core\Basis\TimeLimit\OutOfTime;
use Olvek\Core\Basis\TimeLimit\TimeLimit;
use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Basis\Unit\Words;
use Olvek\Core\Judgement\Margin\Asked;
use Olvek\Core\Judgement\Margin\Margin;
use Olvek\Core\Judgement\Margin\MarginId;
use Olvek\Core\Judgement\Margin\MarginState;
use Olvek\Core\Judgement\Margin\Outlook;
use Olvek\Core\Judgement\Margin\Remedy;
use Olvek\Core\Judgement\Review\VesselReview;
use Olvek\Core\Judgement\Solve\Trial;
use Olvek\Core\Judgement\Suitability\PlantSuit;
use Olvek\Core\Judgement\Suitability\TankOffer;
use Olvek\Core\Keeping\Care\Effort;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Nature\Plant\PlantKind;
use Olvek\Core\Nature\Vessel\VesselShape;
use Olvek\Core\Planning\Buying\RoughCost;
use Olvek\Core\Planning\Change\AddPiece;
use Olvek\Core\Planning\Change\Change;
use Olvek\Core\Planning\Change\Choose;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Change\Remove;
use Olvek\Core\Planning\Change\SetLamp;
use Olvek\Core\Planning\Change\SetNumber;
use Olvek\Core\Planning\Change\TakeMethod;
use Olvek\Core\Planning\Plan\Clump;
use Olvek\Core\Planning\Plan\FillingMethod;
use Olvek\Core\Planning\Plan\Group;
use Olvek\Core\Planning\Plan\InvalidPlan;
use Olvek\Core\Planning\Plan\Method;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\Treatment;
use Olvek\Core\Simulation\Run\Pace;
use Olvek\Core\Simulation\Run\Trace;

/**
 * Makes whole plans for a wish: a method's recipe in the wished vessel, planted and stocked after a taste, then changed as keepers would
 * change it until its run holds. What of the wish keeps it from holding is left out, and named. Deterministic: no chance is in it, and
 * what it tries is counted in runs, not in seconds.
 */
final readonly class Composer
{
    /** Methods begun with for one plan, and runs that mending may take. J: more find little more. */
    private const METHODS = 3;
    private const MENDING = 45;
    /** Tanks whose uncertain numbers differ that tell how sure a plan is. J: enough to tell a half from three quarters. */
    public const TANKS = 16;
    /** Score by which a change must better a plan to be made. J. */
    private const WORTH = 0.05;
    /** Rounds in which what is only tight is bettered. J. */
    private const POLISH = 2;
    /** L from which a stone or a piece of wood is laid, and most L that it has. J. */
    private const PIECE_FROM = 12.0;
    private const LARGEST_PIECE = 5.0;
    /** lm to which a suggested lamp is rounded, and share of the headroom at which it hangs at most. J. */
    private const LAMP_STEP = 50.0;
    private const HANGS = 0.8;
    /** What it costs a plan in score to ask for changes of water or a heater, where the taste is against it. J. */
    private const AGAINST_TASTE = 1.5;
    private const ASKS = 0.2;
    /** h of lamp light beyond which none is lengthened. C: eight to ten hours without CO2. */
    private const LONGEST = 10.0;
    /** Share of what was planted below which a clump is no gain. J. */
    private const DWINDLED = 0.5;
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
        TimeLimit $patience = new NoTimeLimit(),
        ?\Closure $progress = null,
    ): Composition {
        $trial = new Trial($this->editor, $patience);
        $bounds = new Bounds($wish);
        $found = null;
        $complete = true;
        $step = 0;
        $told = static function () use (&$step, $progress): void {
            if (null !== $progress) {
                $progress(++$step, self::METHODS + self::MENDING);
            }
        };
        try {
            foreach ($this->begun($wish, $taste, $units, $trial) as [$method, $score, $unmet]) {
                $told();
                if (null === $found || $this->valued($score, $taste) < $this->valued($found[1], $taste)) {
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
            [$score, $notes] = $this->mended($score, $taste, $bounds, $trial, $told, Pace::Rough);
            $score = Score::of($score->plan, $trial->judged($score->plan));
            if (!$score->holds()) {
                [$score, $more] = $this->mended($score, $taste, $bounds, $trial, $told, Pace::Whole);
                $notes = array_values(array_unique([...$notes, ...$more]));
            }
            foreach ([Pace::Rough, Pace::Whole] as $pace) {
                [$score, $dropped] = $this->granted($score, $wish, $taste, $bounds, $trial, $told, $pace);
                $unmet = [...$unmet, ...$dropped];
                $score = [] === $dropped ? $score : Score::of($score->plan, $trial->judged($score->plan));
            }
        } catch (OutOfTime) {
            $complete = false;
        }
        $unmet = [...$unmet, ...$this->leftOut($wish, $score->plan, $unmet)];
        $unsafe = array_filter($score->toFix, static fn ($m): bool => \in_array($m->id, self::UNSAFE, true));
        foreach ($score->toFix as $mistake) {
            $unmet[] = new Unmet(
                'vessel' === $mistake->stage ? 'this vessel in this place' : $mistake->stage,
                $mistake->words,
                '' === $mistake->mend ? '' : Words::small($mistake->mend),
            );
        }
        foreach ($score->failing as $margin) {
            $unmet[] = new Unmet(Words::small($margin->name), $margin->sentence);
        }

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
            ...array_map(static fn (Clump $c): string => $c->kind->common, $plan->clumps),
            ...array_map(static fn (Unmet $u): string => $u->what, $named),
        ];
        $gone = array_filter($wish->wanted, static fn (PlantKind $p): bool => !\in_array($p->common, $here, true));

        return array_values(array_map(
            static fn (PlantKind $p): Unmet => new Unmet(
                $p->common,
                'Planted here with the others, it dwindles within the year.',
                'more light for it, or fewer plants over it',
            ),
            $gone,
        ));
    }

    /**
     * What a method itself would make of a wish: its recipe, the planting of a taste, the animals that were wished; null where it does not
     * fit.
     *
     * @return array{Plan, list<Unmet>}|null
     */
    public function default(Wish $wish, Taste $taste, Method $method, UnitSystem $units, Trial $trial): ?array
    {
        try {
            $bare = $this->laid($wish, $taste, $method, $units);
            $judged = $trial->judged($bare, pace: Pace::Rough);
            [$planted, $unplanted] = (new Planter($this->catalogue, $wish, $taste))->plant(
                $bare,
                new PlantSuit($bare, TankOffer::of($judged->trace), $units),
            );
            [$stocked, $unstocked] = (new Stocker($this->catalogue, $wish, $taste, $units))->stock(
                $planted,
                $trial->judged($planted, pace: Pace::Rough),
            );
        } catch (InvalidPlan) {
            return null;
        }

        return [$stocked, [...$unplanted, ...$unstocked]];
    }

    /** @return iterable<array{Method, Score, list<Unmet>}> */
    private function begun(Wish $wish, Taste $taste, UnitSystem $units, Trial $trial): iterable
    {
        $begun = 0;
        foreach ($this->methods($wish, $taste) as $method) {
            $default = $this->default($wish, $taste, $method, $units, $trial);
            if (null !== $default) {
                yield [$method, Score::of($default[0], $trial->judged($default[0], pace: Pace::Rough)), $default[1]];
                if (++$begun >= self::METHODS) {
                    return;
                }
            }
        }
    }

    /** @return list<Method> the wished one, or those that suit taste and place; lean ones last, which fit every vessel */
    private function methods(Wish $wish, Taste $taste): array
    {
        $site = $wish->tank->site;
        $suits = static fn (Method $m): bool => match ($m) {
            Method::SunnySill => $site->seesDaylight(),
            Method::SealedJar => $site->sealed,
            default => !$site->sealed,
        };
        $first = null === $wish->method ? ($site->sealed ? [Method::SealedJar] : $taste->methods()) : [$wish->method];

        return null === $wish->method
            ? array_values(array_unique(array_filter([...$first, ...Method::cases()], $suits), \SORT_REGULAR))
            : $first;
    }

    /**
     * The wished vessel with a method's bed, light and start; nothing grows or lives in it yet.
     *
     * @throws InvalidPlan where it does not fit
     */
    private function laid(Wish $wish, Taste $taste, Method $method, UnitSystem $units): Plan
    {
        $tank = $wish->tank;
        $changes = [
            ...$this->lamp($wish, $taste),
            new TakeMethod($method),
            // Under a lid nothing grows out of the water, so it is decided before the planting.
            ...$this->needsLid($wish) ? [new Choose('site.lid', true)] : [],
            new Choose('preparation.filling', FillingMethod::Plate->value),
            new Choose('preparation.rinsed', true),
            new Choose('preparation.sieved', true),
            ...Treatment::Undecided === $tank->preparation->treatment
                ? [new Choose('preparation.treatment', Treatment::Dechlorinated->value)]
                : [],
        ];
        $plan = $this->editor->make($tank, $changes, $units)->plan;
        // A recipe may have a window in mind; the tank stands where it stands.
        $site = Fields::with($plan->site, ['aspect' => $tank->site->aspect, 'sky' => $tank->site->sky]);
        $plan = $plan->withInputs($site, $plan->lamp, $plan->water, $plan->feed);

        return $this->furnished($plan, $taste);
    }

    private function needsLid(Wish $wish): bool
    {
        return !$wish->tank->site->sealed && !$wish->tank->site->isOutdoors()
            && [] !== array_filter($wish->animals, static fn (WishedAnimal $a): bool => $a->kind->jumper);
    }

    /** @return list<Change> */
    private function lamp(Wish $wish, Taste $taste): array
    {
        $tank = $wish->tank;
        if (LampWish::Mine === $wish->lamp) {
            return [];
        }
        // Daylight costs nothing, and is what a cheap tank by a window lives by.
        $none = LampWish::None === $wish->lamp
            || $tank->site->isOutdoors()
            || (Taste::LeastMoney === $taste && $tank->site->seesDaylight() && $tank->site->sky >= 0.2);
        if ($none) {
            return [SetLamp::lumens(0.0)];
        }
        $height = round(min($tank->lamp->height, self::HANGS * $tank->site->above), 3);
        $lamp = Fields::with($tank->lamp, ['height' => $height]);
        $lumens = ($taste->light() * $tank->surface() * $lamp::LUMENS_PER_MICROMOLE) / $lamp->landed($tank->surface());

        return [
            new SetNumber('light.height', $height),
            SetLamp::lumens(max(self::LAMP_STEP, self::LAMP_STEP * round($lumens / self::LAMP_STEP))),
        ];
    }

    /** With a stone or a piece of wood for what is tied to one. */
    private function furnished(Plan $plan, Taste $taste): Plan
    {
        $narrow = \in_array($plan->vessel->shape(), [VesselShape::Bowl, VesselShape::TiltedFlask, VesselShape::JarLying], true);
        if (
            Taste::LeastMoney === $taste
            || $narrow
            || $plan->site->sealed
            || $plan->site->isOutdoors()
            || $plan->netWater() < self::PIECE_FROM
        ) {
            return $plan;
        }
        $litres = round(min(self::LARGEST_PIECE, 0.02 * $plan->netWater()), 2);

        return $this->editor->make($plan, [
            new AddPiece(Taste::Jungle === $taste ? 'bog-wood' : 'lava', $litres),
            new SetNumber('hardscape.h1.place', Taste::Jungle === $taste ? 0.62 : 0.4),
        ])->plan;
    }

    /**
     * Changed as keepers would, one change at a time and the best first, until nothing fails or nothing helps.
     *
     * @param \Closure(): void $told
     *
     * @return array{Score, list<string>} and what was changed, in words
     */
    private function mended(Score $score, Taste $taste, Bounds $bounds, Trial $trial, \Closure $told, Pace $pace): array
    {
        $notes = [];
        $polish = 0;
        $until = $trial->runs + self::MENDING;
        while ($trial->runs < $until) {
            $about = [] === $score->failing ? $score->tight : $score->failing;
            if ([] === $score->failing && [] === $score->toFix && ++$polish > self::POLISH) {
                break;
            }
            $best = null;
            foreach ($this->candidates($score, \array_slice($about, 0, 2)) as $words => $changes) {
                $plan = $bounds->allow($changes) ? $trial->changed($score->plan, $changes) : null;
                if (null === $plan) {
                    continue;
                }
                $told();
                $then = Score::of($plan, $trial->judged($plan, pace: $pace));
                if ($this->valued($then, $taste) < $this->valued($best[0] ?? $score, $taste) - self::WORTH) {
                    $best = [$then, $words];
                }
            }
            if (null === $best) {
                break;
            }
            [$score, $words] = $best;
            $notes[] = $words;
        }

        return [$score, array_values(array_unique($notes))];
    }

    /**
     * @param list<Margin> $about
     *
     * @return array<string, list<Change>> by what they do, in words
     */
    private function candidates(Score $score, array $about): array
    {
        $candidates = [];
        foreach ($score->toFix as $mistake) {
            if ([] !== $mistake->changes) {
                $candidates[Words::small($mistake->mend)] = $mistake->changes;
            }
            if ('lid' === $mistake->id) {
                $low = round($score->plan->vessel->height() - VesselReview::LEAP - 0.001, 3);
                $candidates['water line lower, for those who jump'] = [new SetNumber('waterLine', $low)];
            }
        }
        foreach ($about as $margin) {
            foreach ($margin->id->about()->remedies as $remedy) {
                $found = $this->mayBe($remedy, $score) ? $remedy->on($score->plan) : null;
                if (null !== $found) {
                    $candidates[$found[0]] = $found[1];
                }
            }
            if (\in_array($margin->id, [MarginId::Mass, MarginId::Light, MarginId::Fed], true)) {
                $candidates = [...$candidates, ...$this->withoutWeakest($score, $margin->id)];
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

    /** @return array<string, list<Change>> without the clump that fares worst, where there are others */
    private function withoutWeakest(Score $score, MarginId $margin): array
    {
        $plan = $score->plan;
        $trace = $score->judgement->trace;
        $weakest = MarginId::Light === $margin ? self::darkest($plan, $trace) : self::dwindled($plan, $trace);

        return null === $weakest || \count($plan->clumps) < 4
            ? []
            : ["without {$weakest->kind->common}, which dwindles" => [new Remove('plants', $weakest->id)]];
    }

    private static function darkest(Plan $plan, Trace $trace): ?Clump
    {
        $asked = array_keys(array_filter($plan->clumps, static fn (Clump $c): bool => $c->standsOnFloor()));
        $darkest = $trace->leanest($trace->lit, Outlook::SETTLING, $asked);

        return null === $darkest ? null : $plan->clumps[$darkest[1]];
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

    /**
     * Without those of the animals that keep it from holding.
     *
     * @param \Closure(): void $told
     *
     * @return array{Score, list<Unmet>}
     */
    private function granted(Score $score, Wish $wish, Taste $taste, Bounds $bounds, Trial $trial, \Closure $told, Pace $pace): array
    {
        $unmet = [];
        while ([] !== $score->plan->groups) {
            // Only where one of these fails are any of them left out.
            $moved = Asked::WishedAnimals->margins();
            $theirs = array_values(array_filter($score->failing, static fn (Margin $m): bool => \in_array($m->id, $moved, true)));
            if ([] === $theirs) {
                break;
            }
            $why = $theirs[0];
            $best = null;
            foreach ($score->plan->groups as $group) {
                foreach ($this->fewer($score->plan, $group) as [$words, $plan]) {
                    $told();
                    $then = Score::of($plan, $trial->judged($plan, pace: $pace));
                    if (null === $best || $this->valued($then, $taste) < $this->valued($best[0], $taste)) {
                        $best = [$then, $words, $group->kind->id];
                    }
                }
            }
            if (null === $best) {
                break;
            }
            [$score] = $this->mended($best[0], $taste, $bounds, $trial, $told, $pace);
            $wished = array_filter($wish->animals, static fn (WishedAnimal $a): bool => $a->kind->id === $best[2]);
            if ([] !== $wished) {
                $unmet[] = new Unmet(
                    $best[1],
                    "With more, $why->name fails: ".Words::small($why->sentence),
                    'more plants, more water, or less food for each',
                );
            }
        }

        return [$score, $unmet];
    }

    /** @return list<array{string, Plan}> half of a group, where that is still company, and none of it */
    private function fewer(Plan $plan, Group $group): array
    {
        $half = intdiv($group->count, 2);
        $found = [];
        try {
            if ($half >= max(1, $group->kind->group->value)) {
                $found[] = [
                    "more than $half of {$group->kind->common}",
                    $this->fedFor($plan->withGroup($group->with($half, $group->day)), $plan),
                ];
            }
            $found[] = [
                $group->kind->common,
                $this->fedFor(
                    $this->editor->make(
                        $plan->withFeed($plan->feed->withGrams(0.0), $plan->feedFrom),
                        [new Remove('animals', $group->id)],
                    )->plan,
                    $plan,
                ),
            ];
        } catch (InvalidPlan) {
            return $found;
        }

        return $found;
    }

    /** Fed in proportion to what is left of its animals. */
    private function fedFor(Plan $plan, Plan $before): Plan
    {
        $mass = static fn (Plan $p): float => array_sum(array_map(static fn (Group $g): float => $g->biomass(), $p->groups));
        $was = $mass($before);

        return $plan->withFeed(
            $plan->feed->withGrams($was > 0 ? round($before->feed->grams * $mass($plan) / $was, 4) : 0.0),
            $before->feedFrom,
        );
    }

    /** A score, and what the plan asks against its taste. */
    private function valued(Score $score, Taste $taste): float
    {
        $changes = $score->plan->care->changeEvery > 0 ? 1.0 : 0.0;
        $heater = $score->plan->equipment->hasHeater() ? 1.0 : 0.0;

        return $score->sum +
            $changes * (Taste::LeastWork === $taste ? self::AGAINST_TASTE : self::ASKS) +
            $heater * (Taste::LeastMoney === $taste ? self::AGAINST_TASTE : self::ASKS);
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
