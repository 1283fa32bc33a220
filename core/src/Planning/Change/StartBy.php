<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Change;

use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Plan\StartWay;

/** Another way of starting, which brings its bacteria; a dosed one its dose, which no other has. */
final readonly class StartBy implements Change
{
    public function __construct(private StartWay $way)
    {
    }

    public function place(): string
    {
        return 'start.way';
    }

    public function typed(): string
    {
        return $this->way->value;
    }

    public function make(Draft $draft): ?string
    {
        if (!$draft->put(['start', 'way'], $this->way->value)) {
            return null;
        }
        if (null !== $this->way->inoculum()) {
            $draft->put(['start', 'inoculum'], $this->way->inoculum()->value);
        }
        $draft->put(
            ['events'],
            array_values(array_filter($draft->items('events'), static fn (array $e): bool => EventKind::Dose->value !== $e['do'])),
        );
        if (StartWay::Dosing === $this->way) {
            $draft->append('events', [
                'id' => $draft->freeId('events'),
                'do' => EventKind::Dose->value,
                'day' => StartWay::DOSED_ON,
                'milligramsPerLitre' => StartWay::DOSE,
            ]);
        }

        return 'start '.$this->way->words();
    }
}
