<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Plan;

use Olvek\Core\Basis\Field\Fields;
use Olvek\Core\Basis\Field\KindOf;
use Olvek\Core\Basis\Field\Schema;
use Olvek\Core\Nature\Animal\Feed;
use Olvek\Core\Nature\Bed\Bed;
use Olvek\Core\Nature\Bed\BedZone;
use Olvek\Core\Nature\Bed\Dose;
use Olvek\Core\Nature\Bed\Layer;
use Olvek\Core\Nature\Bed\Material;
use Olvek\Core\Nature\Bed\MaterialRole;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Nature\Hardscape\Piece;
use Olvek\Core\Nature\Light\Lamp;
use Olvek\Core\Nature\Vessel\VesselMeasure;
use Olvek\Core\Nature\Vessel\VesselShape;
use Olvek\Core\Nature\Water\SourceWater;
use Olvek\Core\Planning\Event\EventKind;

/**
 * The published JSON Schema of a plan's document (schema/plan.schema.json, written by bin/formats): its fields are those that stand on the
 * plan's classes; the frame around them (lists, ids, kinds) is told here.
 */
final class PlanSchema
{
    private const ID = ['$ref' => '#/$defs/id'];

    /** As the file holds it. */
    public static function json(): string
    {
        return json_encode(self::make(), \JSON_THROW_ON_ERROR | \JSON_PRETTY_PRINT | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES).
            "\n";
    }

    /** @return array<string, mixed> */
    public static function make(): array
    {
        /** @var array<string, mixed> */
        return self::withKinds(self::frame());
    }

    /**
     * A schema in which each kind is one of the catalogue's.
     *
     * @template K of array-key
     *
     * @param array<K, mixed> $schema
     *
     * @return array<K|string, mixed>
     */
    public static function withKinds(array $schema): array
    {
        if (isset($schema[KindOf::TABLE]) && \is_string($schema[KindOf::TABLE])) {
            $only = MaterialRole::tryFrom(\is_string($schema[KindOf::ONLY] ?? null) ? $schema[KindOf::ONLY] : '');
            $ids = [];
            foreach (Catalogue::shipped()->table($schema[KindOf::TABLE]) as $id => $row) {
                // Gravel may lie in a soil, soil in no cap.
                if (MaterialRole::Cap !== $only || ($row instanceof Material && MaterialRole::Cap === $row->role)) {
                    $ids[] = (string) $id;
                }
            }
            $none = \is_array($schema['type'] ?? null) ? [null, ''] : [];

            return [...array_diff_key($schema, [KindOf::TABLE => 0, KindOf::ONLY => 0]), 'enum' => [...$none, ...$ids]];
        }

        return array_map(static fn (mixed $part): mixed => \is_array($part) ? self::withKinds($part) : $part, $schema);
    }

    /** @return array<string, mixed> */
    private static function frame(): array
    {
        return [
            '$schema' => 'https://json-schema.org/draft/2020-12/schema',
            '$id' => 'urn:olvek:schema:plan:'.PlanDocument::VERSION,
            'title' => 'Olvek plan, version '.PlanDocument::VERSION,
            'description' => 'What is to be built: one tank. SI units: lengths in m, temperatures in °C. Rules that bind several values '
                .'together (bed below the water line, water line below the rim) are kept by the reader.',
            'type' => 'object',
            'additionalProperties' => false,
            'required' => [
                'format',
                'version',
                'name',
                'vessel',
                'waterLine',
                'site',
                'bed',
                'light',
                'plants',
                'water',
                'animals',
                'feeding',
                'care',
                'start',
            ],
            'properties' => self::properties(),
            'not' => ['required' => ['method', 'school']],
            '$defs' => [
                'id' => ['type' => 'string', 'pattern' => '^[a-z0-9][a-z0-9-]{0,30}$'],
                'layer' => self::layer('soil'),
                'capLayer' => self::layer('cap'),
                'water' => Schema::object(SourceWater::class),
            ],
        ];
    }

