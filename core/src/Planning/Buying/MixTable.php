<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Buying;

use Olvek\Core\Nature\Bed\Material;

/** How a layer's mix is made, bucket by bucket. */
final readonly class MixTable
{
    /**
     * @param string                                                                          $layer   its name
     * @param list<array{material: Material, parts: float, litres: float, kilograms: float, inBucket: float}> $rows
     * @param float                                                                           $bucket  litres in a full bucket
     * @param float                                                                           $buckets how many, the last perhaps not full
     */
    public function __construct(public string $layer, public array $rows, public float $bucket, public float $buckets)
    {
    }
}
