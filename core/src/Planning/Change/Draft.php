<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Change;

use Olvek\Core\Basis\Field\KindOf;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Nature\Bed\Purpose;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Plan\Choice;
use Olvek\Core\Planning\Plan\Field;
use Olvek\Core\Planning\Plan\InvalidPlan;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Core\Planning\Plan\PlanFields;
use Olvek\Core\Planning\Plan\RefusedEdit;
use Olvek\Core\Planning\Plan\SectionReader;

/**
 * A plan's document while it is being changed.
 *
 * @internal
 */
final class Draft
{
    /** Lists of a plan, whose items stand in places by their ids. */
    private const ITEM = '/^(plants|animals|hardscape|zones|events)\.([a-z0-9-]+)\.([a-zA-Z0-9]+)$/D';

    /**
     * @param array<string, mixed> $data
     * @param UnitSystem           $units  in which changes are told
     * @param PlanFields|null      $fields of another class than the plan's
     */
    public function __construct(
        public array $data,
        public readonly Catalogue $catalogue,
        public readonly UnitSystem $units = UnitSystem::Metric,
        private readonly ?PlanFields $fields = null,
    ) {
    }

    /**
     * The plan as it stands in the draft.
     *
     * @throws InvalidPlan
     */
    public function plan(): Plan
    {
        return (new PlanDocument($this->catalogue))->fromArray($this->data);
    }

    /** @param list<int|string> $keys */
    public function get(array $keys): mixed
    {
        $at = $this->data;
        foreach ($keys as $key) {
            $at = \is_array($at) ? $at[$key] ?? null : null;
        }

        return $at;
    }

    /**
     * @param list<int|string> $keys
     *
     * @return bool whether it was otherwise before
     */
    public function put(array $keys, mixed $value): bool
    {
        if ($this->get($keys) === $value) {
            return false;
        }
        $at = &$this->data;
        foreach ($keys as $key) {
            \assert(\is_array($at));
            $at = &$at[$key];
        }
        $at = $value;

        return true;
    }

    /**
     * Where a place stands in the document: an item's id becomes its index.
     *
     * @return list<int|string>
     *
     * @throws RefusedEdit when the item is not there
     */
    public function keys(string $place): array
    {
        return 1 === preg_match(self::ITEM, $place, $match)
            ? [$match[1], $this->index($match[1], $match[2]), $match[3]]
            : explode('.', $place);
    }

    /** @throws RefusedEdit when the list has no such item */
    public function index(string $list, string $id): int
    {
        $index = array_search($id, array_column($this->items($list), 'id'), true);

        return \is_int($index) ? $index : throw new RefusedEdit('This has been removed already; reload to see the plan as it is.');
    }

    /** What the item at a place is called; null where the place is in no list. */
    public function itemName(string $place): ?string
    {
        return 1 === preg_match(self::ITEM, $place, $match) ? $this->name($match[1], $this->index($match[1], $match[2])) : null;
    }

    public function name(string $list, int $index): string
    {
        $kind = $this->items($list)[$index]['events' === $list ? 'do' : 'kind'] ?? '';
        \assert(\is_string($kind));

        return match ($list) {
            'events' => EventKind::from($kind)->words(),
            'plants' => $this->catalogue->plants[$kind]->common,
            'animals' => $this->catalogue->animals[$kind]->common,
            'zones' => Purpose::from($kind)->words(),
            default => $this->catalogue->hardscape[$kind]->name,
        };
    }

    /**
     * The number at a place of this draft.
     *
     * @throws RefusedEdit when there is none
     */
    public function field(string $place): Field
    {
        $do = str_starts_with($place, 'events.') ? $this->get([...\array_slice($this->keys($place), 0, 2), 'do']) : null;
        $field = \is_string($do) ? PlanFields::event($place, EventKind::from($do)) : $this->fields()->number($place);
        $stored = null === $field ? null : $this->get($this->keys($place));

        return match (true) {
            null === $field => throw new RefusedEdit('Olvek does not know this part of a plan.'),
            \is_int($stored), \is_float($stored) => $field,
            str_starts_with($place, 'bed.') => throw new RefusedEdit('Choose a material for this layer first.'),
            default => throw new RefusedEdit('Olvek does not know this part of a plan.'),
        };
    }

    public function choice(string $place): ?Choice
    {
        return $this->fields()->choice($place);
    }

    public function kindOf(string $place): ?KindOf
    {
        return $this->fields()->kindOf($place);
    }

    /** @return list<array<string, mixed>> of a list of the plan */
    public function items(string $list): array
    {
        return self::records($this->data[$list]);
    }

    /** An id that nothing in a list has. */
    public function freeId(string $list): string
    {
        $taken = array_column($this->items($list), 'id');
        $prefix = match ($list) {
            'plants' => 'c',
            'animals' => 'a',
            'hardscape' => 'h',
            'zones' => 'z',
            default => 'e',
        };
        $n = 1;
        while (\in_array($prefix.$n, $taken, true)) {
            ++$n;
        }

        return $prefix.$n;
    }

    /** @param array<string, mixed> $item what of it has no default, or another */
    public function append(string $list, array $item): void
    {
        $class = PlanFields::item($list);
        $this->data[$list] = [...$this->items($list), null === $class ? $item : [...SectionReader::defaults($class), ...$item]];
    }

    /**
     * Middle of the widest stretch of the front on which nothing of some lists stands.
     *
     * @param list<string> $lists
     */
    public function widestGap(array $lists): float
    {
        $places = [-0.1, 1.1];
        foreach ($lists as $list) {
            $places = [...$places, ...array_map(floatval(...), array_filter(array_column($this->items($list), 'place'), is_numeric(...)))];
        }
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

    private function fields(): PlanFields
    {
        return $this->fields ?? PlanFields::of();
    }

    /** @return list<array<string, mixed>> */
    public static function records(mixed $list): array
    {
        \assert(\is_array($list));

        /** @var list<array<string, mixed>> $list */
        return $list;
    }
}
