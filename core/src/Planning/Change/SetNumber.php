<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Change;

use Olvek\Core\Planning\Plan\Field;

/** Another number at a place of the plan. */
final readonly class SetNumber implements Change
{
    private const NEAR = 1e-9;

    /** @param float|int $value as stored */
    public function __construct(private string $place, private float|int $value)
    {
    }

    public function place(): string
    {
        return $this->place;
    }

    public function typed(): string
    {
        return Field::at($this->place)?->exactly((float) $this->value) ?? (string) $this->value;
    }

    public function make(Draft $draft): ?string
    {
        $field = $draft->field($this->place);
        $keys = $draft->keys($this->place);
        $before = $draft->get($keys);
        \assert(\is_int($before) || \is_float($before));
        if (abs($this->value - $before) < self::NEAR) {
            return null;
        }
        $draft->put($keys, $field->whole ? (int) round($this->value) : (float) $this->value);
        $item = $draft->itemName($this->place);

        return (null === $item ? '' : "$item, ").
            \sprintf('%s %s → %s', $field->label, ...$field->sayBoth((float) $before, (float) $this->value, $draft->units));
    }
}
