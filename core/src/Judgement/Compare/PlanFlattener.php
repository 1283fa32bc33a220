<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Compare;

use Olvek\Core\Basis\Field\Fields;
use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Nature\Bed\Purpose;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Nature\Vessel\VesselShape;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Plan\Choice;
use Olvek\Core\Planning\Plan\Field;
use Olvek\Core\Planning\Plan\Method;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Core\Planning\Plan\PlanFields;

/** Reads a plan's document place by place, and says its values as a keeper would. */
final readonly class PlanFlattener
{
    private const LISTS = ['plants', 'animals', 'hardscape', 'zones', 'events'];
    private const NONE = 'none';

    private PlanDocument $document;

    public function __construct(private Catalogue $catalogue, private UnitSystem $units)
    {
        $this->document = new PlanDocument($catalogue);
    }

    public function of(Plan $plan): FlattenedPlan
    {
        $data = $this->document->toArray($plan);
        unset($data['format'], $data['version'], $data['name']);
        $lists = $leaves = $dormant = [];
        foreach (self::LISTS as $list) {
            $lists[$list] = [];
            foreach (self::records($data[$list]) as $item) {
                $lists[$list][self::text($item['id'])] = $this->item($list, $item);
                self::flatten(array_diff_key($item, ['id' => 0, 'kind' => 0, 'do' => 0]), $list.'.'.self::text($item['id']), $leaves);
            }
            unset($data[$list]);
        }
        \assert(\is_array($data['bed']));
        $lists['doses'] = [];
        foreach (self::records($data['bed']['doses']) as $dose) {
            $kind = self::text($dose['kind']);
            $lists['doses'][$kind] = ['kind' => $kind, 'name' => $this->catalogue->amendments[$kind]->name, 'brief' => 'in the bed'];
            $leaves["doses.$kind"] = $dose['grams'];
        }
        unset($data['bed']['doses']);
        foreach ($data as $key => $value) {
            self::flatten($value, $key, $leaves);
        }
        self::dormant($plan, '', $dormant);

        return new FlattenedPlan(array_filter($leaves, static fn (mixed $v): bool => null !== $v), $lists, $dormant);
    }

    /** @return list<array<string, mixed>> */
    private static function records(mixed $list): array
    {
        \assert(\is_array($list));

        /** @var list<array<string, mixed>> $list */
        return $list;
    }

    private static function text(mixed $value): string
    {
        return \is_scalar($value) ? (string) $value : '';
    }

    /**
     * @param array<string, mixed> $item
     *
     * @return array{kind: string, name: string, brief: string}
     */
    private function item(string $list, array $item): array
    {
        $kind = self::text($item['events' === $list ? 'do' : 'kind'] ?? '');
        $name = match ($list) {
            'plants' => $this->catalogue->plants[$kind]->common,
            'animals' => $this->catalogue->animals[$kind]->common,
            'hardscape' => $this->catalogue->hardscape[$kind]->name,
            'zones' => Purpose::from($kind)->words(),
            default => EventKind::from($kind)->words(),
        };

        return ['kind' => $kind, 'name' => $name, 'brief' => match ($list) {
            'plants' => \sprintf('%s × %s', self::text($item['pieces']), $name),
            'animals' => \sprintf('%s × %s, day %s', self::text($item['count']), $name, self::text($item['day'])),
            'events' => 'day '.self::text($item['day']),
            default => $name,
        }];
    }

    /** @param array<string, mixed> $leaves */
    private static function flatten(mixed $value, string $place, array &$leaves): void
    {
        // A mixture is one thing, told by its parts.
        if (\is_array($value) && !str_ends_with($place, '.mix')) {
            foreach ($value as $key => $under) {
                self::flatten($under, "$place.$key", $leaves);
            }

            return;
        }
        $leaves[$place] = \is_int($value) ? (float) $value : $value;
    }

    /** @param array<string, true> $dormant places of what does not matter as the plan stands */
    private static function dormant(object $holder, string $path, array &$dormant): void
    {
        foreach (Fields::of($holder::class) as $property) {
            if (!$property->matters($holder)) {
                $dormant[PlanFields::join($path, $property->key())] = true;
            }
        }
        foreach (Fields::nested($holder::class) as $nested) {
            foreach ($nested->of($holder, $path) as $under => $inner) {
                self::dormant($inner, $under, $dormant);
            }
        }
    }

    public function label(string $place, FlattenedPlan $here, FlattenedPlan $there): string
    {
        $kind = self::kindOf($place, $here) ?? self::kindOf($place, $there);
        $label = match (true) {
            null !== $kind && str_starts_with($place, 'events.') => PlanFields::event($place, EventKind::from($kind))->label ?? 'of',
            'vessel.shape' === $place => 'shape',
            'method' === $place => 'method',
            str_starts_with($place, 'vessel.') => substr($place, 7),
            str_starts_with($place, 'doses.') => 'amount',
            str_ends_with($place, '.mix') => $this->layer($place).', of what',
            default => Field::at($place)->label ?? Choice::at($place)->label ?? PlanFields::of()->kindOf($place)->label ?? null,
        };

        return $label ?? str_replace('.', ', ', $place);
    }

    private function layer(string $place): string
    {
        $keys = explode('.', $place);

        return match ($keys[1] ?? '') {
            'base' => 'lowest layer',
            'dressing' => 'top layer',
            default => $keys[1] ?? '',
        };
    }

    /** Kind of the item in which a place lies. */
    private static function kindOf(string $place, FlattenedPlan $told): ?string
    {
        $item = FlattenedPlan::item($place);

        return null === $item ? null : $told->items($item[0])[$item[1]]['kind'] ?? null;
    }

    /** @return array{string, string} two values at a place, which look different where they are */
    public function sayBoth(string $place, mixed $one, mixed $other, FlattenedPlan $here, FlattenedPlan $there): array
    {
        $kind = self::kindOf($place, $here);
        $field = null !== $kind && str_starts_with($place, 'events.')
            ? PlanFields::event($place, EventKind::from($kind))
            : Field::at(str_starts_with($place, 'doses.') ? 'bed.'.$place : $place);
        if (null !== $field && \is_float($one) && \is_float($other)) {
            return $field->sayBoth($one, $other, $this->units);
        }

        return [$this->say($place, $one, $field), $this->say($place, $other, $field)];
    }

    private function say(string $place, mixed $value, ?Field $field): string
    {
        if (null === $value) {
            return PlanFields::of()->kindOf($place)->none ?? self::NONE;
        }
        if (\is_array($value)) {
            return $this->mix($value);
        }
        if (\is_float($value)) {
            return null === $field ? Decimal::trimmed($value, 3) : $field->say($value, $this->units);
        }
        $choice = Choice::at($place);
        if (null !== $choice) {
            return $choice->options[$choice->show($value)] ?? self::text($value);
        }
        $text = self::text($value);
        $table = PlanFields::of()->kindOf($place)?->table;
        $row = null === $table ? null : $this->catalogue->table($table)[$text] ?? null;

        return match (true) {
            'vessel.shape' === $place => VesselShape::from($text)->words(),
            'method' === $place => Method::from($text)->words(),
            null !== $row => self::text(get_object_vars($row)['name'] ?? $text),
            \is_bool($value) => $value ? 'yes' : 'no',
            default => $text,
        };
    }

    /** @param array<mixed> $mix */
    private function mix(array $mix): string
    {
        $parts = [];
        foreach ($mix as $part) {
            if (\is_array($part)) {
                $name = $this->catalogue->materials[self::text($part['material'] ?? '')]->name ?? '';
                $share = \is_float($part['parts'] ?? null) || \is_int($part['parts'] ?? null) ? (float) $part['parts'] : 1.0;
                $parts[] = 1 === \count($mix) ? $name : Decimal::trimmed($share, 2)." $name";
            }
        }

        return implode(' + ', $parts);
    }
}
