<?php

declare(strict_types=1);

namespace Olvek\Tests\Speech;

/** The values that an ICU message names, and the choices that it makes by them. */
final class IcuText
{
    private int $at = 0;
    /** @var array<string, string> "plain", "number", "plural" or "select", by name */
    public array $values = [];
    /** @var array<string, list<string>> keywords of a select, by name */
    public array $choices = [];

    public function __construct(private readonly string $text)
    {
        $this->message();
    }

    /** Goes on to the end of the message, or to the brace that closes it. */
    private function message(): void
    {
        while ($this->at < \strlen($this->text) && '}' !== $this->text[$this->at]) {
            if ('{' === $this->text[$this->at]) {
                ++$this->at;
                $this->argument();
            }
            ++$this->at;
        }
    }

    /** Stands behind the opening brace, and stops at the closing one. */
    private function argument(): void
    {
        $name = $this->word();
        $kind = ',' === $this->text[$this->at] ? $this->next() : 'plain';
        $this->values[$name] ??= $kind;
        if ('plural' !== $kind && 'select' !== $kind) {
            $this->at += strcspn($this->text, '}', $this->at);

            return;
        }
        ++$this->at;
        while ('}' !== $this->text[$this->at += strspn($this->text, " \n", $this->at)]) {
            $this->choices[$name][] = $this->word();
            ++$this->at;
            $this->message();
            ++$this->at;
        }
    }

    private function next(): string
    {
        ++$this->at;

        return $this->word();
    }

    /** Reads up to a comma or brace. */
    private function word(): string
    {
        $length = strcspn($this->text, ',{}', $this->at);
        $word = trim(substr($this->text, $this->at, $length));
        $this->at += $length;

        return $word;
    }
}
