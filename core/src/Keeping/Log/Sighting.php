<?php

declare(strict_types=1);

namespace Olvek\Core\Keeping\Log;

/** A sign that somebody saw on a day. */
final readonly class Sighting
{
    /** @param string|null $of clump or group on which it was seen; null for the whole tank */
    public function __construct(public int $day, public Sign $sign, public ?string $of = null)
    {
    }
}
