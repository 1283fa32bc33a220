<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Change;

use Olvek\Core\Planning\Plan\Plan;

/** A plan after a keeper's edit, and the edit in words. */
final readonly class Edited
{
    /** @param list<string> $words what changed, a phrase each; empty when nothing did */
    public function __construct(public Plan $plan, public array $words)
    {
    }
}
