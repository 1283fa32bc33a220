<?php

declare(strict_types=1);

namespace Olvek\Core\Keeping\Log;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Basis\Unit\Words;
use Olvek\Core\Nature\Water\Measure;
use Olvek\Core\Planning\Event\Event;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Plan\Clump;
use Olvek\Core\Planning\Plan\Group;

/** Something that was done to a tank on a day. */
final readonly class LoggedEvent
{
    /**
     * @param int         $day    after filling
     * @param float       $amount as its kind counts it
     * @param string|null $of     group of the plan that it concerns
     */
    public function __construct(public int $day, public EventKind $kind, public float $amount = 0.0, public ?string $of = null)
    {
    }

    public function event(): Event
    {
        return $this->kind->logged($this->day, $this->amount, $this->of);
    }

    /**
     * What the logbook says of it.
     *
     * @param Group|null $group that it concerns
     * @param Clump|null $clump likewise
     */
    public static function line(
        EventKind $kind,
        float $amount,
        TestKit $kit,
        ?Group $group = null,
        ?Clump $clump = null,
        UnitSystem $units = UnitSystem::Metric,
    ): string {
        $happens = $kind->happens();
        if (0.0 === $amount && '' !== $happens->none) {
            return $happens->none;
        }
        $number = $kind->amount();

        return \sprintf(
            $happens->done ?? Words::capital($happens->words),
            match (true) {
                'group' === $kind->of() => \sprintf('%d × %s', (int) $amount, $group->kind->common ?? 'animals'),
                // The keeper's own kit may count otherwise.
                EventKind::Dose === $kind => $kit->show(Measure::Ammonia, $amount),
                null !== $number => $number->say($amount, $units),
                default => '',
            },
            $clump->kind->common ?? 'a plant',
        );
    }
}
