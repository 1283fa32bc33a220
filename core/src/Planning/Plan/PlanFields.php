<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Plan;

use Olvek\Core\Basis\Field\Fields;
use Olvek\Core\Basis\Field\KindOf;
use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Basis\Field\OneOf;
use Olvek\Core\Basis\Field\Property;
use Olvek\Core\Basis\Field\YesNo;
use Olvek\Core\Nature\Bed\Bed;
use Olvek\Core\Planning\Event\EventKind;

/**
 * All that a plan says in fields, by its place in the document: found on the properties of the plan's class and of what it is made of.
 * An item of a list stands as "*" in a place: "plants.*.pieces".
 */
final class PlanFields
{
    /** @var array<string, array{Property, string}> property and the label of its section, by place */
    private array $places = [];

    /** @param class-string $class */
    private function __construct(private readonly string $class)
    {
        $this->collect($class, '', '');
    }

    /** @param class-string $class of a plan */
    public static function of(string $class = Plan::class): self
    {
        /** @var array<class-string, self> $known */
        static $known = [];

        return $known[$class] ??= new self($class);
    }

    /** @return array<string, Property> by place, an item of a list as "*" */
    public function properties(): array
    {
        return array_map(static fn (array $place): Property => $place[0], $this->places);
    }

    /** The number at a place of a plan, or null where the place names none. */
    public function number(string $place): ?Field
    {
        [$property, $section] = $this->places[self::pattern($place)] ?? [null, ''];
        if ($property?->told instanceof Number) {
            return new Field($place, trim($section.' '.$property->told->label), $property->told, $property->isWhole());
        }

        return self::someEvent($place);
    }

    /** The choice at a place, or null where the place names none. */
    public function choice(string $place): ?Choice
    {
        $property = $this->places[self::pattern($place)][0] ?? null;

        return match (true) {
            $property?->told instanceof YesNo => Choice::truth($property->told),
            $property?->told instanceof OneOf => Choice::word($property->told, $property->enum()),
            default => null,
        };
    }

    /**
     * What a list of a plan is made of.
     *
     * @return class-string|null null where its items are described otherwise
     */
    public static function item(string $list): ?string
    {
        foreach ([Plan::class, Bed::class] as $class) {
            foreach (Fields::nested($class) as $nested) {
                if ($nested->isList() && "$list.*" === $nested->under('')) {
                    return $nested->class;
                }
            }
        }

        return null;
    }

    /** The choice of a kind at a place, or null where the place names none. */
    public function kindOf(string $place): ?KindOf
    {
        $told = ($this->places[self::pattern($place)][0] ?? null)?->told;

        return $told instanceof KindOf ? $told : null;
    }

    /**
     * The places of one object's own fields that matter now, in the order in which they are described.
     *
     * @return array<string, Property> by place
     */
    public static function places(object $holder, string $path): array
    {
        $places = [];
        foreach (self::own($holder) as $property) {
            if ($property->matters($holder)) {
                $places["$path.".$property->key()] = $property;
            }
        }
        foreach (Fields::nested($holder::class) as $nested) {
            foreach ('' === $nested->section->path ? $nested->of($holder, $path) : [] as $inner) {
                $places = [...$places, ...self::places($inner, $path)];
            }
        }

        return $places;
    }

    /** @return list<Property> that stand in the object's own part of a document */
    public static function own(object $holder): array
    {
        return array_values(array_filter(Fields::of($holder::class), static fn (Property $p): bool => $p->isOwn()));
    }

    /**
     * Whether every number that an object holds, with those of all that is nested in it, is within its range. What was found so once is not
     * looked at again: plans share most of their parts with the plans they were made from, and parts never change.
     */
    public static function areInRange(object $holder): bool
    {
        /** @var \WeakMap<object, true> $sound */
        static $sound = new \WeakMap();
        if (isset($sound[$holder])) {
            return true;
        }
        foreach (self::numbersOf($holder::class) as $property) {
            $value = $property->of($holder);
            if ((\is_float($value) || \is_int($value)) && $property->told instanceof Number && !$property->told->allows((float) $value)) {
                return false;
            }
        }
        foreach (Fields::nested($holder::class) as $nested) {
            foreach ($nested->objects($holder) as $inner) {
                if (!self::areInRange($inner)) {
                    return false;
                }
            }
        }
        $sound[$holder] = true;

        return true;
    }

    /**
     * @param class-string $class
     *
     * @return list<Property> described as numbers
     */
    private static function numbersOf(string $class): array
    {
        /** @var array<class-string, list<Property>> $known */
        static $known = [];

        return $known[$class] ??= array_values(
            array_filter(Fields::of($class), static fn (Property $p): bool => $p->told instanceof Number),
        );
    }

    /**
     * Every number that an object holds, with those of all that is nested in it.
     *
     * @return iterable<array{string, Field, float}> place, field, value
     */
    public function numbers(object $holder, string $path = ''): iterable
    {
        foreach (Fields::of($holder::class) as $property) {
            $value = $property->of($holder);
            if ($property->told instanceof Number && (\is_float($value) || \is_int($value))) {
                $place = self::join($path, $property->key());
                $field = $this->number($place);
                if (null !== $field) {
                    yield [$place, $field, (float) $value];
                }
            }
        }
        foreach (Fields::nested($holder::class) as $nested) {
            foreach ($nested->of($holder, $path) as $under => $inner) {
                yield from $this->numbers($inner, $under);
            }
        }
    }

    /** A value of an event of a kind, or its day. */
    public static function event(string $place, EventKind $kind): ?Field
    {
        $name = explode('.', $place)[2] ?? '';
        if ('day' === $name) {
            $property = Fields::of(PlannedEvent::class)['day'];
        } else {
            $property = Fields::of($kind->type())[$name] ?? null;
        }

        return $property?->told instanceof Number ? new Field($place, $property->told->label, $property->told, $property->isWhole()) : null;
    }

    /** Whether a place could be a value of some event. */
    private static function someEvent(string $place): ?Field
    {
        foreach (1 === preg_match('/^events\.[a-z0-9-]{1,31}\.[a-zA-Z]+$/D', $place) ? EventKind::plannable() : [] as $kind) {
            $field = self::event($place, $kind);
            if (null !== $field) {
                return $field;
            }
        }

        return null;
    }

    /** @param class-string $class */
    private function collect(string $class, string $path, string $label): void
    {
        foreach (Fields::of($class) as $property) {
            $this->places[self::join($path, $property->key())] = [$property, $label];
        }
        foreach (Fields::nested($class) as $nested) {
            $this->collect($nested->class, $nested->under($path), '' === $nested->section->label ? $label : $nested->section->label);
        }
    }

    /** Where a key stands under a path. */
    public static function join(string $path, string $key): string
    {
        return match (true) {
            str_starts_with($key, '/') => substr($key, 1),
            '' === $path => $key,
            '' === $key => $path,
            default => "$path.$key",
        };
    }

    private static function pattern(string $place): string
    {
        return (string) preg_replace(
            ['/^(plants|animals|hardscape|zones)\.[a-z0-9-]{1,31}(?=\.)/', '/(?<=\.parts\.|\.doses\.)[a-z0-9-]{1,60}$/D'],
            ['$1.*', '*'],
            $place,
        );
    }
}
