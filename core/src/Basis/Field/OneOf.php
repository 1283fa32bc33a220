<?php

declare(strict_types=1);

namespace Olvek\Core\Basis\Field;

/** One of a few words: the cases of the property's enum, which says of each what it is called (Worded). */
#[\Attribute(\Attribute::TARGET_PROPERTY)]
final readonly class OneOf extends Description
{
    public function schema(bool $whole): array
    {
        return [];
    }
}
