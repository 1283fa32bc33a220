<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Change;

use Olvek\Core\Planning\Event\EventKind;

/** A thing that comes with all that was known of it: from another tank, or to be planned for a day. */
final readonly class AddItem implements Change
{
    /**
     * @param string               $list  of the plan's document: plants, animals, hardscape, events
     * @param array<string, mixed> $item  as the document has it, without an id
     * @param string               $words what is added
     */
    private function __construct(private string $list, private array $item, private string $words)
    {
    }

    /** @param array<string, mixed> $item as the document has it; an id in it is another's */
    public static function thing(string $list, array $item, string $words): self
    {
        return new self($list, array_diff_key($item, ['id' => true]), $words);
    }

    /**
     * Something that is planned to happen, with its values.
     *
     * @param array<string, float|int> $values as its kind names them
     * @param string|null              $of     id of the clump or group that it concerns
     */
    public static function event(EventKind $kind, int $day, array $values, ?string $of = null): self
    {
        return new self(
            'events',
            ['do' => $kind->value, 'day' => $day, ...null === $of ? [] : [(string) $kind->of() => $of], ...$values],
            $kind->words().", day $day",
        );
    }

    public function place(): string
    {
        return "$this->list.add";
    }

    public function typed(): string
    {
        $kind = $this->item['events' === $this->list ? 'do' : 'kind'] ?? '';

        return \is_string($kind) ? $kind : '';
    }

    public function make(Draft $draft): string
    {
        $draft->append($this->list, ['id' => $draft->freeId($this->list), ...$this->item]);

        return $this->words;
    }
}
