<?php

declare(strict_types=1);

namespace Olvek\Core\Plan;

use Olvek\Core\Animal\Feed;
use Olvek\Core\Bed\Bed;
use Olvek\Core\Bed\Dose;
use Olvek\Core\Bed\Layer;
use Olvek\Core\Bed\Mix;
use Olvek\Core\Bed\Role;
use Olvek\Core\Catalogue\Catalogue;
use Olvek\Core\Hardscape\Piece;
use Olvek\Core\Light\Aspect;
use Olvek\Core\Light\Lamp;
use Olvek\Core\Light\Programme;
use Olvek\Core\Vessel\Shape;
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
            throw new InvalidPlan(array_map(
                static fn (string $place): Problem => new Problem($place, 'This is given more than once. Leave only the one that is meant.'),
                $repeated,
            ));
        }

        return $plan;
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
        $topUp = $root->optionalChild('topUp');
        $leaves = $this->layer($bed->optionalChild('leaves'), Role::Soil);
        $parts = [
            $root->text('name'), $vessel, $root->number('waterLine'), self::site($site), new Bed($soil, $cap, $this->doses($bed), $leaves, $bed->numberOr('plate', 0.0), $bed->numberOr('core', 0.0), $bed->numberOr('setback', 0.0), $bed->truthOr('bagged', false)),
            $this->lamp($light),
            $this->clumps($root), self::water($water),
            $this->groups($root), $this->feed($feeding), $feeding->whole('fromDay'),
            self::care($care), $start->choice('inoculum', Inoculum::class), $this->pieces($root), null === $topUp ? null : self::water($topUp),
            self::preparation($root, $start), $this->occasions($root),
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
            'site' => [
                'temperature' => $plan->site->temperature, 'swing' => $plan->site->swing, 'filledOn' => $plan->site->filledOn, 'latitude' => $plan->site->latitude,
                'aspect' => $plan->site->aspect->value, 'sky' => $plan->site->sky, 'lid' => $plan->site->lid, 'sealed' => $plan->site->sealed,
                'bears' => $plan->site->bears, 'above' => $plan->site->above, 'movement' => $plan->site->movement->value, 'room' => $plan->site->room, 'humidity' => $plan->site->humidity,
                'carbonDioxide' => $plan->site->carbonDioxide, 'altitude' => $plan->site->altitude, 'rain' => $plan->site->rain,
            ],
            'bed' => [
                'soil' => self::layerData($plan->bed->soil), 'leaves' => self::layerData($plan->bed->leaves), 'cap' => self::layerData($plan->bed->cap),
                'plate' => $plan->bed->plate, 'core' => $plan->bed->core, 'setback' => $plan->bed->setback, 'bagged' => $plan->bed->bagged,
                'doses' => array_map(static fn (Dose $d): array => ['kind' => $d->amendment->id, 'grams' => $d->grams], $plan->bed->doses),
            ],
            'hardscape' => array_map(static fn (Piece $p): array => [
                'id' => $p->id, 'kind' => $p->kind->id, 'litres' => $p->litres, 'place' => $p->place, 'row' => $p->row, 'fixed' => $p->fixed, 'soaked' => $p->soaked,
            ], $plan->pieces),
            'light' => self::lampData($plan->lamp),
            'plants' => array_map(static fn (Clump $c): array => [
                'id' => $c->id, 'kind' => $c->kind->id, 'pieces' => $c->pieces, 'place' => $c->place, 'row' => $c->row, 'planting' => $c->planting->value, 'day' => $c->day, 'grown' => $c->grown->value,
            ], $plan->clumps),
            'water' => self::waterData($plan->water),
            'topUp' => null === $plan->topUp ? null : self::waterData($plan->topUp),
            'animals' => array_map(static fn (Group $g): array => [
                'id' => $g->id, 'kind' => $g->kind->id, 'count' => $g->count, 'day' => $g->day,
            ], $plan->groups),
            'feeding' => ['grams' => $plan->feed->grams, 'protein' => $plan->feed->protein, 'fromDay' => $plan->feedFrom, 'food' => $plan->feed->food?->id],
            'care' => get_object_vars($plan->care),
            'start' => ['inoculum' => $plan->inoculum->value, 'way' => $plan->preparation->way->value],
            'school' => $plan->preparation->school?->value,
            'preparation' => [
                'treatment' => $plan->preparation->treatment->value, 'filling' => $plan->preparation->filling->value,
                'rinsed' => $plan->preparation->rinsed, 'sieved' => $plan->preparation->sieved,
            ],
            'events' => array_map(static fn (Occasion $o): array => [
                'id' => $o->id, 'do' => $o->kind->value, 'day' => $o->day, ...(null === $o->clump ? [] : ['clump' => $o->clump]), ...$o->values,
            ], $plan->occasions),
        ];
    }

    private static function vessel(DocumentReader $reader): Vessel
    {
        $shape = $reader->choice('shape', Shape::class);
        $measures = [];
        foreach ($shape->measures() as $name) {
            $measures[$name] = $reader->number($name);
        }

        return $shape->make($measures);
    }

    private static function site(DocumentReader $reader): Site
    {
        $aspect = $reader->choice('aspect', Aspect::class, Aspect::None->value);
        $outdoors = Aspect::Open === $aspect;

        return new Site($reader->number('temperature'), $reader->numberOr('swing', 0.0), $reader->wholeOr('filledOn', 121), $reader->numberOr('latitude', 50.0),
            $aspect, $reader->numberOr('sky', 0.2), $reader->truthOr('lid', false), $reader->truthOr('sealed', false),
            $reader->numberOr('bears', 0.0), $reader->numberOr('above', 0.5), $reader->choice('movement', Movement::class, Movement::Still->value),
            $reader->numberOr('room', 0.0), $reader->numberOr('humidity', $outdoors ? Site::OUTDOOR_HUMIDITY : Site::ROOM_HUMIDITY), $reader->numberOr('carbonDioxide', 0.0), $reader->numberOr('altitude', 0.0), $reader->numberOr('rain', $outdoors ? Site::USUAL_RAIN : 0.0));
    }

    private function feed(DocumentReader $feeding): Feed
    {
        $food = self::known($feeding, 'food', $this->catalogue->foods, 'a food');

        return Feed::of($feeding->number('grams'), $feeding->number('protein'), $food);
    }

    private static function care(DocumentReader $care): Care
    {
        return new Care($care->number('changeShare'), $care->whole('changeEvery'), ...array_map(static fn (string $name): float => $care->numberOr($name, 0.0), ['gas', 'trickle', 'nitrogen', 'phosphorus', 'potassium', 'iron']));
    }

    /**
     * What of a catalogue an optional key names; null where it is absent.
     *
     * @template T
     *
     * @param array<string, T> $kinds
     *
     * @return T|null
     */
    private static function known(DocumentReader $reader, string $key, array $kinds, string $what): mixed
    {
        $id = $reader->textOr($key, '');
        if ('' !== $id && !isset($kinds[$id])) {
            $reader->refuse($key, \sprintf('“%s” is not %s Olvek knows.', mb_substr($id, 0, 60), $what));
        }

        return $kinds[$id] ?? null;
    }

    private function lamp(DocumentReader $light): Lamp
    {
        $kind = self::known($light, 'kind', $this->catalogue->lamps, 'a lamp');

        return new Lamp($light->number('lumens'), $light->number('hours'), $light->number('landing'), $light->numberOr('height', Lamp::USUAL_HEIGHT), new Programme(
            $light->numberOr('on', 10.0), $light->numberOr('pause', 0.0), $light->wholeOr('allDay', 0), $light->numberOr('startShare', 1.0), $light->numberOr('stepShare', 0.0), $light->truthOr('held', true)), $kind, $light->numberOr('watts', 0.0));
    }

    /** @return array<string, mixed> */
    private static function lampData(Lamp $lamp): array
    {
        return [
            'kind' => $lamp->kind?->id, 'watts' => $lamp->watts, 'lumens' => $lamp->lumens, 'hours' => $lamp->hours, 'landing' => $lamp->landing, 'height' => $lamp->height,
            'on' => $lamp->programme->on, 'pause' => $lamp->programme->pause, 'allDay' => $lamp->programme->allDay,
            'startShare' => $lamp->programme->startShare, 'stepShare' => $lamp->programme->stepShare, 'held' => $lamp->programme->held,
        ];
    }

    private static function preparation(DocumentReader $root, DocumentReader $start): Preparation
    {
        $reader = $root->optionalChild('preparation');
        $school = '' === $root->textOr('school', '') ? null : $root->choice('school', School::class);
        $way = $start->choice('way', StartWay::class, StartWay::Undecided->value);

        return null === $reader ? new Preparation(way: $way, school: $school) : new Preparation(
            $reader->choice('treatment', Treatment::class, Treatment::Undecided->value), $reader->choice('filling', Filling::class, Filling::Undecided->value),
            $reader->truthOr('rinsed', false), $reader->truthOr('sieved', false), $way, $school);
    }

    /** @return list<Occasion> */
    private function occasions(DocumentReader $root): array
    {
        $occasions = [];
        foreach ($root->itemsOrNone('events') as $item) {
            $kind = $item->choice('do', OccasionKind::class);
            $values = [];
            foreach ($kind->values() as $name => [$usual]) {
                $values[$name] = \is_int($usual) ? $item->whole($name) : $item->number($name);
            }
            $occasions[] = new Occasion($item->text('id'), $kind, $item->whole('day'), $values, $kind->ofClump() ? $item->text('clump') : null);
        }

        return $occasions;
    }

    private static function water(DocumentReader $reader): SourceWater
    {
        return new SourceWater($reader->number('pH'), $reader->number('kh'), $reader->number('gh'), $reader->number('nitrate'), $reader->numberOr('phosphate', 0.0), $reader->numberOr('sodium', 0.0), $reader->numberOr('calcium', SourceWater::CALCIUM), $reader->numberOr('chloride', SourceWater::CHLORIDE), $reader->numberOr('sulphate', SourceWater::SULPHATE));
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
            $litres = $item->number('litres');
            $place = $item->number('place');
            $row = $item->number('row');
            $fixed = $item->truthOr('fixed', false);
            $soaked = $item->truthOr('soaked', false);
            if (null !== $kind) {
                $pieces[] = new Piece($id, $kind, $litres, $place, $row, $fixed, $soaked);
            }
        }

        return $pieces;
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
            // Gravel or lava may be mixed into soil, so that it cannot pack; soil has no business in a cap.
            if (null === $material || (Role::Cap === $role && $material->role !== $role)) {
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
            $row = $item->numberOr('row', $kind?->zone->row() ?? 0.5);
            $planting = $item->choice('planting', Planting::class, Planting::Right->value);
            $id = $item->text('id');
            $day = $item->wholeOr('day', 0);
            $grown = $item->choice('grown', Grown::class, Grown::Unknown->value);
            if (null !== $kind) {
                $clumps[] = new Clump($id, $kind, $pieces, $place, $row, $planting, $day, $grown);
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

    /** @return array<string, float> */
    public static function waterData(SourceWater $water): array
    {
        return ['pH' => $water->pH, 'kh' => $water->kh, 'gh' => $water->gh, 'nitrate' => $water->nitrate, 'phosphate' => $water->phosphate, 'sodium' => $water->sodium, 'calcium' => $water->calcium, 'chloride' => $water->chloride, 'sulphate' => $water->sulphate];
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
