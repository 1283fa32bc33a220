<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Solve\Compose;

use Olvek\Core\Basis\Field\Schema;
use Olvek\Core\Nature\Light\Lamp;
use Olvek\Core\Nature\Vessel\VesselShape;
use Olvek\Core\Nature\Water\SourceWater;
use Olvek\Core\Planning\Plan\Clump;
use Olvek\Core\Planning\Plan\Group;
use Olvek\Core\Planning\Plan\Method;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\PlanSchema;
use Olvek\Core\Planning\Plan\Site;
use Olvek\Core\Planning\Plan\Stand;

/** The published JSON Schema of a wish (schema/wish.schema.json, written by bin/formats). */
final class WishSchema
{
    /** As the file holds it. */
    public static function json(): string
    {
        return json_encode(self::make(), \JSON_THROW_ON_ERROR | \JSON_PRETTY_PRINT | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES).
            "\n";
    }

    /** @return array<string, mixed> */
    public static function make(): array
    {
        $kind = PlanSchema::kind('plants');
        $water = self::optional(SourceWater::class);
        \assert(\is_array($water['properties']));

        return PlanSchema::withKinds([
            '$schema' => 'https://json-schema.org/draft/2020-12/schema',
            '$id' => 'urn:olvek:schema:wish:'.WishDocument::VERSION,
            'title' => 'Olvek wish, version '.WishDocument::VERSION,
            'description' => 'What a keeper has and dreams of, for olvek:compose. SI units, as in a plan; what is left out is the usual '
                .'middle.',
            'type' => 'object',
            'additionalProperties' => false,
            'required' => ['format', 'version', 'vessel'],
            'properties' => [
                'format' => ['const' => WishDocument::FORMAT],
                'version' => ['const' => WishDocument::VERSION],
                'name' => ['type' => 'string', 'minLength' => 1, 'maxLength' => Plan::LONGEST_NAME],
                'vessel' => [
                    'description' => 'Measured outside, in m.',
                    'oneOf' => array_map(PlanSchema::vessel(...), VesselShape::cases()),
                ],
                'waterLine' => ['description' => 'm above the inside of the bottom', 'type' => 'number', 'exclusiveMinimum' => 0],
                'hasVessel' => ['description' => 'it is there already, and costs nothing', 'type' => 'boolean', 'default' => false],
                'site' => self::optional(Site::class),
                'stand' => self::optional(Stand::class),
                'water' => [
                    ...$water,
                    'properties' => [
                        'kind' => [
                            ...PlanSchema::kind('waters'),
                            'description' => 'id in the catalogue of waters; numbers beside it count instead of its own',
                        ],
                        ...$water['properties'],
                    ],
                ],
                'light' => [
                    'description' => 'none, suggest, or the keeper’s own lamp',
                    'oneOf' => [['enum' => [LampWish::None->value, LampWish::Suggest->value]], self::optional(Lamp::class)],
                ],
                'animals' => self::kinds(
                    ['kind' => PlanSchema::kind('animals'), 'count' => ['type' => 'integer', 'minimum' => 1, 'maximum' => Group::MOST]],
                    ['kind'],
                ),
                'cleaners' => ['description' => 'snails and shrimp may be added', 'type' => 'boolean', 'default' => true],
                'taste' => ['description' => 'whose plan comes first', 'enum' => [null, ...array_column(Taste::cases(), 'value')]],
                'plants' => [
                    'type' => 'object',
                    'additionalProperties' => false,
                    'properties' => [
                        'wanted' => self::kinds(['kind' => $kind], ['kind']),
                        'unwanted' => self::kinds(['kind' => $kind], ['kind']),
                        'onHand' => self::kinds(
                            ['kind' => $kind, 'pieces' => ['type' => 'integer', 'minimum' => 1, 'maximum' => Clump::MOST_PIECES]],
                            ['kind', 'pieces'],
                        ),
                    ],
                ],
                'method' => ['description' => 'null: whatever suits', 'enum' => [null, ...array_column(Method::cases(), 'value')]],
            ],
        ]);
    }

    /**
     * @param class-string $class
     *
     * @return array<string, mixed> none of its fields required
     */
    private static function optional(string $class): array
    {
        return array_diff_key(Schema::object($class), ['required' => 0]);
    }

    /**
     * @param array<string, array<string, mixed>> $properties
     * @param list<string>                        $required
     *
     * @return array<string, mixed>
     */
    private static function kinds(array $properties, array $required): array
    {
        return [
            'type' => 'array',
            'maxItems' => Wish::MOST_KINDS,
            'items' => ['type' => 'object', 'additionalProperties' => false, 'required' => $required, 'properties' => $properties],
        ];
    }
}
