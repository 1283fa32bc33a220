<?php

declare(strict_types=1);

namespace Olvek\Service\Editing;

/** A control as a page shows it: a typed number where $options is empty, else a choice. */
final readonly class FieldView
{
    /** @param array<string, string|array<string, string>> $options label by value, or such lists by their heading */
    public function __construct(
        public string $path,
        public string $label,
        public string $value,
        public string $unit = '',
        public ?string $error = null,
        public array $options = [],
        public bool $text = false,
    ) {
    }

    /** For ids and labels in the page. */
    public function id(): string
    {
        return 'f-'.str_replace('.', '-', $this->path);
    }
}
