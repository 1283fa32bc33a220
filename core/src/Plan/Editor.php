<?php

declare(strict_types=1);

namespace Olvek\Core\Plan;

use Olvek\Core\Bed\Role;
use Olvek\Core\Catalogue\Catalogue;
use Olvek\Core\Light\Aspect;
use Olvek\Core\Plant\Role as PlantRole;
use Olvek\Core\Unit\UnitSystem;
use Olvek\Core\Unit\UnreadableQuantity;
use Olvek\Core\Vessel\Shape;

/**
 * Applies edits, each a place and a typed text, to a plan's document and reads the whole back through the plan's rules.
 * Several edits count as one: either all hold together or nothing changes.
 *
 * Places are the paths of the document plus a few verbs: `school` (a whole recipe), `plants.add` (a kind), `plants.ID.remove`, `animals.add`,
 * `animals.ID.remove`, `plants.add.KIND` and `animals.add.KIND` (so many of it), `hardscape.add`, `hardscape.ID.remove`, `vessel.shape`, `bed.soil.material` (a kind or "none"), `bed.soil.add` (a kind),
 * `bed.soil.parts.KIND` (parts, 0 takes it out), `bed.soil.mix` ("coir 2, garden-compost 1"), `bed.doses.add` (a kind), `bed.doses.KIND` (grams, 0 takes it out), `plants.ID.planting`,
 * `site.aspect`, `site.lid`, `site.sealed` ("yes" or "no"), `water.kind` and `topUp.kind` (a kind of water; for the latter also "same").
 */
