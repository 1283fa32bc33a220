<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Plan;

/**
 * Reads one object of a plan document, noting each wrong, missing or unknown key with its path, so that
 * a keeper gets the whole list at once. Values returned for wrong keys are placeholders: finish() refuses them.
 *
 * @internal
 */
final class DocumentReader
{
    /** Above it not every whole number is a float. */
    private const MOST_WHOLE = 9e15;

    /** @var array<string, true> keys asked for */
    private array $known = [];

    /** @var list<self> */
    private array $children = [];

    /**
     * @param array<mixed>              $data
     * @param \ArrayObject<int, Problem> $problems shared by all readers of a document
     * @param array<string, string>     $empty    as EmptyParts tells them
     */
    private function __construct(
        private readonly array $data,
        private readonly string $path,
        private readonly \ArrayObject $problems,
        private readonly array $empty,
    ) {
    }

    /**
     * @param array<string, string> $empty as EmptyParts tells them; none where the document was never a text
     *
     * @throws InvalidPlan when the document is not an object
     */
    public static function root(mixed $data, array $empty = []): self
    {
        if (!\is_array($data) || array_is_list($data)) {
            throw new InvalidPlan([new Problem('', 'A plan is a JSON object.')]);
        }

        return new self($data, '', new \ArrayObject(), $empty);
    }

    public function number(string $key): float
    {
        $value = $this->take($key);
        if (\is_int($value) || \is_float($value)) {
            return (float) $value;
        }
        $this->wrong($key, $value, 'a number');

        return 0.0;
    }

    public function whole(string $key): int
    {
        $value = $this->take($key);
        // Other programs write 4 as 4.0, which is the same number in JSON.
        if (\is_int($value) || (\is_float($value) && floor($value) === $value && abs($value) < self::MOST_WHOLE)) {
            return (int) $value;
        }
        $this->wrong($key, $value, 'a whole number');

        return 0;
    }

    public function text(string $key): string
    {
        $value = $this->take($key);
        if (\is_string($value)) {
            return $value;
        }
        $this->wrong($key, $value, 'a text');

        return '';
    }

    public function textOr(string $key, string $default): string
    {
        return $this->has($key) ? $this->text($key) : $default;
    }

    public function truth(string $key): bool
    {
        $value = $this->take($key);
        if (!\is_bool($value)) {
            $this->wrong($key, $value, 'true or false');
        }

        return true === $value;
    }

    /**
     * A word of a closed list; the first case where the word is unknown, which is refused.
     *
     * @template T of \BackedEnum
     *
     * @param class-string<T> $enum
     *
     * @return T
     */
    public function choice(string $key, string $enum, ?string $default = null): \BackedEnum
    {
        $word = null !== $default && $this->lacks($key) ? $default : $this->text($key);
        $case = $enum::tryFrom($word);
        if (null === $case) {
            $this->refuse($key, 'Name one of: '.implode(', ', array_column($enum::cases(), 'value')).'.');
        }

        return $case ?? $enum::cases()[0];
    }

    /** @return list<self> */
    public function itemsOrNone(string $key): array
    {
        return $this->lacks($key) ? [] : $this->items($key);
    }

    public function child(string $key): self
    {
        return $this->optionalChild($key) ?? $this->missing($key);
    }

    /** An object that may be left out, but is never null. */
    public function childOrNone(string $key): ?self
    {
        return $this->lacks($key) ? null : $this->child($key);
    }

    /** An object that may be left out, or null. */
    public function optionalChild(string $key): ?self
    {
        $value = $this->take($key);
        if (null === $value) {
            return null;
        }
        if (!$this->isObject($key, $value)) {
            $this->wrong($key, $value, 'an object');

            return $this->adopt([], $this->at($key));
        }

        return $this->adopt($value, $this->at($key));
    }

