<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Plan;

use Olvek\Core\Basis\Field\Fields;
use Olvek\Core\Basis\Field\InvalidValue;
use Olvek\Core\Basis\Field\KindOf;
use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Basis\Field\OneOf;
use Olvek\Core\Basis\Field\Property;
use Olvek\Core\Basis\Field\YesNo;
use Olvek\Core\Nature\Catalogue\Catalogue;

/**
 * Reads one described object from its part of a document, and writes it there, by the descriptions on its class.
 *
 * @internal
 */
final readonly class SectionReader
{
    public function __construct(private Catalogue $catalogue)
    {
    }

    /**
     * @template T of object
     *
     * @param class-string<T>      $class
     * @param array<string, mixed> $given    what is not described, or read elsewhere, by property
     * @param array<string, mixed> $defaults in place of the constructor's, by property
     *
     * @return T
     */
    public function read(string $class, DocumentReader $reader, array $given = [], array $defaults = []): object
    {
        $values = $given;
        foreach (Fields::of($class) as $name => $property) {
            if (!\array_key_exists($name, $values)) {
                $values[$name] = $this->value(
                    $property,
                    $reader,
                    \array_key_exists($name, $defaults),
                    $defaults[$name] ?? $property->default,
                );
            }
        }
        foreach (Fields::nested($class) as $name => $nested) {
            if (!\array_key_exists($name, $values)) {
                $values[$name] = $this->read(
                    $nested->class,
                    '' === $nested->section->path ? $reader : $reader->child($nested->section->path),
                );
            }
        }

        try {
            return Fields::make($class, $values);
        } catch (InvalidValue $wrong) {
            return $this->sound($class, $reader, $values, $wrong);
        }
    }

    /**
     * Notes which values cannot be, and goes on with such as can, so that the rest of the document is read too: it is refused anyway.
     *
     * @template T of object
     *
     * @param class-string<T>      $class
     * @param array<string, mixed> $values
     *
     * @return T
     */
    private function sound(string $class, DocumentReader $reader, array $values, InvalidValue $wrong): object
    {
        $fields = Fields::of($class);
        foreach ($wrong->names as $name) {
            $property = $fields[$name] ?? null;
            $value = $values[$name] ?? null;
            if (!$property?->told instanceof Number || (!\is_int($value) && !\is_float($value))) {
                throw $wrong;
            }
            $reader->outOfRange($property->key(), (float) $value);
            $values[$name] = $property->isWhole() ? (int) $property->told->from : $property->told->from;
        }

        return Fields::make($class, $values);
    }

    /** @return array<string, mixed> by key */
    public static function write(object $object): array
    {
        $data = [];
        foreach (PlanFields::own($object) as $property) {
            $value = $property->of($object);
            $data[$property->key()] = match (true) {
                $value instanceof \BackedEnum => $value->value,
                \is_object($value) => $value->id ?? null,
                default => $value,
            };
        }
        foreach (Fields::nested($object::class) as $nested) {
            foreach ('' === $nested->section->path ? $nested->of($object, '') : [] as $inner) {
                $data = [...$data, ...self::write($inner)];
            }
        }

        return $data;
    }

    /**
     * What an object has where nothing is said, as it is written.
     *
     * @param class-string $class
     *
     * @return array<string, mixed> by key
     */
    public static function defaults(string $class): array
    {
        $data = [];
        foreach (Fields::of($class) as $property) {
            if ($property->isOwn() && $property->optional) {
                $data[$property->key()] = $property->default instanceof \BackedEnum ? $property->default->value : $property->default;
            }
        }

        return $data;
    }

    private function value(Property $property, DocumentReader $reader, bool $optional, mixed $default): mixed
    {
        $key = $property->key();
        $absent = ($optional || !$property->isRequired()) && $reader->lacks($key);
        if ($property->told instanceof KindOf) {
            return $this->kind($property->told, $reader, $key);
        }
        if ($absent) {
            return $default;
        }

        return match (true) {
            $property->told instanceof YesNo => $reader->truth($key),
            $property->told instanceof OneOf => $reader->choice($key, $property->enum()),
            $property->isWhole() => $reader->whole($key),
            default => $reader->number($key),
        };
    }

    /** What of a table an optional key names; null where it is absent. */
    private function kind(KindOf $told, DocumentReader $reader, string $key): ?object
    {
        $id = $reader->textOr($key, '');
        $kind = $this->catalogue->table($told->table)[$id] ?? null;
        if ('' !== $id && null === $kind) {
            $reader->refuse($key, \sprintf('“%s” is not %s Olvek knows.', mb_substr($id, 0, 60), $told->what));
        }

        return $kind;
    }
}
