<?php

declare(strict_types=1);

namespace Olvek\Page\Start;

use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Judgement\Margin\Room;
use Olvek\Core\Judgement\Solve\Compose\LampWish;
use Olvek\Core\Judgement\Solve\Compose\Taste;
use Olvek\Core\Nature\Animal\AnimalKind;
use Olvek\Core\Nature\Animal\AnimalShape;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Nature\Light\Aspect;
use Olvek\Core\Nature\Light\Lamp;
use Olvek\Core\Nature\Plant\PlantRole;
use Olvek\Core\Planning\Plan\Choice;
use Olvek\Core\Planning\Plan\Field;
use Olvek\Core\Planning\Plan\Method;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\Refused;
use Olvek\Core\Simulation\Run\Snapshot;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Drawing\CataloguePicture;
use Olvek\Service\Drawing\Elevation;
use Olvek\Service\Drawing\View;
use Olvek\Service\Editing\FieldView;

/** What the wish's page asks, with what was answered already. */
final readonly class WishPage
{
    /** g below which an animal is food or small life, not a dream. J. */
    private const LEAST = 0.004;

    public function __construct(private VesselForm $vessels, private Catalogue $catalogue)
    {
    }

    /**
     * @param array<mixed>          $sent
     * @param array<string, string> $errors
     *
     * @return array<string, mixed>
     */
    public function of(Keeper $keeper, array $sent, array $errors): array
    {
        $units = $keeper->units();
        try {
            $plan = $this->vessels->read($sent, $units);
        } catch (Refused $refused) {
            $errors += $refused->messages($units);
            $plan = Plan::starting('A new tank', $this->catalogue, $units);
        }
        $bare = $plan->withInputs($plan->site, new Lamp(0.0, 0.0), $plan->water, $plan->feed);
        $edits = VesselForm::texts($sent);
        $fields = [];
        foreach (WishForm::PLACES as $place) {
            $fields[$place] = $this->field($place, $edits[$place] ?? '', $errors[$place] ?? null, $units);
        }

        return [
            'sent' => $sent,
            'carried' => VesselForm::query($sent),
            'plan' => $plan,
            'litres' => $units->show(Dimension::Volume, $plan->vessel->grossVolume(), 0),
            'drawing' => Elevation::thumbnail($bare, Snapshot::planned($bare)),
            'name' => new FieldView('name', 'name of the tank', $edits['name'] ?? '', '', $errors['name'] ?? null, [], true),
            'fields' => $fields,
            'waters' => array_map(static fn ($w): string => $w->name, $this->catalogue->waters),
            'lamps' => array_combine(
                array_column(LampWish::cases(), 'value'),
                array_map(static fn (LampWish $l): string => $l->words(), LampWish::cases()),
            ),
            'tastes' => Taste::cases(),
            'methods' => array_combine(
                array_column(Method::cases(), 'value'),
                array_map(static fn (Method $m): string => $m->words(), Method::cases()),
            ),
            'animals' => $this->animals($plan, $units),
            'plants' => $this->plants(),
            'stock' => array_filter(array_map(
                fn (string $id, int $pieces): string => isset($this->catalogue->plants[$id])
                    ? "$pieces × {$this->catalogue->plants[$id]->common}"
                    : '',
                array_keys($keeper->stock()),
                $keeper->stock(),
            ), static fn (string $words): bool => '' !== $words),
            'errors' => $errors,
            'others' => array_diff_key($errors, array_flip([...WishForm::PLACES, 'name', 'animals'])),
        ];
    }

    private function field(string $place, string $value, ?string $error, UnitSystem $units): FieldView
    {
        if ('site.aspect' === $place) {
            $options = array_combine(
                array_column(Aspect::cases(), 'value'),
                array_map(static fn (Aspect $a): string => $a->words(), Aspect::cases()),
            );

            return new FieldView($place, 'daylight from', '' === $value ? Aspect::None->value : $value, '', $error, $options);
        }
        $field = Field::at($place);
        \assert(null !== $field && null === Choice::at($place));
        $labels = [
            'site.room' => 'the room’s warmth',
            'site.temperature' => 'outdoors: mean of the year',
            'site.swing' => 'outdoors: summer warmer by',
            'site.bears' => 'what the stand bears',
            'site.above' => 'free room over the rim',
            'light.lumens' => 'how strong: “18 W” or “1800 lm”',
        ];

        return new FieldView($place, $labels[$place] ?? $field->label, $value, $field->unit($units)->symbol(), $error);
    }

    /**
     * Animals by shape, those that the vessel has room for first.
     *
     * @return array<string, list<array{kind: AnimalKind, picture: View, fits: bool, from: string}>>
     */
    private function animals(Plan $plan, UnitSystem $units): array
    {
        $litres = $plan->vessel->grossVolume();
        $groups = [AnimalShape::Fish->value => [], AnimalShape::Shrimp->value => [], AnimalShape::Snail->value => []];
        foreach ($this->catalogue->animals as $kind) {
            if (!isset($groups[$kind->shape->value]) || $kind->grams->value < self::LEAST) {
                continue;
            }
            $least = $kind->leastLitres();
            $groups[$kind->shape->value][] = [
                'kind' => $kind,
                'picture' => CataloguePicture::animal($kind),
                'fits' => Room::ratio($litres, max(0.1, $least)) >= 1,
                'from' => $units->show(Dimension::Volume, $least, 0),
            ];
        }
        foreach ($groups as $shape => $kinds) {
            usort($kinds, static fn (array $a, array $b): int => [$b['fits'], $a['kind']->common] <=> [$a['fits'], $b['kind']->common]);
            $groups[$shape] = $kinds;
        }

        return $groups;
    }

    /** @return array<string, array<string, string>> names by shape */
    public function animalNames(): array
    {
        $groups = [];
        foreach ($this->catalogue->animals as $kind) {
            $groups[$kind->shape->value][$kind->id] = $kind->names();
        }

        return array_map(self::byName(...), $groups);
    }

    /** @return array<string, array<string, string>> names by role */
    public function plants(): array
    {
        $groups = array_fill_keys(array_map(static fn (PlantRole $r): string => $r->words(), PlantRole::cases()), []);
        foreach ($this->catalogue->plants as $kind) {
            $groups[$kind->role->words()][$kind->id] = $kind->names();
        }

        return array_filter(array_map(self::byName(...), $groups), static fn (array $names): bool => [] !== $names);
    }

    /**
     * @param array<string, string> $names
     *
     * @return array<string, string>
     */
    private static function byName(array $names): array
    {
        asort($names);

        return $names;
    }
}
