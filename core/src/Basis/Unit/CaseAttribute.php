<?php

declare(strict_types=1);

namespace Olvek\Core\Basis\Unit;

/** What an attribute says at a case of an enum, read once: inner loops ask for it too. */
final class CaseAttribute
{
    /**
     * @template T of object
     *
     * @param class-string<T> $attribute
     *
     * @return T|null null where the case has none
     */
    public static function of(\UnitEnum $case, string $attribute): ?object
    {
        /** @var array<string, array<string, object|null>> $read */
        static $read = [];
        $name = $case::class.'::'.$case->name;
        if (!\array_key_exists($name, $read[$attribute] ?? [])) {
            $attributes = (new \ReflectionEnumUnitCase($case::class, $case->name))->getAttributes($attribute);
            $read[$attribute][$name] = ($attributes[0] ?? null)?->newInstance();
        }
        $found = $read[$attribute][$name];

        return $found instanceof $attribute ? $found : null;
    }
}