    /** @return array<string, mixed> */
    private static function properties(): array
    {
        $plan = Fields::of(Plan::class);
        $method = ['description' => 'whose recipe was taken last', 'enum' => [null, ...array_column(Method::cases(), 'value')]];

        return [
            'format' => ['const' => PlanDocument::FORMAT],
            'version' => ['const' => PlanDocument::VERSION],
            'name' => ['type' => 'string', 'minLength' => 1, 'maxLength' => Plan::LONGEST_NAME],
            'vessel' => ['description' => 'Measured outside, in m.', 'oneOf' => array_map(self::vessel(...), VesselShape::cases())],
            'waterLine' => ['exclusiveMinimum' => 0, ...array_diff_key(Schema::field($plan['waterLine']), ['minimum' => 0])],
            'site' => Schema::object(Site::class),
            'stand' => Schema::object(Stand::class),
            'equipment' => Schema::object(Equipment::class),
            'bed' => Schema::object(
                Bed::class,
                [
                    'base' => ['description' => 'below the soil', '$ref' => '#/$defs/layer'],
                    'soil' => ['$ref' => '#/$defs/layer'],
                    'leaves' => ['description' => 'between soil and cap', '$ref' => '#/$defs/layer'],
                    'cap' => ['$ref' => '#/$defs/capLayer'],
                    'dressing' => ['description' => 'on the cap', '$ref' => '#/$defs/capLayer'],
                ],
                after: [
                    'doses' => [
                        'description' => 'what is mixed into the soil or laid under the cap',
                        'type' => 'array',
                        'items' => [
                            'type' => 'object',
                            'additionalProperties' => false,
                            'required' => ['kind', 'grams'],
                            'properties' => [
                                'kind' => self::kind('amendments'),
                                'grams' => Schema::field(Fields::of(Dose::class)['grams']),
                            ],
                        ],
                    ],
                ],
            ),
            'light' => Schema::object(Lamp::class),
            'zones' => [
                'description' => 'parts of the floor where the bed is another',
                'type' => 'array',
                'maxItems' => BedZone::MOST,
                'items' => Schema::object(BedZone::class, ['id' => self::ID], ['id']),
            ],
            'hardscape' => self::items(Piece::class, Piece::MOST, 'hardscape', 'stones and wood'),
            'plants' => self::items(Clump::class, Clump::MOST_CLUMPS, 'plants'),
            'water' => ['description' => 'of filling, and of changes', '$ref' => '#/$defs/water'],
            'topUp' => [
                'description' => 'what evaporation is made up with; null or absent: the same water',
                'oneOf' => [['type' => 'null'], ['$ref' => '#/$defs/water']],
            ],
            'animals' => self::items(Group::class, Group::MOST_GROUPS, 'animals'),
            'feeding' => Schema::object(Feed::class, ['fromDay' => Schema::field($plan['feedFrom'])], ['fromDay']),
            'care' => Schema::object(Care::class),
            'start' => [
                'type' => 'object',
                'additionalProperties' => false,
                'required' => ['inoculum'],
                'properties' => [
                    'inoculum' => Schema::field($plan['inoculum']),
                    'way' => Schema::field(Fields::of(Preparation::class)['way']),
                ],
            ],
            'method' => $method,
            'school' => ['deprecated' => true, ...$method, 'description' => 'former name of method'],
            'preparation' => Schema::object(Preparation::class),
            'events' => [
                'description' => 'planned events, in the words of the event document',
                'type' => 'array',
                'maxItems' => PlannedEvent::MOST,
                'items' => ['oneOf' => array_map(self::event(...), EventKind::plannable())],
            ],
        ];
    }

    /** @return array<string, mixed> */
    public static function vessel(VesselShape $shape): array
    {
        $measures = array_map(Schema::field(...), array_intersect_key(Fields::of(VesselMeasure::class), array_flip($shape->measures())));

        return [
            'type' => 'object',
            'additionalProperties' => false,
            'required' => ['shape', ...$shape->measures()],
            'properties' => ['shape' => ['const' => $shape->value], ...$measures],
        ];
    }

    /**
     * @param class-string $class
     *
     * @return array<string, mixed>
     */
    private static function items(string $class, int $most, string $table, string $what = ''): array
    {
        return [
            ...'' === $what ? [] : ['description' => $what],
            'type' => 'array',
            'maxItems' => $most,
            'items' => Schema::object($class, ['id' => self::ID, 'kind' => self::kind($table)], ['id', 'kind']),
        ];
    }

    /** @return array<string, mixed> */
    private static function event(EventKind $kind): array
    {
        $of = $kind->of();
        $frame = ['id' => self::ID, 'do' => ['const' => $kind->value], 'day' => Schema::field(Fields::of(PlannedEvent::class)['day'])];

        return Schema::object($kind->type(), null === $of ? $frame : [...$frame, $of => self::ID], [
            'id',
            'do',
            'day',
            ...null === $of ? [] : [$of],
        ]);
    }

    /** @return array<string, mixed> */
    private static function layer(string $role): array
    {
        $layer = Schema::object(
            Layer::class,
            [
                'mix' => [
                    'type' => 'array',
                    'minItems' => 1,
                    'items' => [
                        'type' => 'object',
                        'additionalProperties' => false,
                        'required' => ['material', 'parts'],
                        'properties' => [
                            'material' => self::kind('materials', 'bed materials', $role),
                            'parts' => ['description' => 'by volume', 'type' => 'number', 'exclusiveMinimum' => 0, 'maximum' => 1000],
                        ],
                    ],
                ],
            ],
            ['mix'],
        );

        return ['description' => 'null or absent: no such layer', ...$layer, 'type' => ['object', 'null']];
    }

    /** @return array<string, mixed> */
    public static function kind(string $table, string $words = '', ?string $only = null): array
    {
        return [
            'description' => 'id in the catalogue of '.('' === $words ? $table : $words),
            'type' => 'string',
            KindOf::TABLE => $table,
            KindOf::ONLY => $only,
        ];
    }
}
