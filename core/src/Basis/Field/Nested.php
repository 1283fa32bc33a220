<?php

declare(strict_types=1);

namespace Olvek\Core\Basis\Field;

/** A property that is described itself: where its fields stand, and of what class it is. */
final readonly class Nested
{
    /** @param class-string $class of the object, or of each in the list */
    public function __construct(public Section $section, public string $class, private \ReflectionProperty $property)
    {
    }

    public function isList(): bool
    {
        return str_ends_with($this->section->path, '.*');
    }

    /** Its path under another, the key of a list's item still open. */
    public function under(string $path): string
    {
        return str_starts_with($this->section->path, '/')
            ? substr($this->section->path, 1)
            : implode('.', array_filter([$path, $this->section->path], static fn (string $part): bool => '' !== $part));
    }

    /** @return list<object> none where the property's class is an enum, whose fields are no object's */
    public function objects(object $holder): array
    {
        if (enum_exists($this->class)) {
            return [];
        }
        $value = $this->property->getValue($holder);
        if (!$this->isList()) {
            return \is_object($value) ? [$value] : [];
        }

        return array_values(
            array_filter(is_iterable($value) ? [...$value] : [], static fn (mixed $item): bool => $item instanceof Item),
        );
    }

    /** @return array<string, object> by path: one, none, or a list's by their keys */
    public function of(object $holder, string $path): array
    {
        $under = $this->under($path);
        $found = [];
        foreach ($this->objects($holder) as $object) {
            $found[$object instanceof Item && $this->isList() ? substr($under, 0, -1).$object->key() : $under] = $object;
        }

        return $found;
    }
}
