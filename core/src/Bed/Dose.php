<?php

declare(strict_types=1);

namespace Olvek\Core\Bed;

/** So much of an amendment in the whole bed. */
final readonly class Dose
{
    public function __construct(public Amendment $amendment, public float $grams)
    {
    }
}
