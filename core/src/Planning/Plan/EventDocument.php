<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Plan;

use Olvek\Core\Basis\Field\Fields;
use Olvek\Core\Basis\Field\InvalidValue;
use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Planning\Event\Event;
use Olvek\Core\Planning\Event\EventKind;

/**
 * Events from their published form: {"events": [{"do": "dose", "day": 28, "milligramsPerLitre": 2}, …]}.
 * Clumps and groups are named by their ids in the plan.
 */
final readonly class EventDocument
{
    public function __construct(private Plan $plan)
    {
    }

    /**
     * @return list<Event>
     *
     * @throws InvalidPlan with the place of every fault
     */
    public function fromJson(string $json): array
    {
        try {
            $data = json_decode($json, true, 16, \JSON_THROW_ON_ERROR);
        } catch (\JsonException $broken) {
            throw new InvalidPlan([new Problem('', 'This is not JSON: '.$broken->getMessage().'.')]);
        }
        $root = DocumentReader::root($data);
        $events = [];
        foreach ($root->items('events') as $item) {
            $events[] = $this->event($item);
        }
        $root->finish();

        return array_values(array_filter($events));
    }

    /** @return list<EventKind> that a document may hold: what somebody looked at is none of them */
    public static function kinds(): array
    {
        return array_values(array_filter(EventKind::cases(), static fn (EventKind $k): bool => EventKind::AlgaeSeen !== $k));
    }

    private function event(DocumentReader $item): ?Event
    {
        $kind = EventKind::named($item->text('do'));
        if (null === $kind || !\in_array($kind, self::kinds(), true)) {
            $item->refuse('do', 'Name one of: '.implode(', ', array_column(self::kinds(), 'value')).'.');

            return null;
        }
        $values = $kind->isDated() ? ['day' => self::within($item, 'day', 0, Plan::LAST_DAY, $item->whole('day'))] : [];
        $of = $kind->of();
        if (null !== $of) {
            $values[$of] = $this->id($item, $of);
        }
        $values += $this->values($kind->type(), $item);
        if (isset($values['above'], $values['to']) && $values['to'] > $values['above']) {
            $item->refuse('to', 'This must not be above what it begins from.');
        }

        try {
            return $kind->make($values);
        } catch (InvalidValue) {
            // Its values were refused above, each at its place.
            return null;
        }
    }

    /**
     * @param class-string $class
     *
     * @return array<string, mixed>
     */
    private function values(string $class, DocumentReader $item): array
    {
        $values = [];
        foreach (Fields::of($class) as $name => $property) {
            if (!$property->told instanceof Number) {
                continue;
            }
            if ($property->isRequired() || $item->has($name)) {
                $values[$name] = self::within(
                    $item,
                    $name,
                    $property->told->from,
                    $property->told->to,
                    $property->isWhole() ? $item->whole($name) : $item->number($name),
                );
            }
        }
        foreach (Fields::nested($class) as $name => $nested) {
            $values[$name] = Fields::make($nested->class, $this->values($nested->class, $item));
        }

        return $values;
    }

    /**
     * @template T of int|float
     *
     * @param T $value
     *
     * @return T
     */
    private static function within(DocumentReader $item, string $key, float $least, float $most, int|float $value): int|float
    {
        if ($value < $least || $value > $most) {
            $item->refuse($key, \sprintf('This must be between %g and %g.', $least, $most));
        }

        return $value;
    }

    private function id(DocumentReader $item, string $of): string
    {
        $ids = 'clump' === $of ? array_column($this->plan->clumps, 'id') : array_column($this->plan->groups, 'id');
        $id = $item->text($of);
        if (!\in_array($id, $ids, true)) {
            $item->refuse($of, 'The plan has no such '.$of.'.');
        }

        return $id;
    }
}
