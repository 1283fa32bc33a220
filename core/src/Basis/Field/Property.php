<?php

declare(strict_types=1);

namespace Olvek\Core\Basis\Field;

/** One described property of a class: its description, its type and its default. */
final readonly class Property
{
    /**
     * @param string                    $name    of the property; of an enum's case its value
     * @param string                    $type    "float", "int", "bool" or a class
     * @param mixed                     $default of the constructor, where it is optional
     * @param \ReflectionProperty|null $property null for an enum's case
     */
    public function __construct(
        public string $name,
        public Description $told,
        public string $type,
        public bool $optional,
        public mixed $default,
        private ?\ReflectionProperty $property,
    ) {
    }

    /** Its key in a document. */
    public function key(): string
    {
        return $this->told->at ?? $this->name;
    }

    /** Whether it stands in its object's own part of a document. */
    public function isOwn(): bool
    {
        return '' !== $this->key() && !str_starts_with($this->key(), '/') && !str_contains($this->key(), '*');
    }

    public function isWhole(): bool
    {
        return 'int' === $this->type;
    }

    /** Whether documents must have it. */
    public function isRequired(): bool
    {
        return !$this->optional || $this->told->required;
    }

    public function of(object $holder): mixed
    {
        return $this->property?->getValue($holder);
    }

    /** Whether it matters now, so that it wants a control. */
    public function matters(object $holder): bool
    {
        $when = $this->told->when;

        return null === $when || true === (new \ReflectionMethod($holder, $when))->invoke($holder);
    }

    /** @return class-string<Worded> of a word that is chosen */
    public function enum(): string
    {
        if (!is_subclass_of($this->type, Worded::class)) {
            throw new \LogicException("$this->name is not chosen from words");
        }

        return $this->type;
    }
}
