<?php

declare(strict_types=1);

namespace Olvek\Core\Plan;

use Olvek\Core\Animal\Kind;

/** Animals of one kind that come together on one day. */
final readonly class Group
{
    /** Animals of one group that Olvek reckons with. */
    public const MOST = 5000;

    /**
     * @param string $id  unique among the plan's groups
     * @param int    $day days after filling
     */
    public function __construct(
        public string $id,
        public Kind $kind,
        public int $count,
        public int $day,
    ) {
    }

    /** g wet. */
    public function biomass(): float
    {
        return $this->count * $this->kind->grams->value;
    }
}
