<?php

declare(strict_types=1);

namespace Olvek\Core\Basis\Message;

/**
 * What the core has found, as an id and the values that belong to it. How it is said stands in `translations/`, by the id; in which units
 * and in which language, whoever says it knows (Olvek\Service\Speech).
 *
 * @phpstan-type Content string|int|float|Value|Message|list<string|Value|Message>
 */
final readonly class Message
{
    /** @param array<string, Content> $values by the names that the text gives them */
    public function __construct(public string $id, public array $values = [])
    {
    }

    /** What is a text already: a name of the catalogue, or what a keeper wrote. */
    public static function text(string $text): self
    {
        return new self('text', ['text' => $text]);
    }
}
