<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Vessel;

/** A vessel as it is usually found, with its usual water line. */
final readonly class Preset
{
    /** @param float $waterLine m above the inside of the bottom */
    public function __construct(
        public string $id,
        public string $name,
        public Vessel $vessel,
        public float $waterLine,
        public string $remarks,
    ) {
    }

    /** Whether it is a size that is sold by the inch. */
    public function isByTheInch(): bool
    {
        return str_starts_with($this->id, 'us-');
    }
}
