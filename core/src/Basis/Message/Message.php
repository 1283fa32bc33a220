<?php

declare(strict_types=1);

namespace Olvek\Core\Basis\Message;

/**
 * What the core has found, as an id and its values. `translations/` holds the text for each id; Olvek\Service\Speech formats the values
 * in the reader's units and language.
 *
 * @phpstan-type Content string|int|float|Value|Message|list<string|Value|Message>
 */
final readonly class Message
{
    /** @param array<string, Content> $values by the names that the text gives them */
    public function __construct(public string $id, public array $values = [])
    {
    }

    /**
     * @param list<self> $messages
     *
     * @return list<self> each once, in their order
     */
    public static function distinct(array $messages): array
    {
        $distinct = [];
        foreach ($messages as $message) {
            $distinct[serialize($message)] ??= $message;
        }

        return array_values($distinct);
    }

    /** What is a text already: a name of the catalogue, or what a keeper wrote. */
    public static function text(string $text): self
    {
        return new self('text', ['text' => $text]);
    }
}
