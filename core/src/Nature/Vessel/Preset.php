<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Vessel;

/** A vessel as it is usually found, with its usual water line. */
final readonly class Preset
{
    /**
     * @param float $waterLine m above the inside of the bottom
     * @param bool  $framed    whether it is sold with a frame around its rim (C: sizes by the inch are)
     */
    public function __construct(
        public string $id,
        public string $name,
        public Vessel $vessel,
        public float $waterLine,
        public bool $framed,
        public string $remarks,
    ) {
    }

    /** Whether it is a size that is sold by the inch. */
    public function isByTheInch(): bool
    {
        return str_starts_with($this->id, 'us-');
    }
}
