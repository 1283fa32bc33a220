<?php

declare(strict_types=1);

namespace Olvek\Bench;

use Olvek\Core\Plan\Choice;
use Olvek\Core\Plan\Field;
use Olvek\Core\Unit\UnitSystem;

/** Makes the controls of a page for the parts of one plan's document, with whatever was typed and why it was refused. */
final readonly class Controls
{
    /**
     * @param array<string, mixed>  $data   the plan's document
     * @param array<string, string> $typed  texts that were not saved, by place
     * @param array<string, string> $errors why, by place
     */
    public function __construct(private array $data, private UnitSystem $units, private array $typed, private array $errors)
    {
    }

    /** A typed number. */
    public function number(string $path, ?string $label = null, ?string $unit = null): FieldView
    {
        $field = Field::at($path);
        \assert(null !== $field);
        $stored = $this->stored($path);
        $shown = \is_int($stored) || \is_float($stored) ? $field->show((float) $stored, $this->units) : '';

        return new FieldView($path, $label ?? $field->label, $this->typed[$path] ?? $shown, $unit ?? $field->unit($this->units)->symbol(), $this->errors[$path] ?? null);
    }

    /** A choice that the core knows. */
    public function pick(string $path, ?string $label = null): FieldView
    {
        $choice = Choice::at($path);
        \assert(null !== $choice);

        return $this->choice($path, $label ?? $choice->label, $choice->show($this->stored($path)), $choice->options);
    }

    /** @param array<string, string|array<string, string>> $options label by value, or such lists by their heading */
    public function choice(string $path, string $label, string $value, array $options): FieldView
    {
        return new FieldView($path, $label, $this->typed[$path] ?? $value, '', $this->errors[$path] ?? null, $options);
    }

    public function text(string $path, string $label, string $value): FieldView
    {
        return new FieldView($path, $label, $this->typed[$path] ?? $value, '', $this->errors[$path] ?? null, [], true);
    }

    private function stored(string $path): mixed
    {
        $keys = explode('.', $path);
        $at = $this->data;
        foreach ($keys as $index => $key) {
            if (!\is_array($at)) {
                return null;
            }
            if (array_is_list($at)) {
                $at = array_column($at, null, 'id')[$key] ?? null;
            } elseif ('doses' === $key && isset($keys[$index + 1])) {
                return array_column(\is_array($at['doses'] ?? null) ? $at['doses'] : [], 'grams', 'kind')[$keys[$index + 1]] ?? null;
            } elseif ('parts' === $key && isset($keys[$index + 1])) {
                return array_column(\is_array($at['mix'] ?? null) ? $at['mix'] : [], 'parts', 'material')[$keys[$index + 1]] ?? null;
            } else {
                $at = $at[$key] ?? null;
            }
        }

        return $at;
    }
}
