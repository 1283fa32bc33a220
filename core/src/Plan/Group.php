<?php

declare(strict_types=1);

namespace Olvek\Core\Plan;

use Olvek\Core\Animal\Kind;
use Olvek\Core\Field\Item;
use Olvek\Core\Field\Number;
use Olvek\Core\Unit\Dimension;

/** Animals of one kind that come together on one day. */
final readonly class Group implements Item
{
    /** Animals of one group that Olvek counts on. */
    public const MOST = 5000;
    /** In one plan. */
    public const MOST_GROUPS = 30;

    /**
     * @param string $id  unique among the plan's groups
     * @param int    $day days after filling
     */
    public function __construct(
        public string $id,
        public Kind $kind,
        #[Number('number', Dimension::Count, 1, self::MOST, decimals: 0)]
        public int $count,
        #[Number('stocking day', Dimension::Count, 0, 1095, 'days after filling on which they come', decimals: 0)]
        public int $day,
    ) {
    }

    public function key(): string
    {
        return $this->id;
    }

    /** g wet. */
    public function biomass(): float
    {
        return $this->count * $this->kind->grams->value;
    }
}
