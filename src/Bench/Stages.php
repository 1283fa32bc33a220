<?php

declare(strict_types=1);

namespace Olvek\Bench;

use Olvek\Core\Bed\Amendment;
use Olvek\Core\Bed\Layer;
use Olvek\Core\Bed\Role as BedRole;
use Olvek\Core\Build\Quantities;
use Olvek\Core\Catalogue\Catalogue;
use Olvek\Core\Hardscape\Piece;
use Olvek\Core\Light\Aspect;
use Olvek\Core\Plan\Field;
use Olvek\Core\Plan\Inoculum;
use Olvek\Core\Plan\Plan;
use Olvek\Core\Plan\PlanDocument;
use Olvek\Core\Plan\School;
use Olvek\Core\Plant\Role as PlantRole;
use Olvek\Core\Unit\Decimal;
use Olvek\Core\Unit\Dimension;
use Olvek\Core\Unit\Unit;
use Olvek\Core\Unit\UnitSystem;
use Olvek\Core\Vessel\Shape;
use Olvek\Core\Water\Kind as WaterKind;

/** Builds the rail of stages for a plan, with whatever the keeper typed and why it was refused. */
final readonly class Stages
{
    public function __construct(private Catalogue $catalogue, private PlanDocument $document)
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
        $data = $this->document->toArray($plan);
        $field = static function (string $path) use ($data, $units, $typed, $errors): FieldView {
            $field = Field::at($path);
            \assert(null !== $field);
            $stored = self::stored($data, $path);

            return new FieldView($path, $field->label, $typed[$path] ?? (null === $stored ? '' : $field->show($stored, $units)), $field->unit($units)->symbol(), $errors[$path] ?? null);
        };
        $choice = static fn (string $path, string $label, string $value, array $options): FieldView => new FieldView($path, $label, $typed[$path] ?? $value, '', $errors[$path] ?? null, $options);
        $length = static fn (float $m): string => $units->show(Dimension::Length, $m);

        return [
            new StageView('vessel', 'Vessel and site', 'glass',
                \sprintf('%s, %s free', $units->show(Dimension::Volume, $quantities->grossWater, 0), $units->show(Dimension::Volume, $quantities->netWater, 0)),
                [
                    [new FieldView('name', 'name of the tank', $typed['name'] ?? $plan->name, '', $errors['name'] ?? null, [], true)],
                    [$choice('vessel.shape', 'shape', $plan->vessel->shape()->value, array_combine(array_column(Shape::cases(), 'value'), array_map(static fn (Shape $s): string => $s->words(), Shape::cases())))],
                    ...array_chunk(array_map(static fn (string $name): FieldView => $field("vessel.$name"), array_keys($plan->vessel->measures())), 2),
                    [$field('waterLine'), $field('site.temperature')],
                    [$choice('site.aspect', 'daylight from', $plan->site->aspect->value, array_combine(array_column(Aspect::cases(), 'value'), array_map(static fn (Aspect $a): string => $a->words(), Aspect::cases())))],
                    ...(Aspect::None === $plan->site->aspect ? [] : [[$field('site.sky'), $field('site.latitude')]]),
                    [$field('site.swing'), $field('site.filledOn')],
                    [$choice('site.lid', 'lid', $plan->site->lid ? 'yes' : 'no', ['no' => 'open', 'yes' => 'a lid']), $choice('site.sealed', 'closed for good', $plan->site->sealed ? 'yes' : 'no', ['no' => 'no', 'yes' => 'sealed'])],
                ],
                caution: \sprintf('Full it stands at %s, %s. ', $units->show(Dimension::Mass, 1000 * $quantities->fullMass, 0), self::load($quantities->load, $units))
                    .($quantities->fullMass > Quantities::ASK_ABOVE ? 'That is a load to ask a structural professional about. ' : '')
                    .self::vesselCaution($plan->vessel->shape())
                    .'Level, strong support; lift it empty. Cables get drip loops, the socket a residual-current device.'),
            new StageView('bed', 'Bed', 'soil',
                null === $plan->bed->soil ? 'no soil' : \sprintf('%s under %s', $length($plan->bed->soil->meanDepth()), $length($plan->bed->cap?->meanDepth() ?? 0.0)),
                $this->bedLines($plan, $field, $choice),
                caution: 'Damp dusty soil before you pour it, wear a mask and cover cuts. No fertiliser, pesticide or wetting agent in it.',
                asks: [new Ask('bench_solve', ['question' => 'depth'], 'How deep must it be?')],
                schools: array_map(static fn (School $s): Ask => new Ask('bench_school', ['school' => $s->value], $s->words()), School::cases())),
            new StageView('hardscape', 'Stone and wood', 'stone',
                [] === $plan->pieces ? 'none yet' : \sprintf('%d %s, %s', \count($plan->pieces), 1 === \count($plan->pieces) ? 'piece' : 'pieces', $units->show(Dimension::Volume, $plan->displaced())),
                [], array_map(static fn (Piece $p): RowView => new RowView($p->id, $p->kind->name, '', self::pieceWords($p, $units),
                    [$field("hardscape.$p->id.litres"), $field("hardscape.$p->id.place")], "hardscape.$p->id.remove"), $plan->pieces),
                $choice('hardscape.add', 'add stone or wood', '', $this->hardscapeOptions()),
                'Glue in fresh air, off skin and eyes. Never heat stones in an oven or a closed pot; scalding water burns. Ask before you collect.'),
            new StageView('light', 'Light', 'light',
                self::lightWords($plan),
                [[$field('light.lumens'), $field('light.hours')], [$field('light.landing')]],
                caution: 'Unplug before hands go in. Lamp on a timer, cable with a drip loop.',
                asks: [new Ask('bench_solve', ['question' => 'light'], 'How long a day?')]),
            new StageView('plants', 'Plants', 'leaf',
                [] === $plan->clumps ? 'none yet' : \sprintf('%d kinds, %d pieces', \count($plan->clumps), $quantities->pieces),
                [], $this->clumps($plan, $field), $choice('plants.add', 'add a plant', '', $this->plantOptions()),
                'Never release or flush plants; dry, freeze or bin the trimmings.',
                [new Ask('bench_solve', ['question' => 'plants'], 'How few would do, and which?'), new Ask('bench_solve', ['question' => 'trim'], 'How much to trim a week?')]),
            new StageView('water', 'Water and start', 'water',
                \sprintf('pH %s, %s °dH', Decimal::trimmed($plan->water->pH, 1), Decimal::trimmed($plan->water->kh, 0)),
                [
                    [$field('water.pH'), $field('water.nitrate')],
                    [$field('water.kh'), $field('water.gh')],
                    [$choice('start.inoculum', 'first bacteria from', $plan->inoculum->value, array_combine(
                        array_column(Inoculum::cases(), 'value'), array_map(static fn (Inoculum $i): string => $i->words(), Inoculum::cases())))],
                    [$field('care.changeShare'), $field('care.changeEvery')],
                    [$choice('topUp.kind', 'topped up with', '', ['' => null === $plan->topUp ? 'the same water' : \sprintf('water of %s °dH', Decimal::trimmed($plan->topUp->gh, 1)), ...(null === $plan->topUp ? [] : ['same' => 'the same as at filling']),
                        ...array_map(static fn (WaterKind $w): string => $w->name, $this->catalogue->waters)])],
                ],
                caution: 'Treat tap water for chlorine and chloramine. Wash hands after working in the tank; never start a siphon by mouth.'),
            new StageView('animals', 'Animals and food', 'animal',
                [] === $plan->groups ? 'none yet' : \sprintf('%d animals, %s g food a day', array_sum(array_map(static fn ($g): int => $g->count, $plan->groups)), Decimal::trimmed($plan->feed->grams, 3)),
                [[$field('feeding.grams'), $field('feeding.protein')], [$field('feeding.fromDay')]],
                $this->groups($plan, $field), $choice('animals.add', 'add animals', '', $this->animalOptions()),
                'Never release animals. Sick fish are a vet’s work.',
                [new Ask('bench_solve', ['question' => 'start'], 'How soon may they come?'), new Ask('bench_solve', ['question' => 'holiday'], 'How long may I be away?')]),
        ];
    }

    /**
     * @param \Closure(string): FieldView                                         $field
     * @param \Closure(string, string, string, array<string, string|array<string, string>>): FieldView $choice
     *
     * @return list<list<FieldView>>
     */
    private function bedLines(Plan $plan, \Closure $field, \Closure $choice): array
    {
        $lines = [];
        foreach (['soil' => $plan->bed->soil, 'cap' => $plan->bed->cap] as $name => $layer) {
            $kinds = array_map(static fn ($m): string => $m->name, array_filter($this->catalogue->materials, static fn ($m): bool => $m->role === BedRole::from($name)));
            $mixed = null !== $layer && \count($layer->mix->parts) > 1;
            $lines[] = [$choice("bed.$name.material", $name, self::material($layer), [...($mixed ? ['mix' => 'own mix'] : []), ...$kinds, 'none' => 'none'])];
            if (null === $layer) {
                continue;
            }
            if ($mixed) {
                $parts = array_map(static function (array $part) use ($field, $name): FieldView {
                    $view = $field("bed.$name.parts.{$part[0]->id}");

                    return new FieldView($view->path, 'parts of '.mb_strtolower($part[0]->name), $view->value, '', $view->error);
                }, $layer->mix->parts);
                $lines = [...$lines, ...array_chunk($parts, 2)];
            }
            // Gravel or lava keep a soil from packing.
            $more = 'soil' === $name ? array_map(static fn ($m): string => $m->name, $this->catalogue->materials) : $kinds;
            $rest = array_diff_key($more, array_flip(array_map(static fn (array $p): string => $p[0]->id, $layer->mix->parts)));
            $lines[] = [$choice("bed.$name.add", 'soil' === $name ? 'mix in another soil' : 'mix in another cap material', '', ['' => 'nothing more', ...$rest])];
            $lines[] = [$field("bed.$name.front"), $field("bed.$name.back")];
        }

        foreach ($plan->bed->doses as $dose) {
            $view = $field('bed.doses.'.$dose->amendment->id);
            $lines[] = [new FieldView($view->path, mb_strtolower($dose->amendment->name), $view->value, $view->unit, $view->error)];
        }
        $lines[] = [$choice('bed.doses.add', 'mix into the soil', '', ['' => 'nothing more', ...array_map(static fn (Amendment $a): string => $a->name, $this->catalogue->amendments)])];

        return $lines;
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

    private static function vesselCaution(Shape $shape): string
    {
        return match ($shape) {
            Shape::Cylinder => 'A vase is made for flowers: thick glass only, a foam sheet under it, never near the rim. ',
            Shape::Bowl, Shape::TiltedFlask => 'Bowls and flasks are not made as tanks: a foam sheet or a ring under them, no knocks, and out of the sun. ',
            Shape::JarLying => 'A jar is not made as a tank: wedge it so that it cannot roll, and never set a closed one in direct sun. ',
            Shape::Barrel, Shape::Tub, Shape::Pool => 'A small child can drown in centimetres of water: fence it or lay a grid over it. ',
            Shape::GlassBox, Shape::BowFront => '',
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

    /**
     * @param \Closure(string): FieldView $field
     *
     * @return list<RowView>
     */
    private function clumps(Plan $plan, \Closure $field): array
    {
        $rows = [];
        foreach ($plan->clumps as $clump) {
            $pieces = $field("plants.$clump->id.pieces");
            $rows[] = new RowView($clump->id, $clump->kind->common, $clump->kind->scientific, implode(' ', [$clump->kind->role->words().'.', $clump->kind->remarks, ...$clump->kind->cautions()]),
                [new FieldView($pieces->path, $clump->kind->piece.'s', $pieces->value, '', $pieces->error), $field("plants.$clump->id.place"), $field("plants.$clump->id.row")], "plants.$clump->id.remove");
        }

        return $rows;
    }

    /**
     * @param \Closure(string): FieldView $field
     *
     * @return list<RowView>
     */
    private function groups(Plan $plan, \Closure $field): array
    {
        $rows = [];
        foreach ($plan->groups as $group) {
            $rows[] = new RowView($group->id, $group->kind->common, $group->kind->scientific, implode(' ', [$group->kind->remarks, ...$group->kind->cautions()]),
                [$field("animals.$group->id.count"), $field("animals.$group->id.day")], "animals.$group->id.remove",
                [new Ask('bench_solve', ['question' => 'stock', 'kind' => $group->kind->id], 'How many at most?')]);
        }

        return $rows;
    }

    private static function pieceWords(Piece $piece, UnitSystem $units): string
    {
        $soak = (int) $piece->kind->soakDays->value;

        return \sprintf('%s. ', $units->show(Dimension::Mass, 1000 * $piece->mass()))
            .($piece->kind->floats() ? 'Floats: weigh it down, tie it or glue it. ' : '')
            .($soak > 0 ? "Stand it in water for $soak days first; a bad smell means reject. " : '')
            .($piece->kind->lime->value > 0.2 ? 'Raises hardness. ' : '').$piece->kind->remarks;
    }

    /** @return array<string, array<string, string>> */
    private function hardscapeOptions(): array
    {
        $options = ['stone' => [], 'wood' => []];
        foreach ($this->catalogue->hardscape as $kind) {
            $options[$kind->wood ? 'wood' : 'stone'][$kind->id] = $kind->name;
        }

        return array_map(self::sorted(...), $options);
    }

    /** @return array<string, array<string, string>> plants under their roles, in the order in which roles are planted */
    private function plantOptions(): array
    {
        $options = array_fill_keys(array_map(static fn (PlantRole $r): string => $r->words(), PlantRole::cases()), []);
        foreach ($this->catalogue->plants as $kind) {
            $options[$kind->role->words()][$kind->id] = \sprintf('%s (%s)', $kind->common, $kind->scientific);
        }

        return array_filter(array_map(self::sorted(...), $options));
    }

    /** @return array<string, array<string, string>> */
    private function animalOptions(): array
    {
        $options = [];
        foreach ($this->catalogue->animals as $kind) {
            $options[$kind->shape->value][$kind->id] = \sprintf('%s (%s)', $kind->common, $kind->scientific);
        }

        return array_map(self::sorted(...), $options);
    }

    /**
     * @param array<string, string> $names
     *
     * @return array<string, string>
     */
    private static function sorted(array $names): array
    {
        asort($names);

        return $names;
    }

    /** @param array<string, mixed> $data */
    private static function stored(array $data, string $path): ?float
    {
        $keys = explode('.', $path);
        $at = $data;
        foreach ($keys as $index => $key) {
            if (!\is_array($at)) {
                return null;
            }
            if (array_is_list($at)) {
                $at = array_column($at, null, 'id')[$key] ?? null;
            } elseif ('doses' === $key && isset($keys[$index + 1])) {
                $at = array_column(\is_array($at['doses'] ?? null) ? $at['doses'] : [], 'grams', 'kind')[$keys[$index + 1]] ?? null;
                break;
            } elseif ('parts' === $key && isset($keys[$index + 1])) {
                $mix = \is_array($at['mix'] ?? null) ? $at['mix'] : [];
                $at = array_column($mix, 'parts', 'material')[$keys[$index + 1]] ?? null;
                break;
            } else {
                $at = $at[$key] ?? null;
            }
        }

        return \is_int($at) || \is_float($at) ? (float) $at : null;
    }
}
