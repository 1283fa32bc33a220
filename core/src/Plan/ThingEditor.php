<?php

declare(strict_types=1);

namespace Olvek\Core\Plan;

use Olvek\Core\Catalogue\Catalogue;
use Olvek\Core\Event\EventKind;
use Olvek\Core\Field\Fields;
use Olvek\Core\Field\Number;
use Olvek\Core\Plant\Role;
use Olvek\Core\Unit\UnitSystem;
use Olvek\Core\Unit\UnreadableQuantity;

/**
 * Edits of what a plan lists by id: clumps, groups of animals, stones and wood, what is written into its days.
 *
 * @internal
 */
final readonly class ThingEditor
{
    /** Day on which animals, and what is written into the days, stand until they are moved. C. */
    private const USUAL_DAY = 28;
    /** Places of things: a list, an id or "add", and what of it. */
    public const PLACE = '/^(plants|animals|hardscape|events)\.([a-z0-9-]+)(?:\.([a-zA-Z0-9-]+))?$/D';

    public function __construct(private Catalogue $catalogue, private PlanDocument $document)
    {
    }

    /**
     * @return string|false|null words of what changed; null where nothing did; false where the place is no thing's
     *
     * @throws RefusedEdit|UnreadableQuantity
     */
    public function edit(Draft $draft, string $place, string $typed, UnitSystem $units): string|false|null
    {
        if (1 !== preg_match(self::PLACE, $place, $match)) {
            return false;
        }
        $what = $match[3] ?? '';
        if ('add' !== $match[2]) {
            return $this->change($draft, $match[1], $match[2], $what, $place, $typed, $units);
        }
        if ('' !== $what) {
            return $this->addSoMany($draft, $match[1], $what, $typed, $units);
        }

        return $this->add($draft, $match[1], $typed);
    }

    /** @param list<array<string, mixed>> $things */
    public static function freeId(array $things, string $prefix): string
    {
        $taken = array_column($things, 'id');
        $n = 1;
        while (\in_array($prefix.$n, $taken, true)) {
            ++$n;
        }

        return $prefix.$n;
    }

    private function change(Draft $draft, string $list, string $id, string $what, string $place, string $typed, UnitSystem $units): ?string
    {
        $things = Draft::records($draft->data[$list]);
        $index = array_search($id, array_column($things, 'id'), true);
        if (!\is_int($index)) {
            throw new RefusedEdit('This has been removed already; reload to see the plan as it is.');
        }
        $name = $this->name($list, $things[$index]);
        if ('remove' === $what) {
            return $this->remove($draft, $list, $things, $index, $name);
        }
        if ('events' === $list && \in_array($what, ['clump', 'group'], true)) {
            if (!\in_array($typed, array_column(Draft::records($draft->data['clump' === $what ? 'plants' : 'animals']), 'id'), true)) {
                throw new RefusedEdit("Choose one of the plan’s {$what}s.");
            }

            return $draft->put([$list, $index, $what], $typed, $name, "of another $what");
        }
        $choice = Choice::at($place);
        if (null !== $choice) {
            return $draft->put([$list, $index, $what], $choice->read($typed), $name, $choice->options[$typed]);
        }
        $do = $things[$index]['do'] ?? null;
        $field = \is_string($do) ? PlanFields::event($place, EventKind::from($do)) : Field::at($place);
        $words = $draft->type([$list, $index, $what], $field, $typed, $units);

        return null === $words ? null : "$name, $words";
    }

    /** @param list<array<string, mixed>> $things */
    private function remove(Draft $draft, string $list, array $things, int $index, string $name): string
    {
        $id = $things[$index]['id'];
        array_splice($things, $index, 1);
        $draft->data[$list] = $things;
        if ([] === $things && 'animals' === $list && \is_array($draft->data['feeding'])) {
            $draft->data['feeding']['grams'] = 0.0;
        }
        if ('plants' === $list || 'animals' === $list) {
            // What was to be done to it falls away with it.
            $draft->data['events'] = array_values(array_filter(Draft::records($draft->data['events']), static fn (array $e): bool => ($e['plants' === $list ? 'clump' : 'group'] ?? null) !== $id));
        }

        return $name.' taken out';
    }

    /** @param array<string, mixed> $thing */
    private function name(string $list, array $thing): string
    {
        if ('events' === $list) {
            $do = $thing['do'];
            \assert(\is_string($do));

            return EventKind::from($do)->words();
        }
        $kind = $thing['kind'];
        \assert(\is_string($kind));

        return match ($list) {
            'plants' => $this->catalogue->plants[$kind]->common,
            'animals' => $this->catalogue->animals[$kind]->common,
            default => $this->catalogue->hardscape[$kind]->name,
        };
    }

    private function add(Draft $draft, string $list, string $id): string
    {
        return match ($list) {
            'plants' => $this->addClump($draft, $id),
            'animals' => $this->addGroup($draft, $id),
            'hardscape' => $this->addPiece($draft, $id),
            default => $this->addEvent($draft, $id),
        };
    }

    /** So many of a kind; of what is written into the days, on which day. */
    private function addSoMany(Draft $draft, string $list, string $kind, string $typed, UnitSystem $units): string
    {
        $words = $this->add($draft, $list, $kind);
        $things = Draft::records($draft->data[$list]);
        $last = \count($things) - 1;
        $number = match ($list) {
            'plants' => 'pieces',
            'animals' => 'count',
            'hardscape' => 'litres',
            default => 'day',
        };
        $field = Field::at("$list.x.$number");
        \assert(null !== $field);
        $things[$last][$number] = $field->read($typed, $units);
        $draft->data[$list] = $things;

        return $words.', '.('events' === $list ? 'day ' : '').$field->say((float) $things[$last][$number], $units);
    }

    private function addClump(Draft $draft, string $id): string
    {
        $kind = $this->catalogue->plants[$id] ?? throw new RefusedEdit('Choose a plant from the list.');
        $clumps = Draft::records($draft->data['plants']);
        $clumps[] = [
            'id' => self::freeId($clumps, 'c'),
            'kind' => $id,
            // C: stems are planted by the ten, the rest by the few.
            'pieces' => \in_array($kind->role, [Role::FastStem, Role::SlowStem, Role::Runner], true) ? 10 : 3,
            'place' => self::widestGap($clumps),
            'row' => $kind->zone->row(),
            'planting' => Planting::Right->value,
            'day' => 0,
            'grown' => Grown::Unknown->value,
        ];
        $draft->data['plants'] = $clumps;

        return $kind->common.' added';
    }

    private function addGroup(Draft $draft, string $id): string
    {
        $kind = $this->catalogue->animals[$id] ?? throw new RefusedEdit('Choose an animal from the list.');
        $groups = Draft::records($draft->data['animals']);
        $groups[] = ['id' => self::freeId($groups, 'a'), 'kind' => $id, 'count' => (int) $kind->group->value, 'day' => self::USUAL_DAY];
        $draft->data['animals'] = $groups;

        return $kind->common.' added';
    }

    private function addPiece(Draft $draft, string $id): string
    {
        $kind = $this->catalogue->hardscape[$id] ?? throw new RefusedEdit('Choose a stone or wood from the list.');
        $pieces = Draft::records($draft->data['hardscape']);
        // J: a piece of a fiftieth of the tank, to begin with.
        $plan = $this->document->fromArray($draft->data);
        $pieces[] = [
            'id' => self::freeId($pieces, 'h'), 'kind' => $id, 'litres' => round($plan->vessel->volumeBelow($plan->waterLine) / 50, 2),
            'place' => self::widestGap([...$pieces, ...Draft::records($draft->data['plants'])]), 'row' => 0.5, 'fixed' => false, 'soaked' => false,
        ];
        $draft->data['hardscape'] = $pieces;

        return $kind->name.' added';
    }

    private function addEvent(Draft $draft, string $what): string
    {
        // With or without the day: "change 42".
        [$word, $day] = [...explode(' ', $what, 2), (string) self::USUAL_DAY];
        if (!ctype_digit($day) || \strlen($day) > 4) {
            throw new RefusedEdit('Say the day as a number after the word: change 42.');
        }
        $kind = EventKind::tryFrom($word);
        if (null === $kind || !$kind->happens()->planned) {
            throw new RefusedEdit('Choose from the list what is to happen.');
        }
        $events = Draft::records($draft->data['events']);
        $of = $kind->of();
        $whom = null === $of ? [] : Draft::records($draft->data['clump' === $of ? 'plants' : 'animals']);
        if (null !== $of && [] === $whom) {
            throw new RefusedEdit('clump' === $of ? 'There are no plants yet: add some first.' : 'There are no animals yet: add some first.');
        }
        $values = [];
        foreach (Fields::of($kind->type()) as $name => $property) {
            $usual = $property->told instanceof Number ? $property->told->usual : 0.0;
            $values[$name] = $property->isWhole() ? (int) $usual : $usual;
        }
        $events[] = ['id' => self::freeId($events, 'e'), 'do' => $kind->value, 'day' => (int) $day, ...(null === $of ? [] : [$of => $whom[0]['id']]), ...$values];
        $draft->data['events'] = $events;

        return $kind->words().' added';
    }

    /**
     * Middle of the widest stretch of the front that no clump stands on.
     *
     * @param list<array<string, mixed>> $clumps
     */
    private static function widestGap(array $clumps): float
    {
        $places = array_filter(array_column($clumps, 'place'), is_numeric(...));
        $places = [-0.1, ...array_map(floatval(...), $places), 1.1];
        sort($places);
        $best = [0.0, 0.5];
        for ($i = 1; $i < \count($places); ++$i) {
            $gap = $places[$i] - $places[$i - 1];
            if ($gap > $best[0] + 1e-9) {
                $best = [$gap, ($places[$i] + $places[$i - 1]) / 2];
            }
        }

        return round(max(0.0, min(1.0, $best[1])), 3);
    }
}
