<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Plan;

use Olvek\Core\Basis\Field\OneOf;
use Olvek\Core\Basis\Field\Worded;
use Olvek\Core\Basis\Field\YesNo;

/** A part of a plan's document that is chosen from a few words: what it is called, and what each stored value is called. */
final readonly class Choice
{
    /** @param non-empty-array<string, string> $options words by the text that stands for a value: the value itself, or "yes" and "no" */
    private function __construct(public string $label, public array $options, private bool $truth = false)
    {
    }

    /** The choice at a place of any plan, or null where the place names none. */
    public static function at(string $place): ?self
    {
        return PlanFields::of()->choice($place);
    }

    /** The text that stands for a stored value. */
    public function show(mixed $stored): string
    {
        return match (true) {
            \is_bool($stored) => $stored ? 'yes' : 'no',
            \is_string($stored) => $stored,
            default => '',
        };
    }

    /** @throws RefusedEdit when the text is none of the options */
    public function read(string $typed): string|bool
    {
        if (!isset($this->options[$typed])) {
            throw new RefusedEdit($this->truth ? 'Choose yes or no.' : "Choose from the list: $this->label.");
        }

        return $this->truth ? 'yes' === $typed : $typed;
    }

    /** @param class-string<Worded> $enum */
    public static function word(OneOf $told, string $enum): self
    {
        $options = [];
        foreach ($enum::cases() as $case) {
            $options[(string) $case->value] = $case->words();
        }
        if ([] === $options) {
            throw new \LogicException("$enum has no cases");
        }

        return new self($told->label, $options);
    }

    public static function truth(YesNo $told): self
    {
        return new self($told->label, ['no' => $told->no, 'yes' => $told->yes], true);
    }
}
