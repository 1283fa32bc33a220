<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Change;

use Olvek\Core\Planning\Plan\Method;

/** A method's whole recipe at once. */
final readonly class TakeMethod implements Change
{
    public function __construct(private Method $method)
    {
    }

    public function place(): string
    {
        return 'method';
    }

    public function typed(): string
    {
        return $this->method->value;
    }

    public function make(Draft $draft): ?string
    {
        $before = $draft->data;
        foreach (Recipe::of($this->method, $draft->plan(), $draft->units) as $change) {
            $change->make($draft);
        }
        $draft->put(['method'], $this->method->value);

        return $before === $draft->data ? null : 'method: '.$this->method->words();
    }
}
