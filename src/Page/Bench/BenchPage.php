<?php

declare(strict_types=1);

namespace Olvek\Page\Bench;

use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\QuantityReader;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Basis\Unit\UnreadableQuantity;
use Olvek\Core\Judgement\Margin\ClumpLight;
use Olvek\Core\Judgement\Margin\Judge;
use Olvek\Core\Judgement\Margin\Ledger;
use Olvek\Core\Judgement\Margin\Likelihood;
use Olvek\Core\Judgement\Standing\Standing;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Planning\Buying\Sheet;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\Quantities;
use Olvek\Core\Simulation\Run\Pace;
use Olvek\Core\Simulation\Run\Snapshot;
use Olvek\Service\Drawing\Elevation;
use Olvek\Service\Drawing\FloorPlan;
use Olvek\Service\Drawing\Handle;
use Olvek\Service\Drawing\HoursStrip;
use Olvek\Service\Drawing\LedgerChart;
use Olvek\Service\Drawing\View as DrawingView;
use Olvek\Service\Drawing\YearChart;
use Olvek\Service\Drawing\YearMarks;
use Olvek\Service\Editing\TankEditor;
use Olvek\Service\Judging\Outcome;
use Olvek\Service\Judging\Outcomes;
use Olvek\Service\Judging\Verdict;
use Olvek\Service\Tank\Revision;
use Olvek\Service\Tank\Tank;
use Olvek\Service\Tank\TankRepository;
use Twig\Environment;

/**
 * The Bench as parts: each a piece of HTML with a fingerprint, so that after an edit only what changed travels.
 */
