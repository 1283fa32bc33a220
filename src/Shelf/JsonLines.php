<?php

declare(strict_types=1);

namespace Olvek\Shelf;

/** On which line of a JSON text each place of its document stands; items of a list are named by their "id", where they have one. */
final class JsonLines
{
    /** Nesting beyond which nothing is placed: no plan goes so deep. */
    private const DEEPEST = 32;

    /** @var array<string, int> */
    private array $lines = [];
    /** @var array<string, string> id by the path of the item with its index */
    private array $names = [];
    /** @var list<array{string, int}> token and its offset */
    private array $tokens;
    private int $at = 0;
    /** Line, counted from 1, of the last token that was looked at, and its offset. */
    private int $line = 1;
    private int $counted = 0;

    private function __construct(private readonly string $json)
    {
        preg_match_all('/"(?:[^"\\\\]++|\\\\.)*+"|[{}\[\]:,]|[^\s{}\[\]:,"]+/s', $json, $found, \PREG_OFFSET_CAPTURE);
        $this->tokens = $found[0];
    }

    /** @return array<string, int> line by place; what comes after a fault of grammar is missing */
    public static function of(string $json): array
    {
        $scan = new self($json);
        $scan->value('', 0);
        $named = [];
        foreach ($scan->lines as $path => $line) {
            $named[$scan->named((string) $path)] = $line;
        }

        return $named;
    }

    private function value(string $path, int $depth): void
    {
        $token = $this->tokens[$this->at] ?? null;
        if (null === $token || $depth > self::DEEPEST) {
            $this->at = \count($this->tokens);

            return;
        }
        $this->lines[$path] ??= $this->lineAt($token[1]);
        ++$this->at;
        match ($token[0]) {
            '{' => $this->object($path, $depth + 1),
            '[' => $this->list($path, $depth + 1),
            default => null,
        };
    }

    private function object(string $path, int $depth): void
    {
        while (($this->tokens[$this->at][0] ?? '}') !== '}') {
            [$key, $offset] = $this->tokens[$this->at];
            if (',' === $key) {
                ++$this->at;
                continue;
            }
            $name = json_decode($key);
            if (!\is_string($name) || ':' !== ($this->tokens[$this->at + 1][0] ?? '')) {
                $this->at = \count($this->tokens);

                return;
            }
            $here = '' === $path ? $name : "$path.$name";
            $this->lines[$here] = $this->lineAt($offset);
            $this->at += 2;
            $text = json_decode($this->tokens[$this->at][0] ?? '');
            if ('id' === $name && \is_string($text)) {
                $this->names[$path] = mb_substr($text, 0, 40);
            }
            $this->value($here, $depth);
        }
        ++$this->at;
    }

    private function list(string $path, int $depth): void
    {
        $index = 0;
        while (($this->tokens[$this->at][0] ?? ']') !== ']') {
            if (',' === $this->tokens[$this->at][0]) {
                ++$this->at;
                continue;
            }
            $before = $this->at;
            $this->value("$path.".$index++, $depth);
            if ($before === $this->at) {
                $this->at = \count($this->tokens);
            }
        }
        ++$this->at;
    }

    /** Line of an offset; offsets only grow, so each line is counted once. */
    private function lineAt(int $offset): int
    {
        $this->line += substr_count($this->json, "\n", $this->counted, $offset - $this->counted);
        $this->counted = $offset;

        return $this->line;
    }

    /** The path with ids in the place of indices. */
    private function named(string $path): string
    {
        $raw = '';
        $named = '';
        foreach (explode('.', $path) as $key) {
            $raw = '' === $raw ? $key : "$raw.$key";
            $named = ('' === $named ? '' : "$named.").($this->names[$raw] ?? $key);
        }

        return $named;
    }
}
