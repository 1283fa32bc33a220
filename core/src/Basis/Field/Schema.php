<?php

declare(strict_types=1);

namespace Olvek\Core\Basis\Field;

/** The JSON Schema of described objects, made from what stands on their properties. */
final class Schema
{
    /**
     * An object with all fields of a class.
     *
     * @param class-string                        $class
     * @param array<string, array<string, mixed>> $before further properties, which stand first
     * @param list<string>                        $required of those
     * @param array<string, array<string, mixed>> $after  further properties, none of them required
     *
     * @return array<string, mixed>
     */
    public static function object(string $class, array $before = [], array $required = [], array $after = []): array
    {
        [$properties, $needed] = self::fields($class);
        $required = [...$required, ...$needed];

        return [
            'type' => 'object',
            'additionalProperties' => false,
            ...[] === $required ? [] : ['required' => $required],
            'properties' => [...$before, ...$properties, ...$after],
        ];
    }

    /**
     * One field.
     *
     * @return array<string, mixed>
     */
    public static function field(Property $property): array
    {
        $told = $property->told;
        $type =
            $told instanceof OneOf ? ['enum' => array_column($property->enum()::cases(), 'value')] : $told->schema($property->isWhole());
        $default = $property->default;

        return [
            ...'' === $told->help ? [] : ['description' => $told->help],
            ...$type,
            ...$property->isRequired() || null === $default
                ? []
                : ['default' => $default instanceof \BackedEnum ? $default->value : $default],
        ];
    }

    /**
     * @param class-string $class
     *
     * @return array{array<string, array<string, mixed>>, list<string>} fields of a class's own part of a document, and which are required
     */
    private static function fields(string $class): array
    {
        $properties = $required = [];
        foreach (Fields::of($class) as $property) {
            if (!$property->isOwn()) {
                continue;
            }
            $properties[$property->key()] = self::field($property);
            if ($property->isRequired()) {
                $required[] = $property->key();
            }
        }
        foreach (Fields::nested($class) as $nested) {
            if ('' === $nested->section->path && !enum_exists($nested->class)) {
                [$inner, $needed] = self::fields($nested->class);
                $properties = [...$properties, ...$inner];
                $required = [...$required, ...$needed];
            }
        }

        return [$properties, $required];
    }
}
