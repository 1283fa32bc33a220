<?php

declare(strict_types=1);

namespace Olvek\Core\Basis\Field;

use Olvek\Core\CoreException;

/** A value that cannot be: a box with a length below 0, a reading that is no number. Such an object never comes to exist. */
final class InvalidValue extends \DomainException implements CoreException
{
    /** @param non-empty-list<string> $names of the properties whose values are not possible */
    public function __construct(public readonly string $of, public readonly array $names)
    {
        parent::__construct(\sprintf('%s cannot have this %s.', substr((string) strrchr("\\$of", '\\'), 1), implode(' and ', $names)));
    }

    /**
     * Checks an object's described numbers, at the end of its construction.
     *
     * @throws self
     */
    public static function unlessSound(object $made): void
    {
        $wrong = [];
        foreach (Fields::of($made::class) as $name => $property) {
            $value = $property->told instanceof Number ? $property->of($made) : null;
            if ((\is_int($value) || \is_float($value)) && !$property->told->allows((float) $value)) {
                $wrong[] = $name;
            }
        }
        if ([] !== $wrong) {
            throw new self($made::class, $wrong);
        }
    }
}
