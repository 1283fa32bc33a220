<?php

declare(strict_types=1);

namespace Olvek\Service\Transfer;

/** A plan as the database keeps it. */
final readonly class StoredPlan
{
    public function __construct(public string $json, public string $name)
    {
    }
}
