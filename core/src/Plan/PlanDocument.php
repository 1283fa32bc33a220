<?php

declare(strict_types=1);

namespace Olvek\Core\Plan;

use Olvek\Core\Animal\Feed;
use Olvek\Core\Bed\Bed;
use Olvek\Core\Bed\Layer;
use Olvek\Core\Bed\Mix;
use Olvek\Core\Bed\Role;
use Olvek\Core\Catalogue\Catalogue;
use Olvek\Core\Light\Lamp;
use Olvek\Core\Vessel\Cylinder;
use Olvek\Core\Vessel\GlassBox;
use Olvek\Core\Vessel\Vessel;
use Olvek\Core\Water\SourceWater;

/**
 * The published form of a plan: a versioned JSON document (schema/plan.schema.json). SI units: lengths in m.
 *
 * Decoding never guesses: an unknown key, kind or type is a problem with its path.
 */
final readonly class PlanDocument
{
    public const FORMAT = 'olvek.plan';
    public const VERSION = 1;

    public function __construct(private Catalogue $catalogue)
    {
    }

    /** @throws InvalidPlan */
    public function fromJson(string $json): Plan
    {
        try {
            $data = json_decode($json, true, 32, \JSON_THROW_ON_ERROR);
        } catch (\JsonException $broken) {
            throw new InvalidPlan([new Problem('', 'This is not JSON: '.$broken->getMessage().'.')]);
        }

        return $this->fromArray($data);
    }

    public function toJson(Plan $plan): string
    {
        return json_encode($this->toArray($plan), \JSON_THROW_ON_ERROR | \JSON_PRETTY_PRINT | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES | \JSON_PRESERVE_ZERO_FRACTION);
    }

    /**
     * @throws InvalidPlan when the document has another shape, names unknown things, or breaks the plan's rules
     */
    public function fromArray(mixed $data): Plan
    {
        $root = DocumentReader::root($data);
        if (self::FORMAT !== $root->text('format') || self::VERSION !== $root->whole('version')) {
            $root->refuse('format', \sprintf('This is not an Olvek plan of version %d. It should begin with "format": "%s", "version": %1$d.', self::VERSION, self::FORMAT));
            $root->finish();
        }
        $vessel = self::vessel($root->child('vessel'));
        $site = $root->child('site');
        $bed = $root->child('bed');
        $soil = $this->layer($bed->optionalChild('soil'), Role::Soil);
        $cap = $this->layer($bed->optionalChild('cap'), Role::Cap);
        $light = $root->child('light');
        $water = $root->child('water');
        $feeding = $root->child('feeding');
        $care = $root->child('care');
        $start = $root->child('start');
        $inoculum = Inoculum::tryFrom($start->text('inoculum'));
        if (null === $inoculum) {
            $start->refuse('inoculum', 'Name one of: '.implode(', ', array_column(Inoculum::cases(), 'value')).'.');
        }
        $parts = [
            $root->text('name'), $vessel, $root->number('waterLine'), new Site($site->number('temperature')), new Bed($soil, $cap),
            new Lamp($light->number('lumens'), $light->number('hours'), $light->number('landing')),
            $this->clumps($root), new SourceWater($water->number('pH'), $water->number('kh'), $water->number('gh'), $water->number('nitrate')),
            $this->groups($root), new Feed($feeding->number('grams'), $feeding->number('protein')), $feeding->whole('fromDay'),
            new Care($care->number('changeShare'), $care->whole('changeEvery')), $inoculum ?? Inoculum::Nothing,
        ];
        $root->finish();

        return new Plan(...$parts);
    }

    /** @return array<string, mixed> */
    public function toArray(Plan $plan): array
    {
        return [
            'format' => self::FORMAT,
            'version' => self::VERSION,
            'name' => $plan->name,
            'vessel' => ['shape' => $plan->vessel->shape(), ...$plan->vessel->measures()],
            'waterLine' => $plan->waterLine,
            'site' => ['temperature' => $plan->site->temperature],
            'bed' => ['soil' => self::layerData($plan->bed->soil), 'cap' => self::layerData($plan->bed->cap)],
            'light' => ['lumens' => $plan->lamp->lumens, 'hours' => $plan->lamp->hours, 'landing' => $plan->lamp->landing],
            'plants' => array_map(static fn (Clump $c): array => [
                'id' => $c->id, 'kind' => $c->kind->id, 'pieces' => $c->pieces, 'place' => $c->place,
            ], $plan->clumps),
            'water' => ['pH' => $plan->water->pH, 'kh' => $plan->water->kh, 'gh' => $plan->water->gh, 'nitrate' => $plan->water->nitrate],
            'animals' => array_map(static fn (Group $g): array => [
                'id' => $g->id, 'kind' => $g->kind->id, 'count' => $g->count, 'day' => $g->day,
            ], $plan->groups),
            'feeding' => ['grams' => $plan->feed->grams, 'protein' => $plan->feed->protein, 'fromDay' => $plan->feedFrom],
            'care' => ['changeShare' => $plan->care->changeShare, 'changeEvery' => $plan->care->changeEvery],
            'start' => ['inoculum' => $plan->inoculum->value],
        ];
    }

    private static function vessel(DocumentReader $reader): Vessel
    {
        $shape = $reader->text('shape');
        if (Cylinder::SHAPE === $shape) {
            return new Cylinder($reader->number('diameter'), $reader->number('height'), $reader->number('glass'));
        }
        if (GlassBox::SHAPE !== $shape) {
            $reader->refuse('shape', \sprintf('Name one of: %s, %s.', GlassBox::SHAPE, Cylinder::SHAPE));
        }

        return new GlassBox($reader->number('length'), $reader->number('width'), $reader->number('height'), $reader->number('glass'));
    }

    private function layer(?DocumentReader $reader, Role $role): ?Layer
    {
        if (null === $reader) {
            return null;
        }
        $parts = [];
        foreach ($reader->items('mix') as $item) {
            $id = $item->text('material');
            $material = $this->catalogue->materials[$id] ?? null;
            $amount = $item->number('parts');
            if (null === $material || $material->role !== $role) {
                $item->refuse('material', \sprintf('“%s” is not a %s Olvek knows.', mb_substr($id, 0, 60), $role->value));
            } elseif ($amount <= 0 || $amount > 1000) {
                $item->refuse('parts', 'Parts must be above 0 and at most 1000.');
            } else {
                $parts[] = [$material, $amount];
            }
        }
        if ([] === $parts) {
            $reader->refuse('mix', 'Name at least one material, or leave the layer out.');
        }
        $front = $reader->number('front');
        $back = $reader->number('back');

        return [] === $parts ? null : new Layer(new Mix($parts), $front, $back);
    }

    /** @return list<Clump> */
    private function clumps(DocumentReader $root): array
    {
        $clumps = [];
        foreach ($root->items('plants') as $item) {
            $kind = $this->catalogue->plants[$item->text('kind')] ?? null;
            if (null === $kind) {
                $item->refuse('kind', \sprintf('“%s” is not a plant Olvek knows.', mb_substr($item->text('kind'), 0, 60)));
            }
            $pieces = $item->whole('pieces');
            $place = $item->number('place');
            $id = $item->text('id');
            if (null !== $kind) {
                $clumps[] = new Clump($id, $kind, $pieces, $place);
            }
        }

        return $clumps;
    }

    /** @return list<Group> */
    private function groups(DocumentReader $root): array
    {
        $groups = [];
        foreach ($root->items('animals') as $item) {
            $kind = $this->catalogue->animals[$item->text('kind')] ?? null;
            if (null === $kind) {
                $item->refuse('kind', \sprintf('“%s” is not an animal Olvek knows.', mb_substr($item->text('kind'), 0, 60)));
            }
            $count = $item->whole('count');
            $day = $item->whole('day');
            $id = $item->text('id');
            if (null !== $kind) {
                $groups[] = new Group($id, $kind, $count, $day);
            }
        }

        return $groups;
    }

    /** @return array<string, mixed>|null */
    private static function layerData(?Layer $layer): ?array
    {
        if (null === $layer) {
            return null;
        }

        return [
            'mix' => array_map(static fn (array $share): array => ['material' => $share[0]->id, 'parts' => $share[1]], $layer->mix->parts),
            'front' => $layer->front,
            'back' => $layer->back,
        ];
    }
}
