<?php

declare(strict_types=1);

namespace Olvek\Core\Basis\Field;

/** Reads the descriptions that stand on a class's properties, once. */
final class Fields
{
    /**
     * @param class-string $class
     *
     * @return array<string, Property> described properties by name, as declared
     */
    public static function of(string $class): array
    {
        /** @var array<class-string, array<string, Property>> $read */
        static $read = [];

        return $read[$class] ??= enum_exists($class) ? self::cases($class) : self::properties($class);
    }

    /**
     * @param class-string $class
     *
     * @return array<string, Nested> properties that are described themselves, by name
     */
    public static function nested(string $class): array
    {
        /** @var array<class-string, array<string, Nested>> $read */
        static $read = [];
        if (isset($read[$class])) {
            return $read[$class];
        }
        $nested = [];
        foreach ((new \ReflectionClass($class))->getProperties() as $property) {
            foreach ($property->getAttributes(Section::class) as $attribute) {
                $section = $attribute->newInstance();
                $nested[$property->getName()] = new Nested($section, $section->of ?? self::typed($property), $property);
            }
        }

        return $read[$class] = $nested;
    }

    /**
     * @template T of object
     *
     * @param class-string<T>      $class
     * @param array<string, mixed> $values by name of the constructor's parameters
     *
     * @return T
     */
    public static function make(string $class, array $values): object
    {
        return (new \ReflectionClass($class))->newInstance(...$values);
    }

    /**
     * The same object but for some properties.
     *
     * @template T of object
     *
     * @param T                    $object whose constructor promotes all of its properties
     * @param array<string, mixed> $values by name
     *
     * @return T
     */
    public static function with(object $object, array $values): object
    {
        $all = [];
        foreach ((new \ReflectionClass($object))->getProperties() as $property) {
            $all[$property->getName()] = $property->getValue($object);
        }

        return self::make($object::class, [...$all, ...$values]);
    }

    /**
     * @param class-string $class
     *
     * @return array<string, Property>
     */
    private static function properties(string $class): array
    {
        $reflection = new \ReflectionClass($class);
        $parameters = [];
        foreach ($reflection->getConstructor()?->getParameters() ?? [] as $parameter) {
            $parameters[$parameter->getName()] = $parameter;
        }
        $read = [];
        foreach ($reflection->getProperties() as $property) {
            $told = $property->getAttributes(Description::class, \ReflectionAttribute::IS_INSTANCEOF)[0] ?? null;
            if (null === $told) {
                continue;
            }
            $parameter = $parameters[$property->getName()] ?? null;
            $optional = true === $parameter?->isDefaultValueAvailable();
            $type = $property->getType();
            $read[$property->getName()] = new Property(
                $property->getName(),
                $told->newInstance(),
                $type instanceof \ReflectionNamedType ? $type->getName() : 'mixed',
                $optional,
                $optional ? $parameter->getDefaultValue() : null,
                $property,
            );
        }

        return $read;
    }

    /**
     * @param class-string<\UnitEnum> $enum
     *
     * @return array<string, Property>
     */
    private static function cases(string $enum): array
    {
        $read = [];
        foreach ((new \ReflectionEnum($enum))->getCases() as $case) {
            $told = $case->getAttributes(Description::class, \ReflectionAttribute::IS_INSTANCEOF)[0] ?? null;
            $value = $case->getValue();
            if (null !== $told && $value instanceof \BackedEnum) {
                $read[(string) $value->value] = new Property((string) $value->value, $told->newInstance(), 'float', false, null, null);
            }
        }

        return $read;
    }

    /** @return class-string */
    private static function typed(\ReflectionProperty $property): string
    {
        $type = $property->getType();
        if (!($type instanceof \ReflectionNamedType) || !class_exists($type->getName())) {
            throw new \LogicException('Say of what '.$property->class.'::$'.$property->getName().' is made.');
        }

        return $type->getName();
    }
}
