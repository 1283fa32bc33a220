<?php

declare(strict_types=1);

namespace Olvek\Core\Log;

/** Something that was done to a tank on a day. */
final readonly class Deed
{
    /**
     * @param int         $day    after filling
     * @param float       $amount as its kind counts it
     * @param string|null $of     group of the plan that it concerns
     */
    public function __construct(public int $day, public DeedKind $kind, public float $amount = 0.0, public ?string $of = null)
    {
    }
}
