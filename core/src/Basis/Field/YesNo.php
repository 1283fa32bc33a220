<?php

declare(strict_types=1);

namespace Olvek\Core\Basis\Field;

/** Something that is so or not; each has its words on the control. */
#[\Attribute(\Attribute::TARGET_PROPERTY)]
final readonly class YesNo extends Description
{
    public function __construct(
        string $label,
        public string $yes,
        public string $no,
        string $help = '',
        ?string $at = null,
        ?string $when = null,
        bool $required = false,
    ) {
        parent::__construct($label, $help, $at, $when, $required);
    }

    public function schema(bool $whole): array
    {
        return ['type' => 'boolean'];
    }
}
