<?php

declare(strict_types=1);

namespace Olvek\Core\Basis\Field;

/**
 * What a plan says about one property of a value object: written as an attribute on it, and told nowhere else. Reader, writer, rules,
 * editor, JSON Schema, the formats document and the control on a page are made from it.
 */
abstract readonly class Description
{
    /**
     * @param string      $label on its control, in small letters
     * @param string      $help  what it means, for the schema and the formats document
     * @param string|null $at    key in the document where it is not the property's name; from the document's root where it begins with "/"
     * @param string|null $when  method of the same object that says whether it matters now; its control is left out where not
     * @param bool        $required in documents, although the constructor has a default
     */
    public function __construct(
        public string $label,
        public string $help = '',
        public ?string $at = null,
        public ?string $when = null,
        public bool $required = false,
    ) {
    }

    /**
     * As a JSON Schema type.
     *
     * @param bool $whole of a number: an integer
     *
     * @return array<string, mixed>
     */
    abstract public function schema(bool $whole): array;
}
