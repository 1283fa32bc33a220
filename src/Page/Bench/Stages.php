<?php

declare(strict_types=1);

namespace Olvek\Page\Bench;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\Unit;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Basis\Unit\Words;
use Olvek\Core\Judgement\Review\MethodDepths;
use Olvek\Core\Judgement\Review\Mistakes;
use Olvek\Core\Nature\Bed\BedZone;
use Olvek\Core\Nature\Bed\Layer;
use Olvek\Core\Nature\Bed\MaterialRole;
use Olvek\Core\Nature\Bed\Purpose;
use Olvek\Core\Nature\Hardscape\Piece;
use Olvek\Core\Nature\Vessel\VesselShape;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Plan\Clump;
use Olvek\Core\Planning\Plan\Group;
use Olvek\Core\Planning\Plan\Method;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Core\Planning\Plan\PlanFields;
use Olvek\Core\Planning\Plan\Quantities;
use Olvek\Service\Editing\Controls;
use Olvek\Service\Editing\FieldView;
use Olvek\Service\Editing\Options;

/** Builds the rail of stages for a plan, with whatever the keeper typed and why it was refused. */
final readonly class Stages
{
    /** What the layers are called on their controls. */
    private const LAYERS = [
        'base' => 'lowest layer',
        'soil' => 'soil',
        'leaves' => 'leaves between',
        'cap' => 'cap',
        'dressing' => 'top layer',
    ];

    public function __construct(private Options $options, private PlanDocument $document)
    {
    }

    /**
     * @param array<string, string> $typed  texts that were not saved, by place
     * @param array<string, string> $errors why, by place
     *
     * @return list<StageView>
     */
    public function of(Plan $plan, Quantities $quantities, UnitSystem $units, array $typed, array $errors): array
    {
        $controls = new Controls($this->document->toArray($plan), $units, $typed, $errors);
        $mistakes = [];
        foreach (Mistakes::in($plan) as $mistake) {
            $mistakes[$mistake->stage][] = $mistake;
        }
        $stages = [
            $this->vessel($plan, $quantities, $units, $controls),
            $this->bed($plan, $units, $controls),
            $this->hardscape($plan, $units, $controls),
            $this->light($plan, $controls),
            $this->equipment($plan, $units, $controls),
            $this->plants($plan, $quantities, $units, $controls),
            $this->water($plan, $units, $controls),
            $this->animals($plan, $units, $controls),
            $this->start($plan, $controls),
        ];

        return array_map(static fn (StageView $s): StageView => $s->with($mistakes[$s->id] ?? []), $stages);
    }

    /**
     * What is written into the days.
     *
     * @param array<string, string> $typed
     * @param array<string, string> $errors
     *
     * @return array{rows: list<RowView>, add: FieldView}
     */
    public function written(Plan $plan, UnitSystem $units, int $day, array $typed, array $errors): array
    {
        $controls = new Controls($this->document->toArray($plan), $units, $typed, $errors);
        $whom = [
            'clump' => array_column(array_map(static fn (Clump $c): array => [$c->id, $c->kind->common], $plan->clumps), 1, 0),
            'group' => array_column(array_map(static fn (Group $g): array => [$g->id, $g->kind->common], $plan->groups), 1, 0),
        ];
        $rows = [];
        foreach ($plan->events as $event) {
            $path = "events.$event->id";
            $fields = array_map(
                static fn (string $name): FieldView => $controls->number(
                    "$path.$name",
                    field: PlanFields::event("$path.$name", $event->kind),
                ),
                ['day', ...array_keys($event->values)],
            );
            $of = $event->kind->of();
            if (null !== $of) {
                $fields[] = $controls->choice("$path.$of", 'of', (string) $event->of, $whom[$of]);
            }
            $rows[] = new RowView($event->id, Words::capital($event->kind->words()), '', "day $event->day", $fields, "$path.remove");
        }
        $options = [];
        foreach (EventKind::plannable() as $kind) {
            $options["$kind->value $day"] = $kind->words();
        }

        return ['rows' => $rows, 'add' => $controls->choice('events.add', "add an event on day $day", '', ['' => 'choose…', ...$options])];
    }

    private function vessel(Plan $plan, Quantities $quantities, UnitSystem $units, Controls $controls): StageView
    {
        return new StageView(
            'vessel',
            'Vessel and site',
            'glass',
            \sprintf('%s, %s free', ...$units->apart(Dimension::Volume, [$quantities->grossWater, $quantities->netWater], 0)),
            [
                [$controls->text('name', 'name of the tank', $plan->name)],
                [
                    $controls->choice(
                        'vessel.shape',
                        'shape',
                        $plan->vessel->shape()->value,
                        array_combine(
                            array_column(VesselShape::cases(), 'value'),
                            array_map(static fn (VesselShape $s): string => $s->words(), VesselShape::cases()),
                        ),
                    ),
                ],
                ...array_chunk(
                    array_map(
                        static fn (string $name): FieldView => $controls->number("vessel.$name"),
                        array_keys($plan->vessel->measures()),
                    ),
                    2,
                ),
                [$controls->number('waterLine')],
                ...$controls->section($plan->site, 'site'),
                ...$controls->section($plan->stand, 'stand'),
            ],
            caution: \sprintf(
                'It weighs %s when filled, %s. ',
                $units->show(Dimension::Mass, 1000 * $quantities->fullMass, 0),
                self::load($quantities->load, $units),
            ).
                ($quantities->fullMass > Quantities::ASK_ABOVE ? 'That is a load to ask a structural professional about. ' : '').
                ltrim($plan->vessel->shape()->caution().' ').
                'Level, strong support; lift it empty. Cables get drip loops, the socket a residual-current device.',
        );
    }

    private function bed(Plan $plan, UnitSystem $units, Controls $controls): StageView
    {
        $length = static fn (float $m): string => $units->show(Dimension::Length, $m);
        $lines = [];
        foreach (
            [
                'base' => $plan->bed->base,
                'soil' => $plan->bed->soil,
                'leaves' => $plan->bed->leaves,
                'cap' => $plan->bed->cap,
                'dressing' => $plan->bed->dressing,
            ] as $name => $layer
        ) {
            $lines = [...$lines, ...$this->layer($name, $layer, $controls)];
        }
        foreach ($plan->bed->doses as $dose) {
            $lines[] = [$controls->number('bed.doses.'.$dose->amendment->id, mb_strtolower($dose->amendment->name))];
        }
        $lines[] = [$controls->choice('bed.doses.add', 'mix into the soil', '', ['' => 'choose…', ...$this->options->amendments()])];
        $lines = [...$lines, ...$controls->section($plan->bed, 'bed')];
        $lines[] = [$controls->pick('preparation.sieved'), $controls->pick('preparation.rinsed')];

        return new StageView(
            'bed',
            'Bed',
            'soil',
            null === $plan->bed->soil
                ? 'no soil'
                : \sprintf('%s under %s', $length($plan->bed->soil->meanDepth()), $length($plan->bed->cap?->meanDepth() ?? 0.0)),
            $lines,
            array_map(
                fn (BedZone $z): RowView => new RowView(
                    $z->id,
                    Words::capital($z->purpose->words()),
                    '',
                    \sprintf('%s of soil, %s of cap', $length($z->soil), $length($z->cap)),
                    array_merge(...$controls->section($z, "zones.$z->id", $this->options)),
                    "zones.$z->id.remove",
                ),
                $plan->bed->zones,
            ),
            $controls->choice('zones.add', 'add a zone with a bed of its own', '', ['' => 'choose…', ...self::purposes()]),
            caution: 'Damp dusty soil before you pour it, wear a mask and cover cuts. No fertiliser, pesticide or wetting agent in it.',
            asks: [new QuestionLink('bench_solve', ['question' => 'depth'], 'How deep must it be?')],
            methods: array_map(
                static fn (Method $s): QuestionLink => new QuestionLink('bench_method', ['method' => $s->value], $s->words()),
                Method::cases(),
            ),
            reasons: trim(self::reasons($plan).' '.self::depths($plan)),
        );
    }

    /** @return array<string, string> words of zones, by what they are stored as */
    private static function purposes(): array
    {
        return array_combine(
            array_column(Purpose::cases(), 'value'),
            array_map(static fn (Purpose $p): string => $p->words(), Purpose::cases()),
        );
    }

    /** Who lays a bed like this one, and who disagrees. */
    private static function depths(Plan $plan): string
    {
        $depths = MethodDepths::of($plan);

        return trim(
            self::methods('About as much soil is laid by', $depths->alike)
            .self::methods('More by', $depths->more)
            .self::methods('Less or none by', $depths->less)
            .self::methods('A thicker cap for its soil by', $depths->thicker),
        );
    }

    /** @param list<Method> $methods */
    private static function methods(string $words, array $methods): string
    {
        $names = array_map(static fn (Method $m): string => explode(',', $m->words())[0], $methods);

        return [] === $names ? '' : $words.': '.implode(' · ', $names).'. ';
    }

    /** @return list<list<FieldView>> */
    private function layer(string $name, ?Layer $layer, Controls $controls): array
    {
        $kinds = $this->options->materials(match ($name) {
            'base' => null,
            'cap', 'dressing' => MaterialRole::Cap,
            default => MaterialRole::Soil,
        });
        $mixed = null !== $layer && \count($layer->mix->parts) > 1;
        $lines = [
            [
                $controls->choice("bed.$name.material", self::LAYERS[$name], self::material($layer), [
                    ...$mixed ? ['mix' => 'own mix'] : [],
                    ...$kinds,
                    'none' => 'none',
                ]),
            ],
        ];
        if (null === $layer) {
            return $lines;
        }
        if ($mixed) {
            $parts = array_map(
                static fn (array $part): FieldView => $controls->number(
                    "bed.$name.parts.{$part[0]->id}",
                    'parts of '.mb_strtolower($part[0]->name),
                    '',
                ),
                $layer->mix->parts,
            );
            $lines = [...$lines, ...array_chunk($parts, 2)];
        }
        if (\in_array($name, ['soil', 'cap'], true)) {
            // Gravel or lava keep a soil from packing.
            $more = 'soil' === $name ? $this->options->materials(null) : $kinds;
            $rest = array_diff_key($more, array_flip(array_map(static fn (array $p): string => $p[0]->id, $layer->mix->parts)));
            $lines[] = [
                $controls->choice("bed.$name.add", 'soil' === $name ? 'mix in another soil' : 'mix in another cap material', '', [
                    '' => 'choose…',
                    ...$rest,
                ]),
            ];
        }
        $lines[] = [$controls->number("bed.$name.front"), $controls->number("bed.$name.back")];

        return $lines;
    }

    private function hardscape(Plan $plan, UnitSystem $units, Controls $controls): StageView
    {
        $rows = array_map(
            static fn (Piece $p): RowView => new RowView(
                $p->id,
                $p->kind->name,
                '',
                self::pieceWords($p, $units),
                array_merge(...$controls->section($p, "hardscape.$p->id")),
                "hardscape.$p->id.remove",
            ),
            $plan->pieces,
        );

        return new StageView(
            'hardscape',
            'Stone and wood',
            'stone',
            [] === $plan->pieces
                ? 'none yet'
                : \sprintf(
                    '%d %s, %s',
                    \count($plan->pieces),
                    1 === \count($plan->pieces) ? 'piece' : 'pieces',
                    $units->show(Dimension::Volume, $plan->displaced()),
                ),
            [],
            $rows,
            caution: 'Glue in fresh air, off skin and eyes. Never heat stones in an oven or a closed pot; scalding water burns. Ask '
                .'before you '
                .'collect.',
        );
    }

    private function light(Plan $plan, Controls $controls): StageView
    {
        return new StageView(
            'light',
            'Light',
            'light',
            self::lightWords($plan),
            $controls->section($plan->lamp, 'light', $this->options),
            caution: 'Unplug before hands go in. Lamp on a timer, cable with a drip loop.',
            asks: [new QuestionLink('bench_solve', ['question' => 'light'], 'How long a day?')],
        );
    }

    private function equipment(Plan $plan, UnitSystem $units, Controls $controls): StageView
    {
        $equipment = $plan->equipment;
        $has = [
            ...$equipment->heats() ? [\sprintf('heated to %s', $units->show(Dimension::Temperature, $equipment->target, 0))] : [],
            ...$equipment->moves() ? [$equipment->device->words()] : [],
        ];

        return new StageView(
            'equipment',
            'Heat and flow',
            'steel',
            [] === $has ? 'unheated, still' : implode(', ', $has),
            $controls->section($equipment, 'equipment'),
            caution: 'Unplug heater, pump and filter before hands go in. Drip loop in every cable, a residual-current device; '
                .'fixed wiring is a licensed electrician’s work.',
        );
    }

    private function plants(Plan $plan, Quantities $quantities, UnitSystem $units, Controls $controls): StageView
    {
        $rows = array_map(
            static fn (Clump $c): RowView => new RowView(
                $c->id,
                $c->kind->common,
                $c->kind->scientific,
                implode(' ', [
                    \sprintf('%s, %s.', Words::capital($c->kind->role->words()), $c->kind->removal->words()),
                    self::needs($c, $units),
                    $c->kind->remarks,
                    ...$c->kind->cautions(),
                ]),
                array_merge(...$controls->section($c, "plants.$c->id", labels: ["plants.$c->id.pieces" => $c->kind->piece.'s'])),
                "plants.$c->id.remove",
            ),
            $plan->clumps,
        );

        return new StageView(
            'plants',
            'Plants',
            'leaf',
            [] === $plan->clumps
                ? 'none yet'
                : Words::count(\count($plan->clumps), 'kind').', '.Words::count($quantities->pieces, 'piece'),
            [],
            $rows,
            caution: 'Never release or flush plants; dry, freeze or bin the trimmings.',
            asks: [
                new QuestionLink('bench_solve', ['question' => 'plants'], 'How few would do, and which?'),
                new QuestionLink('bench_solve', ['question' => 'trim'], 'How much to trim a week?'),
            ],
        );
    }

    private function water(Plan $plan, UnitSystem $units, Controls $controls): StageView
    {
        return new StageView(
            'water',
            'Water',
            'water',
            \sprintf('pH %s, %s', Decimal::trimmed($plan->water->pH, 1), $units->show(Dimension::Hardness, $plan->water->kh, 0)),
            [
                [$controls->choice('water.kind', 'fill with', '', ['' => 'the water below', ...$this->options->waters()])],
                ...$controls->section($plan->water, 'water'),
                [$controls->pick('preparation.treatment')],
                [$controls->pick('preparation.filling')],
                [
                    $controls->choice('topUp.kind', 'topped up with', '', [
                        '' => null === $plan->topUp ? 'the same water' : 'water of '.$units->about(Dimension::Hardness, $plan->topUp->gh),
                        ...null === $plan->topUp ? [] : ['same' => 'the same as at filling'],
                        ...$this->options->waters(),
                    ]),
                ],
                ...$controls->section($plan->care, 'care'),
            ],
            caution: 'Treat tap water for chlorine and chloramine. Wash hands after working in the tank; never start a siphon by mouth.',
        );
    }

    private function animals(Plan $plan, UnitSystem $units, Controls $controls): StageView
    {
        $rows = array_map(
            static fn (Group $g): RowView => new RowView(
                $g->id,
                $g->kind->common,
                $g->kind->scientific,
                implode(' ', [self::room($g, $units), $g->kind->remarks, ...$g->kind->cautions()]),
                array_merge(...$controls->section($g, "animals.$g->id")),
                "animals.$g->id.remove",
                [new QuestionLink('bench_solve', ['question' => 'stock', 'kind' => $g->kind->id], 'How many at most?')],
            ),
            $plan->groups,
        );

        return new StageView(
            'animals',
            'Animals and food',
            'animal',
            [] === $plan->groups
                ? 'none yet'
                : \sprintf(
                    '%d animals, %s g food a day',
                    array_sum(array_map(static fn (Group $g): int => $g->count, $plan->groups)),
                    Decimal::trimmed($plan->feed->grams, 3),
                ),
            [...$controls->section($plan->feed, 'feeding', $this->options), [$controls->number('feeding.fromDay')]],
            $rows,
            caution: 'Never release animals. Sick fish are a vet’s work.',
            asks: [
                new QuestionLink('bench_solve', ['question' => 'food'], 'How much food at most?'),
                new QuestionLink('bench_solve', ['question' => 'holiday'], 'How long may I be away?'),
            ],
        );
    }

    private function start(Plan $plan, Controls $controls): StageView
    {
        $first = $plan->firstAnimals();
        $way = $plan->preparation->way;

        return new StageView(
            'start',
            'Start',
            'bacteria',
            $way->words(),
            [[$controls->pick('start.way')], [$controls->pick('start.inoculum')]],
            caution: 'Reagents and ammonia: read the label, wear goggles, keep children away. Readings open the next step, not dates.',
            asks: [new QuestionLink('bench_solve', ['question' => 'start'], 'How soon may animals come?')],
            reasons: $way->reasons().(null === $first ? '' : " The first animals come on day $first."),
        );
    }

    /** What a kind of plant asks for, in a line. */
    private static function needs(Clump $clump, UnitSystem $units): string
    {
        $kind = $clump->kind;
        $set = match (true) {
            $kind->role->coversSurface() => 'floats',
            0.0 === $kind->planting->value => 'never buried: tie it to stone or wood, or lay it down',
            default => \sprintf('set %s deep', $units->show(Dimension::Length, $kind->planting->value)),
        };

        return \sprintf(
            'Half growth at %s µmol/m²/s, grows to %s, %s; of pots grown in air %s %% melts.',
            Decimal::trimmed($kind->halfLight->value, 0),
            $units->show(Dimension::Length, $kind->height->value, 0),
            $set,
            Decimal::trimmed(100 * $kind->melt->value, 0),
        );
    }

    /** What a kind of animal asks for, in a line. */
    private static function room(Group $group, UnitSystem $units): string
    {
        $kind = $group->kind;

        return \sprintf(
            'From %s, %s each; %s or more together; %s to %s, pH %s–%s, %s.',
            $units->show(Dimension::Volume, $kind->leastTank->value, 0),
            $units->show(Dimension::Volume, $kind->litresEach->value),
            Decimal::trimmed($kind->group->value, 0),
            $units->show(Dimension::Temperature, $kind->coolest->value, 0),
            $units->show(Dimension::Temperature, $kind->warmest->value, 0),
            Decimal::trimmed($kind->acidest->value, 1),
            Decimal::trimmed($kind->alkalinest->value, 1),
            $kind->temper->value,
        );
    }

    private static function reasons(Plan $plan): string
    {
        $method = $plan->preparation->method;

        return null === $method ? '' : $method->words().': '.Words::small($method->reasons());
    }

    private static function lightWords(Plan $plan): string
    {
        $lamp = \sprintf('%s lm, %s h', Decimal::trimmed($plan->lamp->lumens, 0), Decimal::trimmed($plan->lamp->hours, 1));
        $sky = $plan->site->aspect->words();

        return match (true) {
            !$plan->site->daylight()->any() => $lamp,
            $plan->lamp->lumens > 0 => "$lamp, $sky",
            default => $sky,
        };
    }

    /** A load in kg/m² as text: by the square metre or the square foot. */
    private static function load(float $load, UnitSystem $units): string
    {
        return UnitSystem::Us === $units
            ? Decimal::trimmed(Unit::Pound->fromBase(1000 * $load) * Unit::SquareFoot->toBase(1.0), 0).' lb/ft²'
            : Decimal::trimmed($load, 0).' kg/m²';
    }

    private static function material(?Layer $layer): string
    {
        return match (true) {
            null === $layer => 'none',
            \count($layer->mix->parts) > 1 => 'mix',
            default => $layer->mix->parts[0][0]->id,
        };
    }

    private static function pieceWords(Piece $piece, UnitSystem $units): string
    {
        $soak = (int) $piece->kind->soakDays->value;

        return \sprintf('%s. ', $units->show(Dimension::Mass, 1000 * $piece->mass())).
            ($piece->kind->floats() ? 'Floats: weigh it down, tie it or glue it. ' : '').
            ($soak > 0 ? "Stand it in water for $soak days first; throw it away if it smells rotten. " : '').
            ($piece->kind->lime->value > 0.2 ? 'Raises hardness. ' : '').
            $piece->kind->remarks;
    }
}
