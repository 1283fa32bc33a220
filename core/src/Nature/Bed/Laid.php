<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Bed;

/** So much of a mix in one layer of the bed, or in one zone's. */
final readonly class Laid
{
    /**
     * @param string $layer  "base", "soil", "leaves", "cap", "dressing", "pots", or a zone's id with ".soil" or ".cap"
     * @param MaterialRole   $role   as what it lies there: soil rots and feeds, and settles; cap covers, and is rinsed
     * @param float  $litres as laid
     */
    public function __construct(public string $layer, public MaterialRole $role, public Mix $mix, public float $litres)
    {
    }
}
