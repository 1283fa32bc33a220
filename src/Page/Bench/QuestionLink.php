<?php

declare(strict_types=1);

namespace Olvek\Page\Bench;

/** A question that Olvek can answer by trying, where it arises: an address and the words that lead to it. */
final readonly class QuestionLink
{
    /** @param array<string, string> $parameters of the route */
    public function __construct(public string $route, public array $parameters, public string $words)
    {
    }
}
