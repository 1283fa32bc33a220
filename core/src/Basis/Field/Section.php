<?php

declare(strict_types=1);

namespace Olvek\Core\Basis\Field;

/**
 * A property that is itself described: one object, or a list of them. Its fields stand in the document under its path, those of a list
 * under each item's key.
 */
#[\Attribute(\Attribute::TARGET_PROPERTY)]
final readonly class Section
{
    /**
     * @param string            $path  in the document, under that of the object that holds it; "" for the same; from the root where it
     *                                 begins with "/"; lists end in ".*"
     * @param class-string|null $of    class of a list's items, or enum whose cases are the fields; null for the property's own class
     * @param string            $label before the labels of its fields
     */
    public function __construct(public string $path, public ?string $of = null, public string $label = '')
    {
    }
}
