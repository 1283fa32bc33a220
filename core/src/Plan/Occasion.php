<?php

declare(strict_types=1);

namespace Olvek\Core\Plan;

/** Something that a plan says will happen on a day. */
final readonly class Occasion
{
    /**
     * @param string                   $id     unique among the plan's occasions
     * @param int                      $day    after filling, 0–1095
     * @param array<string, float|int> $values as its kind names them
     * @param string|null              $clump  whose id it concerns
     */
    public function __construct(public string $id, public OccasionKind $kind, public int $day, public array $values, public ?string $clump = null)
    {
    }
}
