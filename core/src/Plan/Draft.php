<?php

declare(strict_types=1);

namespace Olvek\Core\Plan;

use Olvek\Core\Unit\UnitSystem;
use Olvek\Core\Unit\UnreadableQuantity;

/**
 * A plan's document while it is being edited.
 *
 * @internal
 */
final class Draft
{
    /** @param array<string, mixed> $data */
    public function __construct(public array $data)
    {
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
     * @return string|null label and words; null where this is how it was
     */
    public function put(array $keys, mixed $value, string $label, string $words): ?string
    {
        if ($this->get($keys) === $value) {
            return null;
        }
        $at = &$this->data;
        foreach ($keys as $key) {
            \assert(\is_array($at));
            $at = &$at[$key];
        }
        $at = $value;

        return "$label $words";
    }

    /**
     * Puts a typed number.
     *
     * @param list<int|string> $keys
     *
     * @return string|null words of what changed; null where nothing did
     *
     * @throws RefusedEdit|UnreadableQuantity
     */
    public function type(array $keys, ?Field $field, string $typed, UnitSystem $units): ?string
    {
        if (null === $field) {
            throw new RefusedEdit('Olvek does not know this part of a plan.');
        }
        $before = $this->get($keys);
        if (!\is_int($before) && !\is_float($before)) {
            throw new RefusedEdit(str_starts_with($field->path, 'bed.') ? 'Choose a material for this layer first.' : 'Olvek does not know this part of a plan.');
        }
        // A field that is sent back as it was shown is left as it is: showing rounds, and rounding must not edit.
        if ($typed === $field->show((float) $before, $units)) {
            return null;
        }
        $after = $field->read($typed, $units);
        if (abs($after - $before) < 1e-9) {
            return null;
        }

        return $this->put($keys, $after, $field->label, \sprintf('%s → %s', $field->say((float) $before, $units), $field->say((float) $after, $units)));
    }

    /** @return list<array<string, mixed>> */
    public static function records(mixed $list): array
    {
        \assert(\is_array($list));

        /** @var list<array<string, mixed>> $list */
        return $list;
    }
}
