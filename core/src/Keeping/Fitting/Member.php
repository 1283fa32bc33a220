<?php

declare(strict_types=1);

namespace Olvek\Core\Keeping\Fitting;

/** One tank of a forecast: what its water holds from day to day, and how far it is from what was read. */
final readonly class Member
{
    /**
     * @param array<string, list<float>> $columns mg N/L by measure and day
     * @param float                      $misfit  sum of squared residuals
     */
    public function __construct(public array $columns, public float $misfit)
    {
    }
}
