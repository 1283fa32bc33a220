<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Plan;

use Olvek\Core\Basis\Field\Fields;
use Olvek\Core\Basis\Field\Item;
use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Basis\Field\OneOf;
use Olvek\Core\Basis\Supply\Source;
use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Nature\Animal\AnimalKind;
use Olvek\Core\Nature\Animal\Sexes;
use Olvek\Core\Planning\Event\Dated;

/** Animals of one kind that come together on one day. */
final readonly class Group implements Item
{
    /** Animals of one group that Olvek counts on. */
    public const MOST = Dated::MOST_ANIMALS;
    /** In one plan. */
    public const MOST_GROUPS = 30;

    /**
     * @param string $id  unique among the plan's groups
     * @param int    $day days after filling
     */
    public function __construct(
        public string $id,
        public AnimalKind $kind,
        #[Number('number', Dimension::Count, 1, self::MOST, decimals: 0)]
        public int $count,
        #[Number('stocking day', Dimension::Count, 0, Dated::LAST_DAY, 'days after filling on which they come', decimals: 0)]
        public int $day,
        #[OneOf('sexes', 'of which sex they are')] public Sexes $sexes = Sexes::Mixed,
        #[Number('quarantine before, days', Dimension::Count, 0, 120, 'in a vessel of their own; 0 for none', decimals: 0)]
        public int $quarantine = 0,
        #[OneOf('come from', 'where they come from')] public Source $source = Source::Shop,
    ) {
    }

    public function key(): string
    {
        return $this->id;
    }

    /** The same animals, so many of them, on another day. */
    public function with(int $count, int $day): self
    {
        return Fields::with($this, ['count' => $count, 'day' => $day]);
    }

    /** The same group with as many as there are of it, however many that is. */
    public function counted(int $heads): self
    {
        return new self($this->id, $this->kind, $heads, $this->day, $this->sexes, $this->quarantine, $this->source);
    }

    /** g wet. */
    public function biomass(): float
    {
        return $this->count * $this->kind->grams->value;
    }
}