final readonly class BenchPage
{
    /** Parts that are drawings of the tank. */
    public const DRAWN = ['front', 'side', 'floor', 'hours'];
    /** Days for which a change is run while a hand is at it. J: by then a tank shows what it is up to. */
    private const TRIED_DAYS = 182;

    public function __construct(
        private Environment $twig,
        private TankRepository $tanks,
        private TankEditor $editor,
        private Stages $stages,
        private Outcomes $outcomes,
        private Catalogue $catalogue,
    ) {
    }

    /**
     * @param array<string, string> $typed    texts that were not saved
     * @param array<string, string> $errors   why, by place
     * @param Standing|null         $standing of a running tank
     *
     * @return array<string, Part> by name
     */
    public function parts(Tank $tank, UnitSystem $units, ViewSettings $view, array $typed, array $errors, ?Standing $standing): array
    {
        return array_merge(...iterator_to_array($this->inTurn($tank, $units, $view, $typed, $errors, $standing, self::DRAWN), false));
    }

    /**
     * The same, first of all the judgement; drawings and stages are made when they are asked for.
     *
     * @param array<string, string> $typed    texts that were not saved
     * @param array<string, string> $errors   why, by place
     * @param Standing|null         $standing of a running tank
     * @param list<string>          $drawn    which drawings are made
     *
     * @return \Generator<int, array<string, Part>> by name
     */
    public function inTurn(
        Tank $tank,
        UnitSystem $units,
        ViewSettings $view,
        array $typed,
        array $errors,
        ?Standing $standing,
        array $drawn,
    ): \Generator {
        $revision = $this->tanks->head($tank);
        $plan = $this->editor->plan($revision);
        $verdict = $this->outcomes->verdict($revision, $plan, $units);
        yield $this->made(['verdict', 'margins'], [
            'tank' => $tank,
            'judgement' => null === $standing ? $verdict : $verdict->standing($standing),
            'standing' => $standing,
            'differences' => $this->differences($tank, $revision, $verdict, $units),
            'words' => $revision->words,
            'undoes' => null === $revision->parent ? null : $revision->words,
            'homeless' => [] === $errors ? [] : array_diff_key($errors, $this->shown($plan, $units)),
            'typed' => $typed,
        ]);

        $outcome = $this->outcomes->of($revision, $plan, $units);
        $day = $outcome->album->on($view->day ?? $outcome->hardestDay)->day;
        $parts = $this->made(['head', ...$drawn, 'year', 'written', 'ledger', 'take'], [
            ...$this->seen($tank, $plan, $outcome, $units, $day, $view, $drawn),
            'undoes' => null === $revision->parent ? null : $revision->words,
            'redoes' => $this->tanks->next($tank)?->words,
            'chart' => self::chart($plan, $view, $day),
            'take' => $this->take($plan, $units, $view),
            'written' => $this->stages->written($plan, $units, $day, $typed, $errors),
        ]);
        foreach ($this->stages->of($plan, Quantities::of($plan), $units, $typed, $errors) as $stage) {
            $parts['stage-'.$stage->id] = new Part(
                $this->twig,
                'bench/_stage.html.twig',
                ['stage' => $stage, 'tank' => $tank, 'open' => $view->stage],
                [$stage, $stage->id === $view->stage],
            );
        }
        yield $parts;
    }

    /**
     * The tank on another day, or with a change that is only tried: drawings, year, verdict and margins; nothing that is typed into. What
     * is only tried is run roughly and for half a year, while the hand is at it; its drawing is the one that is looked at.
     *
     * @param Standing|null $standing of a running tank, with the change
     *
     * @return array<string, Part> by name
     */
    public function glance(Tank $tank, UnitSystem $units, ViewSettings $view, ?Plan $tried = null, ?Standing $standing = null): array
    {
        $revision = $this->tanks->head($tank);
        $plan = $this->editor->plan($revision);
        $saved = $this->outcomes->of($revision, $plan, $units);
        $day = $view->day ?? $saved->hardestDay;
        if (null === $tried) {
            // What is written is written into the day that is shown; so is the account of it.
            return $this->made([...$view->drawn(), 'year', 'written', 'ledger'], [
                ...$this->seen($tank, $plan, $saved, $units, $day, $view, $view->drawn()),
                'written' => $this->stages->written($plan, $units, $day, [], []),
                'chart' => self::chart($plan, $view, $day),
            ]);
        }
        $judged = Judge::judge($tried, $units, days: self::TRIED_DAYS, pace: Pace::Rough);
        $verdict = Verdict::of($judged);
        $verdict = null === $saved->sureness
            ? $verdict
            : $verdict->with(Likelihood::after($saved->sureness, $saved->harms, $judged->harms), $tried);
        $seen = $view->drawn();

        return $this->made([...$seen, 'verdict', 'margins'], [
            'tank' => $tank,
            'judgement' => null === $standing ? $verdict : $verdict->standing($standing),
            'standing' => $standing,
            'drawings' => self::drawings($tried, $judged->trace->on($day), $units, $seen),
            'tried' => true,
            'differences' => $verdict->differences($saved),
            'words' => null,
            'undoes' => null,
            'homeless' => [],
            'typed' => [],
        ]);
    }

    /**
     * @param list<string>         $names
     * @param array<string, mixed> $context
     *
     * @return array<string, Part>
     */
    private function made(array $names, array $context): array
    {
        $parts = [];
        foreach ($names as $name) {
            $parts[$name] = new Part($this->twig, "bench/_$name.html.twig", $context, self::from($name, $context));
        }

        return $parts;
    }

    /**
     * What of the context a part is made from.
     *
     * @param array<string, mixed> $context
     */
    private static function from(string $name, array $context): mixed
    {
        $of = static fn (string ...$keys): array => array_intersect_key($context, array_flip($keys));
        $judgement = $context['judgement'] ?? null;
        $tank = $context['tank'] ?? null;
        \assert($tank instanceof Tank);

        return match (true) {
            \in_array($name, self::DRAWN, true) => \is_array($context['drawings'] ?? null) ? $context['drawings'][$name] : null,
            'head' === $name => [$tank->name(), $tank->id()->toRfc4122(), ...$of('undoes', 'redoes', 'day')],
            'verdict' === $name => [
                $judgement instanceof Verdict ? [$judgement->state, $judgement->verdict] : null,
                isset($context['standing']),
                ...$of('differences', 'words', 'undoes', 'tried', 'homeless', 'typed'),
            ],
            'margins' === $name => $judgement instanceof Verdict
                ? [
                    $judgement->margins,
                    $judgement->harms,
                    $judgement->ahead,
                    $judgement->sureness,
                    self::isSure($context['standing'] ?? null),
                ]
                : null,
            'year' === $name => $of('year', 'marks', 'cursor', 'day', 'hardest'),
            'written' === $name => $of('written', 'day'),
            'ledger' === $name => [...$of('chart', 'day'), $context['view'] ?? null],
            default => [...$of('take'), $context['view'] ?? null],
        };
    }

    /** Whether it is known how sure a running tank's standing is; null of a plan. */
    private static function isSure(mixed $standing): ?bool
    {
        return $standing instanceof Standing ? $standing->isSure() : null;
    }

    /** The day's account; null where it is not looked at: it takes a run. */
    private static function chart(Plan $plan, ViewSettings $view, int $day): ?LedgerChart
    {
        return 'ledger' === $view->below ? LedgerChart::of(Ledger::onDay($plan, $day)) : null;
    }

    /**
     * The drawings themselves, on the day asked for.
     *
     * @return array{drawings: array<string, DrawingView>, year: YearChart, marks: list<Handle>, day: int}
     */
    public function drawn(Tank $tank, UnitSystem $units, ViewSettings $view): array
    {
        $revision = $this->tanks->head($tank);
        $plan = $this->editor->plan($revision);
        $outcome = $this->outcomes->of($revision, $plan, $units);

        return $this->seen($tank, $plan, $outcome, $units, $view->day ?? $outcome->hardestDay, $view, self::DRAWN);
    }

    /**
     * @param list<string> $drawn
     *
     * @return array{tank: Tank, plan: Plan, judgement: Outcome, units: UnitSystem, view: ViewSettings, day: int, drawings: array<string,
     * DrawingView>, year: YearChart, marks: list<Handle>, cursor: Handle, hardest: int} what drawings, year, verdict and margins are
     * rendered from
     */
    private function seen(Tank $tank, Plan $plan, Outcome $outcome, UnitSystem $units, int $day, ViewSettings $view, array $drawn): array
    {
        $snapshot = $outcome->album->on($day);

        return [
            'tank' => $tank,
            'plan' => $plan,
            'judgement' => $outcome,
            'units' => $units,
            'view' => $view,
            'day' => $snapshot->day,
            'drawings' => self::drawings($plan, $snapshot, $units, $drawn),
            'year' => $outcome->year,
            'marks' => YearMarks::of($plan, $outcome->year, $units),
            'cursor' => Handle::cursor($outcome->year, $snapshot->day),
            'hardest' => $outcome->hardestDay,
        ];
    }

    /**
     * @param list<string> $names
     *
     * @return array<string, DrawingView>
     */
    private static function drawings(Plan $plan, Snapshot $snapshot, UnitSystem $units, array $names): array
    {
        $drawn = [];
        foreach ($names as $name) {
            $drawn[$name] = match ($name) {
                'front' => Elevation::front($plan, $snapshot, ClumpLight::seen($plan, $snapshot), $units),
                'side' => Elevation::side($plan, $snapshot, $units),
                'floor' => FloorPlan::of($plan, $snapshot, $units),
                default => HoursStrip::of($plan, $snapshot, $units),
            };
        }

        return $drawn;
    }

    /**
     * Of a whole form sent from an outdated page, only what its keeper had changed there; the rest shows the tank as it is now.
     *
     * @param array<string, string> $edits
     *
     * @return array<string, string>
     */
    public function typedSince(Tank $tank, int $base, array $edits, UnitSystem $units): array
    {
        $revision = $this->tanks->revision($tank, $base);
        if (null === $revision) {
            return $edits;
        }
        $shown = $this->shown($this->editor->plan($revision), $units);

        return array_filter(
            $edits,
            static fn (string $typed, string $place): bool => ($shown[$place] ?? null) !== $typed,
            \ARRAY_FILTER_USE_BOTH,
        );
    }

    /** @return array<string, string> what each field shows, by place */
    private function shown(Plan $plan, UnitSystem $units): array
    {
        $written = $this->stages->written($plan, $units, 0, [], []);
        $shown = [$written['add']->path => $written['add']->value];
        foreach ($written['rows'] as $row) {
            $shown += array_column($row->fields, 'value', 'path');
        }
        foreach ($this->stages->of($plan, Quantities::of($plan), $units, [], []) as $stage) {
            $rows = array_map(static fn (RowView $r): array => $r->fields, $stage->rows);
            foreach ([...$stage->lines, ...$rows, [$stage->add]] as $fields) {
                foreach (array_filter($fields) as $field) {
                    $shown[$field->path] = $field->value;
                }
            }
        }

        return $shown;
    }

    /** @return list<array{name: string, before: string, after: string}> margins that the last change moved */
    private function differences(Tank $tank, Revision $revision, Verdict $now, UnitSystem $units): array
    {
        $parent = null === $revision->parent ? null : $this->tanks->revision($tank, $revision->parent);
        if (null === $parent) {
            return [];
        }

        return $now->differences($this->outcomes->of($parent, $this->editor->plan($parent), $units));
    }

    /**
     * What of the bed is to buy, with the build sheet's allowance.
     *
     * @return array{rows: list<array{name: string, volume: string, mass: string, bags: ?int}>, error: ?string}
     */
    private function take(Plan $plan, UnitSystem $units, ViewSettings $view): array
    {
        $bag = null;
        $error = null;
        try {
            $bag = QuantityReader::read($view->bag, $units->volume());
            if ($bag <= 0 || $bag > 2000) {
                $error = \sprintf('A bag holds between a little and %s.', $units->show(Dimension::Volume, 2000, 0));
            }
        } catch (UnreadableQuantity $unreadable) {
            $error = $unreadable->getMessage();
        }
        $rows = [];
        foreach (Sheet::of($plan, $this->catalogue)->materials as $line) {
            $rows[] = [
                'name' => $line->material->name,
                'volume' => $units->show(Dimension::Volume, $line->needed),
                'mass' => $units->show(Dimension::Mass, 1000 * $line->kilograms),
                'bags' => null === $error && null !== $bag ? (int) ceil($line->needed / $bag - 1e-9) : null,
            ];
        }

        return ['rows' => $rows, 'error' => $error];
    }
}