final readonly class Editor
{
    /** m of a layer that was not there before. C: 2.5 cm of soil; cap a little more. */
    private const NEW_SOIL = 0.025;
    private const NEW_CAP = 0.03;

    private PlanDocument $document;

    public function __construct(private Catalogue $catalogue)
    {
        $this->document = new PlanDocument($catalogue);
    }

    /**
     * @param array<string, string> $edits typed text by place
     *
     * @throws InvalidPlan with the places as paths
     */
    public function apply(Plan $plan, array $edits, UnitSystem $units): Edited
    {
        $data = $this->document->toArray($plan);
        $words = [];
        $problems = [];
        foreach ($edits as $place => $typed) {
            try {
                $words[] = $this->edit($data, $place, trim($typed), $units);
            } catch (UnreadableQuantity|RefusedEdit $refused) {
                $problems[] = new Problem($place, $refused->getMessage());
            }
        }
        if ([] !== $problems) {
            throw new InvalidPlan($problems);
        }
        $words = array_values(array_filter($words, static fn (?string $w): bool => null !== $w));

        return [] === $words ? new Edited($plan, []) : new Edited($this->document->fromArray($data), $words);
    }

    /**
     * @param array<string, mixed> $data the plan's document, changed in place
     *
     * @throws RefusedEdit|UnreadableQuantity
     */
    private function edit(array &$data, string $place, string $typed, UnitSystem $units): ?string
    {
        if ('name' === $place) {
            return $this->put($data, ['name'], $typed, 'name', $typed);
        }
        if ('school' === $place) {
            return $this->takeSchool($data, $typed);
        }
        if ('site.aspect' === $place) {
            $aspect = Aspect::tryFrom($typed) ?? throw new RefusedEdit('Choose which sky the tank sees.');

            return $this->put($data, ['site', 'aspect'], $typed, 'daylight', $aspect->words());
        }
        if ('site.lid' === $place || 'site.sealed' === $place) {
            return $this->setTruth($data, substr($place, 5), $typed);
        }
        if ('water.kind' === $place || 'topUp.kind' === $place) {
            return $this->setWater($data, substr($place, 0, -5), $typed);
        }
        if (1 === preg_match('/^bed\.doses\.([a-z0-9-]+)$/', $place, $match)) {
            return 'add' === $match[1] ? $this->addDose($data, $typed) : $this->setDose($data, $match[1], $place, $typed, $units);
        }
        if ('hardscape.add' === $place) {
            return $this->addPiece($data, $typed);
        }
        if ('start.inoculum' === $place) {
            $inoculum = Inoculum::tryFrom($typed) ?? throw new RefusedEdit('Choose where the first bacteria come from.');

            return $this->put($data, ['start', 'inoculum'], $typed, 'first bacteria', $inoculum->words());
        }
        if ('vessel.shape' === $place) {
            return $this->setShape($data, $typed);
        }
        if (1 === preg_match('/^bed\.(soil|cap)\.mix$/', $place, $match)) {
            return $this->setMix($data, $match[1], $typed);
        }
        if (1 === preg_match('/^bed\.(soil|cap)\.(material|add)$/', $place, $match)) {
            return 'add' === $match[2] ? $this->addMaterial($data, $match[1], $typed) : $this->setMaterial($data, $match[1], $typed);
        }
        if (1 === preg_match('/^bed\.(soil|cap)\.parts\.([a-z0-9-]+)$/', $place, $match)) {
            return $this->setParts($data, $match[1], $match[2], $place, $typed, $units);
        }
        if (1 === preg_match('/^(plants|animals)\.add\.([a-z0-9-]+)$/', $place, $match)) {
            return $this->addMany($data, $match[1], $match[2], $typed, $units);
        }
        if ('plants.add' === $place) {
            return $this->addClump($data, $typed);
        }
        if ('animals.add' === $place) {
            return $this->addGroup($data, $typed);
        }
        if (1 === preg_match('/^(plants|animals|hardscape)\.([a-z0-9-]+)\.(\w+)$/', $place, $match)) {
            return $this->editThing($data, $match[1], $match[2], $match[3], $place, $typed, $units);
        }

        return $this->editNumber($data, explode('.', $place), $place, $typed, $units);
    }

    /**
     * @param array<string, mixed>  $data
     * @param list<int|string> $keys
     */
    private function editNumber(array &$data, array $keys, string $place, string $typed, UnitSystem $units): ?string
    {
        $field = Field::at($place) ?? throw new RefusedEdit('Olvek does not know this part of a plan.');
        $before = $this->get($data, $keys);
        if (!\is_int($before) && !\is_float($before)) {
            throw new RefusedEdit('Choose a material for this layer first.');
        }
        // A field that is sent back as it was shown is left as it is: showing rounds, and rounding must not edit.
        if ($typed === $field->show((float) $before, $units)) {
            return null;
        }
        $after = $field->read($typed, $units);

        return $this->put($data, $keys, $after, $field->label, \sprintf('%s → %s', $field->say((float) $before, $units), $field->say((float) $after, $units)));
    }

    /** @param array<string, mixed> $data */
    private function editThing(array &$data, string $list, string $id, string $what, string $place, string $typed, UnitSystem $units): ?string
    {
        $things = self::records($data[$list]);
        $index = array_search($id, array_column($things, 'id'), true);
        if (!\is_int($index)) {
            throw new RefusedEdit('This has been removed already; reload to see the plan as it is.');
        }
        $kind = $things[$index]['kind'];
        \assert(\is_string($kind));
        $name = match ($list) {
            'plants' => $this->catalogue->plants[$kind]->common,
            'animals' => $this->catalogue->animals[$kind]->common,
            default => $this->catalogue->hardscape[$kind]->name,
        };
        if ('plants' === $list && 'planting' === $what) {
            $planting = Planting::tryFrom($typed) ?? throw new RefusedEdit('Choose how the clump is set.');

            return $this->put($data, [$list, $index, $what], $typed, $name, $planting->words());
        }
        if ('remove' === $what) {
            array_splice($things, $index, 1);
            $data[$list] = $things;
            if ([] === $things && 'animals' === $list && \is_array($data['feeding'])) {
                $data['feeding']['grams'] = 0.0;
            }

            return $name.' taken out';
        }
        $words = $this->editNumber($data, [$list, $index, $what], $place, $typed, $units);

        return null === $words ? null : "$name, $words";
    }

    /** @param array<string, mixed> $data */
    private function addClump(array &$data, string $id): string
    {
        $kind = $this->catalogue->plants[$id] ?? throw new RefusedEdit('Choose a plant from the list.');
        $clumps = self::records($data['plants']);
        $clumps[] = [
            'id' => self::freeId($clumps, 'c'),
            'kind' => $id,
            // C: stems are planted by the ten, the rest by the few.
            'pieces' => \in_array($kind->role, [PlantRole::FastStem, PlantRole::SlowStem, PlantRole::Runner], true) ? 10 : 3,
            'place' => self::widestGap($clumps),
            'row' => $kind->zone->row(),
            'planting' => Planting::Right->value,
        ];
        $data['plants'] = $clumps;

        return $kind->common.' added';
    }

    /** @param array<string, mixed> $data */
    private function addGroup(array &$data, string $id): string
    {
        $kind = $this->catalogue->animals[$id] ?? throw new RefusedEdit('Choose an animal from the list.');
        $groups = self::records($data['animals']);
        $groups[] = ['id' => self::freeId($groups, 'a'), 'kind' => $id, 'count' => (int) $kind->group->value, 'day' => 28];
        $data['animals'] = $groups;

        return $kind->common.' added';
    }

    /** @param array<string, mixed> $data */
    private function takeSchool(array &$data, string $typed): ?string
    {
        $school = School::tryFrom($typed) ?? throw new RefusedEdit('Choose a school from the list.');
        $before = $data;
        foreach ($school->edits($this->document->fromArray($data)) as $place => $text) {
            $this->edit($data, $place, $text, UnitSystem::Metric);
        }

        return $before === $data ? null : 'school: '.$school->words();
    }

    /** @param array<string, mixed> $data */
    private function addMany(array &$data, string $list, string $kind, string $typed, UnitSystem $units): string
    {
        $words = 'plants' === $list ? $this->addClump($data, $kind) : $this->addGroup($data, $kind);
        $things = self::records($data[$list]);
        $last = \count($things) - 1;
        $number = 'plants' === $list ? 'pieces' : 'count';
        $field = Field::at("$list.x.$number");
        \assert(null !== $field);
        $things[$last][$number] = $field->read($typed, $units);
        $data[$list] = $things;

        return $words.', '.$things[$last][$number];
    }

    /** @param array<string, mixed> $data */
    private function addPiece(array &$data, string $id): string
    {
        $kind = $this->catalogue->hardscape[$id] ?? throw new RefusedEdit('Choose a stone or wood from the list.');
        $pieces = self::records($data['hardscape']);
        // J: a piece of a fiftieth of the tank, to begin with.
        $plan = $this->document->fromArray($data);
        $pieces[] = ['id' => self::freeId($pieces, 'h'), 'kind' => $id, 'litres' => round($plan->vessel->volumeBelow($plan->waterLine) / 50, 2), 'place' => self::widestGap($pieces), 'row' => 0.5];
        $data['hardscape'] = $pieces;

        return $kind->name.' added';
    }

    /** @param array<string, mixed> $data */
    private function setTruth(array &$data, string $what, string $typed): ?string
    {
        $truth = match ($typed) {
            'yes' => true,
            'no' => false,
            default => throw new RefusedEdit('Choose yes or no.'),
        };
        if ($truth && 'sealed' === $what && \is_array($data['feeding'])) {
            $data['feeding']['grams'] = 0.0;
        }

        return $this->put($data, ['site', $what], $truth, 'sealed' === $what ? 'vessel' : 'lid', match (true) {
            'sealed' === $what => $truth ? 'sealed, nothing fed' : 'open',
            default => $truth ? 'on' : 'off',
        });
    }

    /** @param array<string, mixed> $data */
    private function setWater(array &$data, string $which, string $id): ?string
    {
        $label = 'topUp' === $which ? 'top-up water' : 'water';
        if ('' === $id) {
            return null;
        }
        if ('same' === $id && 'topUp' === $which) {
            return $this->put($data, ['topUp'], null, $label, 'the same as at filling');
        }
        $kind = $this->catalogue->waters[$id] ?? throw new RefusedEdit('Choose a water from the list.');
        $water = $kind->likely();

        return $this->put($data, [$which], ['pH' => $water->pH, 'kh' => $water->kh, 'gh' => $water->gh, 'nitrate' => $water->nitrate], $label, mb_strtolower($kind->name));
    }

    /** @param array<string, mixed> $data */
    private function addDose(array &$data, string $id): string
    {
        $amendment = $this->catalogue->amendments[$id] ?? throw new RefusedEdit('Choose an amendment from the list.');
        $doses = $this->doses($data);
        if (\in_array($id, array_column($doses, 'kind'), true)) {
            throw new RefusedEdit($amendment->name.' is in the bed already; change its grams.');
        }
        $plan = $this->document->fromArray($data);
        $litres = max(1.0, $plan->bed->soilVolume($plan->vessel));
        $doses[] = ['kind' => $id, 'grams' => round($litres * $amendment->dose->value, 1)];
        $this->put($data, ['bed', 'doses'], $doses, '', '');

        return $amendment->name.' added to the bed';
    }

    /** @param array<string, mixed> $data */
    private function setDose(array &$data, string $id, string $place, string $typed, UnitSystem $units): ?string
    {
        $doses = $this->doses($data);
        $amendment = $this->catalogue->amendments[$id] ?? throw new RefusedEdit('Choose an amendment from the list.');
        $index = array_search($id, array_column($doses, 'kind'), true);
        if (!\is_int($index)) {
            $index = \count($doses);
            $doses[] = ['kind' => $id, 'grams' => 0.0];
        }
        $field = Field::at($place) ?? throw new RefusedEdit('Olvek does not know this part of a plan.');
        $before = $doses[$index]['grams'];
        if (\is_float($before) && $typed === $field->show($before, $units)) {
            return null;
        }
        $grams = (float) $field->read($typed, $units);
        $name = $amendment->name;
        if (0.0 === $grams) {
            array_splice($doses, $index, 1);
        } else {
            $doses[$index]['grams'] = $grams;
        }

        return $this->put($data, ['bed', 'doses'], $doses, $name, 0.0 === $grams ? 'left out' : $field->say($grams, $units));
    }

    /**
     * @param array<string, mixed> $data
     *
     * @return list<array<string, mixed>>
     */
    private function doses(array $data): array
    {
        return self::records($this->get($data, ['bed', 'doses']));
    }

    /**
     * Another shape of about the same size.
     *
     * @param array<string, mixed> $data
     */
    private function setShape(array &$data, string $typed): ?string
    {
        $shape = Shape::tryFrom($typed) ?? throw new RefusedEdit('Choose a shape from the list.');
        $plan = $this->document->fromArray($data);
        if ($shape === $plan->vessel->shape()) {
            return null;
        }
        $data['vessel'] = ['shape' => $shape->value, ...$shape->sizedLike($plan->vessel)];
        // What stood below the old rim must stand below the new.
        $rim = $shape->make($shape->sizedLike($plan->vessel))->height();
        $data['waterLine'] = min($plan->waterLine, round(0.92 * $rim, 4));

        return 'shape '.$shape->words();
    }

    /** @param array<string, mixed> $data */
    private function setMaterial(array &$data, string $layer, string $id): ?string
    {
        if ('mix' === $id) {
            return null;
        }
        if ('none' === $id) {
            return $this->put($data, ['bed', $layer], null, $layer, 'none');
        }
        $name = $this->material($layer, $id);
        $before = $this->get($data, ['bed', $layer]);
        $depth = 'soil' === $layer ? self::NEW_SOIL : self::NEW_CAP;
        $old = \is_array($before) ? $before : ['front' => $depth, 'back' => $depth];
        if (\is_array($old['mix'] ?? null) && [$id] === array_column($old['mix'], 'material')) {
            return null;
        }

        return $this->put($data, ['bed', $layer], [...$old, 'mix' => [['material' => $id, 'parts' => 1.0]]], $layer, $name);
    }

    /**
     * A whole mix at once, as "coir 2, garden-compost 1".
     *
     * @param array<string, mixed> $data
     */
    private function setMix(array &$data, string $layer, string $typed): ?string
    {
        $mix = [];
        $names = [];
        foreach (explode(',', $typed) as $part) {
            if (1 !== preg_match('/^\s*([a-z0-9-]+)\s+(\d+(?:\.\d+)?)\s*$/', $part, $match)) {
                throw new RefusedEdit('Write a mix as kinds and parts: coir 2, garden-compost 1.');
            }
            $names[] = mb_strtolower($this->material($layer, $match[1]));
            $mix[] = ['material' => $match[1], 'parts' => (float) $match[2]];
        }
        $before = $this->get($data, ['bed', $layer]);
        $depth = 'soil' === $layer ? self::NEW_SOIL : self::NEW_CAP;

        return $this->put($data, ['bed', $layer], [...(\is_array($before) ? $before : ['front' => $depth, 'back' => $depth]), 'mix' => $mix], $layer, implode(', ', $names));
    }

    /** @param array<string, mixed> $data */
    private function addMaterial(array &$data, string $layer, string $id): string
    {
        $name = $this->material($layer, $id);
        $mix = $this->mix($data, $layer);
        if (\in_array($id, array_column($mix, 'material'), true)) {
            throw new RefusedEdit($name.' is in the mix already; change its parts.');
        }
        $mix[] = ['material' => $id, 'parts' => 1.0];
        $this->put($data, ['bed', $layer, 'mix'], $mix, '', '');

        return \sprintf('%s added to the %s', $name, $layer);
    }

    /** @param array<string, mixed> $data */
    private function setParts(array &$data, string $layer, string $id, string $place, string $typed, UnitSystem $units): ?string
    {
        $mix = $this->mix($data, $layer);
        $index = array_search($id, array_column($mix, 'material'), true);
        if (!\is_int($index)) {
            throw new RefusedEdit('This is not in the mix any more; reload to see the plan as it is.');
        }
        $field = Field::at($place) ?? throw new RefusedEdit('Olvek does not know this part of a plan.');
        $parts = $field->read($typed, $units);
        if ($parts < 0 || (0.0 === (float) $parts && 1 === \count($mix))) {
            throw new RefusedEdit('Parts must be above 0; to leave a layer out, choose "none" as its material.');
        }
        if ((float) $parts === $mix[$index]['parts']) {
            return null;
        }
        if (0.0 === (float) $parts) {
            array_splice($mix, $index, 1);
        } else {
            $mix[$index]['parts'] = $parts;
        }

        return $this->put($data, ['bed', $layer, 'mix'], $mix, $this->material($layer, $id), \sprintf('%s of the %s mix', 1.0 === (float) $parts ? '1 part' : $field->say((float) $parts, $units).' parts', $layer));
    }

    /**
     * @param array<string, mixed> $data
     *
     * @return list<array<string, mixed>>
     */
    private function mix(array $data, string $layer): array
    {
        $mix = $this->get($data, ['bed', $layer, 'mix']);
        if (!\is_array($mix)) {
            throw new RefusedEdit('Choose a material for this layer first.');
        }

        return self::records($mix);
    }

    private function material(string $layer, string $id): string
    {
        $material = $this->catalogue->materials[$id] ?? null;
        if (null === $material || ('cap' === $layer && Role::Cap !== $material->role)) {
            throw new RefusedEdit(\sprintf('Choose a %s from the list.', $layer));
        }

        return $material->name;
    }

    /**
     * @param array<string, mixed>  $data
     * @param list<int|string> $keys
     */
    private function get(array $data, array $keys): mixed
    {
        $at = $data;
        foreach ($keys as $key) {
            $at = \is_array($at) ? $at[$key] ?? null : null;
        }

        return $at;
    }

    /**
     * @param array<string, mixed>  $data
     * @param list<int|string> $keys
     */
    private function put(array &$data, array $keys, mixed $value, string $label, string $words): ?string
    {
        if ($this->get($data, $keys) === $value) {
            return null;
        }
        $at = &$data;
        foreach ($keys as $key) {
            \assert(\is_array($at));
            $at = &$at[$key];
        }
        $at = $value;

        return "$label $words";
    }

    /** @param list<array<string, mixed>> $things */
    private static function freeId(array $things, string $prefix): string
    {
        $taken = array_column($things, 'id');
        $n = 1;
        while (\in_array($prefix.$n, $taken, true)) {
            ++$n;
        }

        return $prefix.$n;
    }

    /**
     * Middle of the widest stretch of the front that no clump stands on.
     *
     * @param list<array<string, mixed>> $clumps
     */
    private static function widestGap(array $clumps): float
    {
        $places = array_filter(array_column($clumps, 'place'), is_numeric(...));
        $places = [-0.1, ...array_map(floatval(...), $places), 1.1];
        sort($places);
        $best = [0.0, 0.5];
        for ($i = 1; $i < \count($places); ++$i) {
            $gap = $places[$i] - $places[$i - 1];
            if ($gap > $best[0] + 1e-9) {
                $best = [$gap, ($places[$i] + $places[$i - 1]) / 2];
            }
        }

        return round(max(0.0, min(1.0, $best[1])), 3);
    }

    /** @return list<array<string, mixed>> */
    private static function records(mixed $list): array
    {
        \assert(\is_array($list));

        /** @var list<array<string, mixed>> $list */
        return $list;
    }
}
