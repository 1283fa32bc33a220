<?php

declare(strict_types=1);

namespace Olvek\Service\Editing;

use Olvek\Core\Basis\Field\KindOf;
use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Planning\Plan\Field;
use Olvek\Core\Planning\Plan\PlanFields;

/** Makes the controls of a page for the parts of one plan's document, with whatever was typed and why it was refused. */
final readonly class Controls
{
    /**
     * @param array<string, mixed>  $data   the plan's document
     * @param array<string, string> $typed  texts that were not saved, by place
     * @param array<string, string> $errors why, by place
     * @param PlanFields|null       $fields of another class than the plan's
     */
    public function __construct(
        private array $data,
        private UnitSystem $units,
        private array $typed,
        private array $errors,
        private ?PlanFields $fields = null,
    ) {
    }

    private function fields(): PlanFields
    {
        return $this->fields ?? PlanFields::of();
    }

    /**
     * All fields of one object that matter now, as they are described: choices on lines of their own, numbers two to a line.
     *
     * @param array<string, string> $labels in place of a field's own, by place
     *
     * @return list<list<FieldView>>
     */
    public function section(object $holder, string $path, ?Options $options = null, array $labels = []): array
    {
        $lines = $numbers = [];
        foreach (PlanFields::places($holder, $path) as $place => $property) {
            $described = $property->told;
            if ($described instanceof Number) {
                $numbers[] = $this->number($place, $labels[$place] ?? null);
                continue;
            }
            $lines = [...$lines, ...array_chunk($numbers, 2)];
            $numbers = [];
            if ($described instanceof KindOf) {
                $id = $this->stored($place);
                $lines[] = [$this->choice($place, $described->label, \is_string($id) ? $id : '', $options?->kinds($described) ?? [])];
            } else {
                $lines[] = [$this->pick($place, $labels[$place] ?? null)];
            }
        }

        return [...$lines, ...array_chunk($numbers, 2)];
    }

    /** A typed number. */
    public function number(string $path, ?string $label = null, ?string $unit = null, ?Field $field = null): FieldView
    {
        $field ??= $this->fields()->number($path);
        \assert(null !== $field);
        $stored = $this->stored($path);
        $shown = \is_int($stored) || \is_float($stored) ? $field->show((float) $stored, $this->units) : '';

        return new FieldView(
            $path,
            $label ?? $field->label,
            $this->typed[$path] ?? $shown,
            $unit ?? $field->suffix($this->units),
            $this->errors[$path] ?? null,
        );
    }

    /** A choice that the core knows. */
    public function pick(string $path, ?string $label = null): FieldView
    {
        $choice = $this->fields()->choice($path);
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
