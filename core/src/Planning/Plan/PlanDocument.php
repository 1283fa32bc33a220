<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Plan;

use Olvek\Core\Basis\Field\Fields;
use Olvek\Core\Basis\Field\InvalidValue;
use Olvek\Core\Nature\Animal\Feed;
use Olvek\Core\Nature\Bed\Bed;
use Olvek\Core\Nature\Bed\BedZone;
use Olvek\Core\Nature\Bed\Dose;
use Olvek\Core\Nature\Bed\Layer;
use Olvek\Core\Nature\Bed\MaterialRole;
use Olvek\Core\Nature\Bed\Mix;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Nature\Hardscape\Piece;
use Olvek\Core\Nature\Light\Aspect;
use Olvek\Core\Nature\Light\Lamp;
use Olvek\Core\Nature\Vessel\GlassBox;
use Olvek\Core\Nature\Vessel\Vessel;
use Olvek\Core\Nature\Vessel\VesselShape;
use Olvek\Core\Nature\Water\SourceWater;
use Olvek\Core\Planning\Event\EventKind;

/**
 * The published form of a plan: a versioned JSON document (schema/plan.schema.json). SI units: lengths in m.
 *
 * Decoding never guesses: an unknown key, kind or type is a problem with its path.
 */
final readonly class PlanDocument
{
    public const FORMAT = 'olvek.plan';
    public const VERSION = 1;

    private SectionReader $sections;

    public function __construct(private Catalogue $catalogue)
    {
        $this->sections = new SectionReader($catalogue);
    }

    /** @throws InvalidPlan */
    public function fromJson(string $json): Plan
    {
        try {
            $data = json_decode($json, true, 32, \JSON_THROW_ON_ERROR);
        } catch (\JsonException $broken) {
            throw new InvalidPlan([new Problem('', 'This is not JSON: '.$broken->getMessage().'.')]);
        }

        return $this->read(DocumentReader::root($data, EmptyParts::of($json)));
    }

    /**
     * A document that was not written here: a key that it gives twice is a problem too, since nobody can know which of them is meant.
     *
     * @throws InvalidPlan
     */
    public function fromForeignJson(string $json): Plan
    {
        $plan = $this->fromJson($json);
        $repeated = JsonLines::of($json)->repeated();
        if ([] !== $repeated) {
            throw new InvalidPlan(
                array_map(
                    static fn (string $place): Problem => new Problem(
                        $place,
                        'This is given more than once. Leave only the one that is meant.',
                    ),
                    $repeated,
                ),
            );
        }

        return $plan;
    }

    public function toJson(Plan $plan): string
    {
        return json_encode(
            $this->toArray($plan),
            \JSON_THROW_ON_ERROR | \JSON_PRETTY_PRINT | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES | \JSON_PRESERVE_ZERO_FRACTION,
        );
    }

    /**
     * @throws InvalidPlan when the document has another shape, names unknown things, or breaks the plan's rules
     */
    public function fromArray(mixed $data): Plan
    {
        return $this->read(DocumentReader::root($data));
    }

    /** @throws InvalidPlan */
    private function read(DocumentReader $root): Plan
    {
        if (self::FORMAT !== $root->text('format') || self::VERSION !== $root->whole('version')) {
            $root->refuse(
                'format',
                \sprintf(
                    'This is not an Olvek plan of version %d. It should begin with "format": "%s", "version": %1$d.',
                    self::VERSION,
                    self::FORMAT,
                ),
            );
            $root->finish();
        }
        $start = $root->child('start');
        $feeding = $root->child('feeding');
        $topUp = $root->optionalChild('topUp');
        $parts = [
            'name' => $root->text('name'),
            'vessel' => self::vessel($root->child('vessel')),
            'waterLine' => $root->number('waterLine'),
            'site' => $this->site($root->child('site')),
            'bed' => $this->bed($root, $root->child('bed')),
            'lamp' => $this->sections->read(Lamp::class, $root->child('light')),
            'clumps' => $this->clumps($root),
            'water' => $this->sections->read(SourceWater::class, $root->child('water')),
            'groups' => $this->groups($root),
            'feed' => $this->feed($feeding),
            'feedFrom' => $feeding->whole('fromDay'),
            'care' => $this->sections->read(Care::class, $root->child('care')),
            'inoculum' => $start->choice('inoculum', Inoculum::class),
            'pieces' => $this->pieces($root),
            'topUp' => $this->optional(SourceWater::class, $topUp),
            'preparation' => $this->preparation($root, $start),
            'events' => $this->events($root),
            ...array_filter([
                'stand' => $this->optional(Stand::class, $root->childOrNone('stand')),
                'equipment' => $this->optional(Equipment::class, $root->childOrNone('equipment')),
            ]),
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
            'vessel' => ['shape' => $plan->vessel->shape()->value, ...$plan->vessel->measures()],
            'waterLine' => $plan->waterLine,
            'site' => SectionReader::write($plan->site),
            'stand' => SectionReader::write($plan->stand),
            'equipment' => SectionReader::write($plan->equipment),
            'bed' => [
                'base' => self::layerData($plan->bed->base),
                'soil' => self::layerData($plan->bed->soil),
                'leaves' => self::layerData($plan->bed->leaves),
                'cap' => self::layerData($plan->bed->cap),
                'dressing' => self::layerData($plan->bed->dressing),
                ...SectionReader::write($plan->bed),
                'doses' => array_map(static fn (Dose $d): array => ['kind' => $d->amendment->id, 'grams' => $d->grams], $plan->bed->doses),
            ],
            'zones' => array_map(static fn (BedZone $z): array => ['id' => $z->id, ...SectionReader::write($z)], $plan->bed->zones),
            'hardscape' => array_map(
                static fn (Piece $p): array => ['id' => $p->id, 'kind' => $p->kind->id, ...SectionReader::write($p)],
                $plan->pieces,
            ),
            'light' => SectionReader::write($plan->lamp),
            'plants' => array_map(
                static fn (Clump $c): array => ['id' => $c->id, 'kind' => $c->kind->id, ...SectionReader::write($c)],
                $plan->clumps,
            ),
            'water' => SectionReader::write($plan->water),
            'topUp' => null === $plan->topUp ? null : SectionReader::write($plan->topUp),
            'animals' => array_map(
                static fn (Group $g): array => ['id' => $g->id, 'kind' => $g->kind->id, ...SectionReader::write($g)],
                $plan->groups,
            ),
            'feeding' => [...SectionReader::write($plan->feed), 'fromDay' => $plan->feedFrom],
            'care' => SectionReader::write($plan->care),
            'start' => ['inoculum' => $plan->inoculum->value, 'way' => $plan->preparation->way->value],
            'method' => $plan->preparation->method?->value,
            'preparation' => SectionReader::write($plan->preparation),
            'events' => array_map(
                static fn (PlannedEvent $e): array => [
                    'id' => $e->id,
                    'do' => $e->kind->value,
                    'day' => $e->day,
                    ...null === $e->of ? [] : [(string) $e->kind->of() => $e->of],
                    ...$e->values,
                ],
                $plan->events,
            ),
        ];
    }

    private static function vessel(DocumentReader $reader): Vessel
    {
        $shape = $reader->choice('shape', VesselShape::class);
        $measures = [];
        foreach ($shape->measures() as $name) {
            $measures[$name] = $reader->number($name);
        }
        try {
            return $shape->make($measures);
        } catch (InvalidValue $wrong) {
            foreach ($wrong->names as $name) {
                $reader->outOfRange($name, $measures[$name]);
            }

            // Any vessel, so that the rest of the document is read too: it is refused anyway.
            return new GlassBox(0.6, 0.3, 0.36, 0.006);
        }
    }

    private function site(DocumentReader $reader): Site
    {
        $outdoors = Aspect::Open->value === $reader->textOr('aspect', '');

        return $this->sections->read(
            Site::class,
            $reader,
            defaults: $outdoors ? ['humidity' => Site::OUTDOOR_HUMIDITY, 'rain' => Site::USUAL_RAIN] : [],
        );
    }

    private function bed(DocumentReader $root, DocumentReader $reader): Bed
    {
        return $this->sections->read(Bed::class, $reader, [
            'soil' => $this->layer($reader->optionalChild('soil'), MaterialRole::Soil),
            'cap' => $this->layer($reader->optionalChild('cap'), MaterialRole::Cap),
            'leaves' => $this->layer($reader->optionalChild('leaves'), MaterialRole::Soil),
            'base' => $this->layer($reader->optionalChild('base'), MaterialRole::Soil),
            'dressing' => $this->layer($reader->optionalChild('dressing'), MaterialRole::Cap),
            'doses' => $this->doses($reader),
            'zones' => $this->zones($root),
        ]);
    }

    private function feed(DocumentReader $reader): Feed
    {
        $feed = $this->sections->read(Feed::class, $reader);

        return Feed::of($feed->grams, $feed->protein, $feed->food);
    }

    private function preparation(DocumentReader $root, DocumentReader $start): Preparation
    {
        $method = $root->has('school') ? 'school' : 'method';
        $given = [
            'method' => '' === $root->textOr($method, '') ? null : $root->choice($method, Method::class),
            'way' => $start->choice('way', StartWay::class, StartWay::Undecided->value),
        ];
        $reader = $root->childOrNone('preparation');

        return null === $reader ? new Preparation(...$given) : $this->sections->read(Preparation::class, $reader, $given);
    }

    /**
     * @template T of object
     *
     * @param class-string<T> $class
     *
     * @return T|null
     */
    private function optional(string $class, ?DocumentReader $reader): ?object
    {
        return null === $reader ? null : $this->sections->read($class, $reader);
    }

    /** @return list<PlannedEvent> */
    private function events(DocumentReader $root): array
    {
        $events = [];
        foreach ($root->itemsOrNone('events') as $item) {
            $kind = $item->choice('do', EventKind::class);
            if (!$kind->happens()->planned) {
                $item->refuse('do', 'Name one of: '.implode(', ', array_column(EventKind::plannable(), 'value')).'.');
            }
            $values = [];
            foreach (Fields::of($kind->type()) as $name => $property) {
                $default = $property->default;
                $values[$name] = match (true) {
                    !$property->isRequired() && $item->lacks($name) && (\is_int($default) || \is_float($default)) => $default,
                    $property->isWhole() => $item->whole($name),
                    default => $item->number($name),
                };
            }
            $of = $kind->of();
            $events[] = new PlannedEvent($item->text('id'), $kind, $item->whole('day'), $values, null === $of ? null : $item->text($of));
        }

        return $events;
    }

    /** @return list<Dose> */
    private function doses(DocumentReader $bed): array
    {
        $doses = [];
        foreach ($bed->itemsOrNone('doses') as $item) {
            $amendment = $this->catalogue->amendments[$item->text('kind')] ?? null;
            if (null === $amendment) {
                $item->refuse('kind', \sprintf('“%s” is not an amendment Olvek knows.', mb_substr($item->text('kind'), 0, 60)));
            }
            $grams = $item->number('grams');
            if (null !== $amendment) {
                $doses[] = new Dose($amendment, $grams);
            }
        }

        return $doses;
    }

    /** @return list<BedZone> */
    private function zones(DocumentReader $root): array
    {
        return array_map(
            fn (DocumentReader $item): BedZone => $this->sections->read(BedZone::class, $item, ['id' => $item->text('id')]),
            $root->itemsOrNone('zones'),
        );
    }

    /** @return list<Piece> */
    private function pieces(DocumentReader $root): array
    {
        $pieces = [];
        foreach ($root->itemsOrNone('hardscape') as $item) {
            $kind = $this->catalogue->hardscape[$item->text('kind')] ?? null;
            if (null === $kind) {
                $item->refuse('kind', \sprintf('“%s” is not a stone or wood Olvek knows.', mb_substr($item->text('kind'), 0, 60)));
            }
            $id = $item->text('id');
            if (null !== $kind) {
                $pieces[] = $this->sections->read(Piece::class, $item, ['id' => $id, 'kind' => $kind]);
            }
        }

        return $pieces;
    }

    private function layer(?DocumentReader $reader, MaterialRole $role): ?Layer
    {
        if (null === $reader) {
            return null;
        }
        $parts = [];
        foreach ($reader->items('mix') as $item) {
            $id = $item->text('material');
            $material = $this->catalogue->materials[$id] ?? null;
            $amount = $item->number('parts');
            // Gravel or lava may be mixed into soil, so that it cannot pack; soil has no business in a cap.
            if (null === $material || (MaterialRole::Cap === $role && $material->role !== $role)) {
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
            $id = $item->text('id');
            if (null !== $kind) {
                $clumps[] = $this->sections->read(Clump::class, $item, ['id' => $id, 'kind' => $kind], ['row' => $kind->zone->row()]);
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
            $id = $item->text('id');
            if (null !== $kind) {
                $groups[] = $this->sections->read(Group::class, $item, ['id' => $id, 'kind' => $kind]);
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
            ...SectionReader::write($layer),
        ];
    }
}