    /**
     * An object that somebody else reads; empty where it is left out or is none, which is refused.
     *
     * @return array<string, mixed>
     */
    public function raw(string $key): array
    {
        $value = $this->lacks($key) ? [] : $this->take($key);
        if (!$this->isObject($key, $value)) {
            $this->wrong($key, $value, 'an object');

            return [];
        }
        $object = [];
        foreach ($value as $name => $of) {
            $object[(string) $name] = $of;
        }

        return $object;
    }

    /**
     * The objects of a list; an object's "id", where it has one, names it in paths, else its place does.
     *
     * @return list<self>
     */
    public function items(string $key): array
    {
        $value = $this->take($key);
        if (!\is_array($value) || !array_is_list($value) || EmptyParts::OBJECT === ($this->empty[$this->at($key)] ?? null)) {
            $this->wrong($key, $value, 'a list');

            return [];
        }
        $items = [];
        foreach ($value as $index => $item) {
            if (!\is_array($item) || array_is_list($item)) {
                $this->problems->append(new Problem($this->at($key).'.'.$index, 'This must be an object.'));
                continue;
            }
            $items[] = $this->adopt($item, $this->at($key).'.'.self::itemName($item['id'] ?? null, $index));
        }

        return $items;
    }

    /** Notes a number that its field does not allow. */
    public function outOfRange(string $key, float $value): void
    {
        $problem = Field::at($this->at($key))?->problem($value);
        if (null !== $problem) {
            $this->problems->append($problem);
        } else {
            $this->refuse($key, 'This number is out of range here.');
        }
    }

    /** What an item of a list is called in paths: its id, where it has one, else its place. */
    public static function itemName(mixed $id, int|string $index): string
    {
        return \is_string($id) ? mb_substr($id, 0, 40) : (string) $index;
    }

    /** @phpstan-assert-if-true array<mixed> $value */
    private function isObject(string $key, mixed $value): bool
    {
        return \is_array($value)
            && ([] === $value ? EmptyParts::LIST !== ($this->empty[$this->at($key)] ?? null) : !array_is_list($value));
    }

    /** @param PlanRule|null $rule that was broken; null where the value by itself, or its form, is wrong */
    public function refuse(string $key, string $why, ?PlanRule $rule = null): void
    {
        foreach ($this->problems as $problem) {
            if ($problem->path === $this->at($key)) {
                return;
            }
        }
        $this->problems->append(new Problem($this->at($key), $why, $rule));
    }

    /** @throws InvalidPlan when anything was wrong */
    public function finish(): void
    {
        if (0 === $this->problems->count()) {
            $this->refuseUnknown();
        }
        $problems = array_values($this->problems->getArrayCopy());
        if ([] !== $problems) {
            throw new InvalidPlan($problems);
        }
    }

    private function refuseUnknown(): void
    {
        foreach (array_diff_key($this->data, $this->known) as $key => $_) {
            $this->problems->append(new Problem($this->at(mb_substr((string) $key, 0, 40)), 'Olvek does not know this key; take it out.'));
        }
        foreach ($this->children as $child) {
            $child->refuseUnknown();
        }
    }

    /** @param array<mixed> $data */
    private function adopt(array $data, string $path): self
    {
        return $this->children[] = new self($data, $path, $this->problems, $this->empty);
    }

    private function missing(string $key): self
    {
        $this->wrong($key, null, 'an object');

        return $this->adopt([], $this->at($key));
    }

    public function has(string $key): bool
    {
        return null !== $this->take($key);
    }

    /** Whether it is left out: null is something, and must be allowed. */
    public function lacks(string $key): bool
    {
        $this->known[$key] = true;

        return !\array_key_exists($key, $this->data);
    }

    private function take(string $key): mixed
    {
        $this->known[$key] = true;

        return $this->data[$key] ?? null;
    }

    private function wrong(string $key, mixed $value, string $wanted): void
    {
        $this->refuse($key, match (true) {
            $this->lacks($key) => "This is missing: it must be $wanted.",
            null === $value => "This must be $wanted, not null.",
            default => "This must be $wanted.",
        });
    }

    private function at(string $key): string
    {
        return '' === $this->path ? $key : $this->path.'.'.$key;
    }
}
