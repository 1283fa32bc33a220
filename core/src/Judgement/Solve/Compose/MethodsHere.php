<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Solve\Compose;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Basis\TimeLimit\NoTimeLimit;
use Olvek\Core\Basis\TimeLimit\TimeLimit;
use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Basis\Unit\Words;
use Olvek\Core\Judgement\Margin\Harm\Harm;
use Olvek\Core\Judgement\Margin\Harm\HarmId;
use Olvek\Core\Judgement\Margin\Judge;
use Olvek\Core\Judgement\Margin\MarginState;
use Olvek\Core\Judgement\Solve\EarliestStart;
use Olvek\Core\Judgement\Suitability\PlantSuit;
use Olvek\Core\Judgement\Suitability\TankOffer;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Planning\Change\Change;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Change\SetNumber;
use Olvek\Core\Planning\Change\TakeMethod;
use Olvek\Core\Planning\Plan\Group;
use Olvek\Core\Planning\Plan\InvalidPlan;
use Olvek\Core\Planning\Plan\Method;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Pace;

/** All methods in one tank, each run, those that hold best first; and where they disagree. */
final readonly class MethodsHere
{
    /**
     * @param list<MethodHere> $methods  the best first; those that do not fit last
     * @param bool             $planted  false where the plan had no plants, so that each was planted as is usual
     * @param list<Message>    $disagree where methods differ, a sentence each
     * @param bool             $complete false where nobody waited for all
     */
    private function __construct(public array $methods, public bool $planted, public array $disagree, public bool $complete)
    {
    }

    public static function of(
        Plan $plan,
        Editor $editor,
        Catalogue $catalogue,
        UnitSystem $units = UnitSystem::Metric,
        TimeLimit $patience = new NoTimeLimit(),
    ): self {
        $found = [];
        $complete = true;
        foreach (Method::cases() as $method) {
            if ($patience->isSpent()) {
                $complete = false;
                break;
            }
            $elsewhere = self::elsewhere($method, $plan);
            if (null !== $elsewhere) {
                $found[] = new MethodHere($method, null, null, null, [], [$elsewhere], \INF);
                continue;
            }
            try {
                $taken = $editor->make($plan, [new TakeMethod($method)], $units)->plan;
                $moves = self::moves($taken);
                $laid = [] === $moves ? $taken : $editor->make($taken, $moves, $units)->plan;
                $then = self::planted($laid, $catalogue, $units);
                $judgement = Judge::judge($then, $units);
                $found[] = new MethodHere($method, $laid, $then, $judgement, $moves, [], Score::of($then, $judgement)->sum);
            } catch (InvalidPlan $refused) {
                $found[] = new MethodHere(
                    $method,
                    null,
                    null,
                    null,
                    [],
                    array_values(array_map(Message::text(...), $refused->messages($units))),
                    \INF,
                );
            }
        }
        // What holds comes before what is tight, however much work it is; the score ranks those of one state.
        $rank = static fn (MethodHere $m): array => [$m->judgement?->state->rank() ?? \PHP_INT_MAX, $m->score, $m->method->value];
        usort($found, static fn (MethodHere $a, MethodHere $b): int => $rank($a) <=> $rank($b));

        return new self($found, [] !== $plan->clumps, self::disagreements($found, $units), $complete);
    }

    /** Why a method is not for this tank at all; null where it may be. C: what each was made for. */
    private static function elsewhere(Method $method, Plan $plan): ?Message
    {
        return match (true) {
            Method::SunnySill === $method && !$plan->site->seesDaylight() => new Message('methods.no-window'),
            Method::SealedJar === $method && !$plan->site->sealed => new Message('methods.not-sealed'),
            Method::SealedJar !== $method && $plan->site->sealed => new Message('methods.sealed'),
            default => null,
        };
    }

    /**
     * Animals come no sooner than the method has its first: they move together, and the food with them.
     *
     * @return list<Change>
     */
    private static function moves(Plan $plan): array
    {
        $first = $plan->firstAnimals();
        $wait = max($plan->preparation->method?->firstAnimals() ?? 0, EarliestStart::afterDoses($plan)) - ($first ?? 0);
        if (null === $first || $wait <= 0) {
            return [];
        }

        return [
            ...array_map(
                static fn (Group $g): Change => new SetNumber("animals.$g->id.day", min(Plan::LAST_DAY, $g->day + $wait)),
                $plan->groups,
            ),
            new SetNumber('feeding.fromDay', min(Plan::LAST_DAY, $plan->feedFrom + $wait)),
        ];
    }

    /** The plan, with the usual plants where it has none: without any, a run says nothing of a method. */
    private static function planted(Plan $plan, Catalogue $catalogue, UnitSystem $units): Plan
    {
        return [] !== $plan->clumps
            ? $plan
            : (new Planter($catalogue, new Wish($plan), Taste::LeastWork))->plant(
                $plan,
                new PlantSuit($plan, TankOffer::of(Judge::judge($plan, $units, pace: Pace::Rough)->trace)),
            )[0];
    }

    /**
     * @param list<MethodHere> $found
     *
     * @return list<Message>
     */
    private static function disagreements(array $found, UnitSystem $units): array
    {
        $fit = array_values(array_filter($found, static fn (MethodHere $m): bool => null !== $m->plan));
        $length = static fn (float $m): string => $units->show(Dimension::Length, $m);

        $ranges = [
            self::range('soil', $fit, static fn (Plan $p): float => $p->bed->soil?->meanDepth() ?? 0.0, $length),
            self::range('cap', $fit, static fn (Plan $p): float => $p->bed->cap?->meanDepth() ?? 0.0, $length),
            self::range(
                'lamp',
                $fit,
                static fn (Plan $p): float => $p->lamp->lumens > 0 ? $p->lamp->hours : 0.0,
                static fn (float $hours): string => Decimal::trimmed($hours, 1).' h',
            ),
            self::range(
                'animals',
                array_values(array_filter($fit, static fn (MethodHere $m): bool => null !== $m->method->firstAnimals())),
                static fn (Plan $p): float => (float) $p->preparation->method?->firstAnimals(),
                static fn (float $day): string => 'day '.Decimal::trimmed($day, 0),
            ),
        ];

        return [...array_values(array_filter($ranges, static fn (?Message $r): bool => null !== $r)), ...self::verdicts($fit)];
    }

    /**
     * The least and the most of a number, and who says so; null where all agree.
     *
     * @param list<MethodHere>        $fit
     * @param \Closure(Plan): float   $of
     * @param \Closure(float): string $show
     */
    private static function range(string $what, array $fit, \Closure $of, \Closure $show): ?Message
    {
        $by = [];
        foreach ($fit as $here) {
            \assert(null !== $here->plan);
            $by[$show($of($here->plan))][] = [$of($here->plan), $here->method];
        }
        if (\count($by) < 2) {
            return null;
        }
        uasort($by, static fn (array $a, array $b): int => $a[0][0] <=> $b[0][0]);
        $least = array_key_first($by);
        $most = array_key_last($by);

        $who = static fn (string $shown): array => self::names(array_column($by[$shown], 1));

        return new Message(
            'methods.range',
            ['what' => $what, 'least' => $least, 'most' => $most, 'those' => $who($least), 'others' => $who($most)],
        );
    }

    /**
     * What goes wrong with some methods and not with others.
     *
     * @param list<MethodHere> $fit
     *
     * @return list<Message>
     */
    private static function verdicts(array $fit): array
    {
        $sentences = [];
        foreach (HarmId::cases() as $id) {
            $fails = array_values(array_filter($fit, static fn (MethodHere $m): bool => [] !== array_filter(
                $m->judgement->harms ?? [],
                static fn (Harm $h): bool => $h->id === $id && MarginState::Fails === $h->state,
            )));
            if ([] !== $fails && \count($fails) < \count($fit)) {
                $sentences[] = new Message('methods.harm', [
                    'what' => $id->value,
                    'those' => self::names(array_map(static fn (MethodHere $m): Method => $m->method, $fails)),
                ]);
            }
        }

        return $sentences;
    }

    /**
     * @param list<Method> $methods
     *
     * @return list<string>
     */
    private static function names(array $methods): array
    {
        return array_map(static fn (Method $m): string => Words::small(explode(',', $m->words())[0]), $methods);
    }
}
