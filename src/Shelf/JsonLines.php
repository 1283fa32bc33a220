<?php

declare(strict_types=1);

namespace Olvek\Shelf;

/** On which line of a JSON text each place of its document stands; items of a list are named by their "id", where they have one. */
final class JsonLines
{
    /** Nesting and number of places beyond which nothing more is placed: no plan goes so deep or so wide. */
    private const DEEPEST = 32;
    private const MOST = 20000;
    private const TOKEN = '/\s*+("(?:[^"\\\\]++|\\\\.)*+"|[{}\[\]:,]|[^\s{}\[\]:,"]++)/As';

    /** @var array<string, int> */
    private array $lines = [];
    /** @var array<string, string> id by the path of the item with its index */
    private array $names = [];
    /** The token at hand, '' at the end, where it begins, and where the next may. */
    private string $token = '';
    private int $offset = 0;
    private int $next = 0;
    /** Line, counted from 1, up to which has been counted, and to which offset. */
    private int $line = 1;
    private int $counted = 0;

    private function __construct(private readonly string $json)
    {
        $this->step();
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
        if ('' === $this->token || $depth > self::DEEPEST || \count($this->lines) >= self::MOST) {
            $this->stop();

            return;
        }
        $this->lines[$path] ??= $this->lineHere();
        $opens = $this->token;
        $this->step();
        match ($opens) {
            '{' => $this->object($path, $depth + 1),
            '[' => $this->list($path, $depth + 1),
            default => null,
        };
    }

    private function object(string $path, int $depth): void
    {
        while ('' !== $this->token && '}' !== $this->token) {
            if (',' === $this->token) {
                $this->step();
                continue;
            }
            $name = json_decode($this->token);
            $line = $this->lineHere();
            $this->step();
            if (!\is_string($name) || ':' !== $this->token) {
                $this->stop();

                return;
            }
            $this->step();
            $here = '' === $path ? $name : "$path.$name";
            $this->lines[$here] = $line;
            $text = 'id' === $name ? json_decode($this->token) : null;
            if (\is_string($text)) {
                $this->names[$path] = mb_substr($text, 0, 40);
            }
            $this->value($here, $depth);
        }
        $this->step();
    }

    private function list(string $path, int $depth): void
    {
        $index = 0;
        while ('' !== $this->token && ']' !== $this->token) {
            if (',' === $this->token) {
                $this->step();
                continue;
            }
            $this->value("$path.".$index++, $depth);
        }
        $this->step();
    }

    private function step(): void
    {
        if (1 !== preg_match(self::TOKEN, $this->json, $found, \PREG_OFFSET_CAPTURE, $this->next)) {
            $this->stop();

            return;
        }
        [$this->token, $this->offset] = $found[1];
        $this->next = $this->offset + \strlen($this->token);
    }

    private function stop(): void
    {
        $this->token = '';
        $this->next = \strlen($this->json);
    }

    /** Line of the token at hand; tokens only go on, so each line is counted once. */
    private function lineHere(): int
    {
        $this->line += substr_count($this->json, "\n", $this->counted, $this->offset - $this->counted);
        $this->counted = $this->offset;

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
