<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Plan;

use Olvek\Core\Basis\Field\Item;
use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Planning\Event\Event;
use Olvek\Core\Planning\Event\EventKind;

/** Something that a plan says will happen on a day. */
final readonly class PlannedEvent implements Item
{
    /** In one plan. */
    public const MOST = 60;

    /**
     * @param string                   $id     unique among the plan's events
     * @param int                      $day    after filling, 0–1095
     * @param array<string, float|int> $values as its kind names them
     * @param string|null              $of     id of the clump or group that it concerns
     */
    public function __construct(
        public string $id,
        public EventKind $kind,
        #[Number('day', Dimension::Count, 0, Plan::LAST_DAY, 'after filling', decimals: 0)]
        public int $day,
        public array $values,
        public ?string $of = null,
    ) {
    }

    public function key(): string
    {
        return $this->id;
    }

    public function event(): Event
    {
        $of = $this->kind->of();

        return $this->kind->make(['day' => $this->day, ...(null === $of ? [] : [$of => $this->of]), ...$this->values]);
    }
}
