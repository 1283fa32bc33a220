<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Plan;

/**
 * On which line of a JSON text each place of its document stands, and which keys it gives twice. Items of a list are named by their "id",
 * where they have one. What is hostile is not placed: too deep, too many, or longer than any name of a plan.
 */
final class JsonLines
{
    /** Nesting and number of places beyond which nothing more is placed: no plan goes so deep or so wide. */
    private const DEEPEST = 32;
    private const MOST = 20000;
    /** Bytes of a key, above which it and all below it is left out. The longest of a plan has 24, an id 60. */
    private const LONGEST_KEY = 60;
    /** Bytes of a place, above which it is left out. */
    private const LONGEST_PLACE = 240;
    /** Keys given twice that are told. */
    private const MOST_REPEATED = 20;
    private const TOKEN = '/\s*+("(?:[^"\\\\]++|\\\\.)*+"|[{}\[\]:,]|[^\s{}\[\]:,"]++)/As';

    /** @var array<string, int> */
    private array $lines = [];
    /** @var array<string, array<string, string>> index by id, by the path of the list */
    private array $indices = [];
    /** @var list<string> paths of keys that are given a second time */
    private array $repeated = [];
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

    public static function of(string $json): self
    {
        $scan = new self($json);
        $scan->value('', 0);

        return $scan;
    }

    /** The line of a place; of what is missing, that of what it is missing from. Null where not even that is there. */
    public function line(string $place): ?int
    {
        $path = '';
        $line = $this->lines[''] ?? null;
        foreach ('' === $place ? [] : explode('.', $place) as $key) {
            $below = self::below($path, $this->indices[$path][$key] ?? $key);
            if (!isset($this->lines[$below])) {
                break;
            }
            $path = $below;
            $line = $this->lines[$path];
        }

        return $line;
    }

    /** @return list<string> places that are given more than once: which of them is meant, nobody can know */
    public function repeated(): array
    {
        return $this->repeated;
    }

    private static function below(string $path, string $key): string
    {
        return '' === $path ? $key : "$path.$key";
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
        $seen = [];
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
            if (\strlen($name) > self::LONGEST_KEY) {
                $this->skip();
                continue;
            }
            $here = self::below($path, $name);
            if (\strlen($here) > self::LONGEST_PLACE) {
                $this->skip();
                continue;
            }
            if (isset($seen[$name]) && \count($this->repeated) < self::MOST_REPEATED) {
                $this->repeated[] = $here;
            }
            $seen[$name] = true;
            $this->lines[$here] = $line;
            $text = 'id' === $name ? json_decode($this->token) : null;
            if (\is_string($text) && \strlen($text) <= self::LONGEST_KEY && str_contains($path, '.')) {
                $at = (int) strrpos($path, '.');
                $this->indices[substr($path, 0, $at)][$text] ??= substr($path, $at + 1);
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
            \strlen($path) > self::LONGEST_PLACE ? $this->skip() : $this->value("$path.".$index++, $depth);
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

    /** Goes past a whole value without placing anything of it. */
    private function skip(): void
    {
        $open = 0;
        do {
            $open += match ($this->token) {
                '{', '[' => 1,
                '}', ']' => -1,
                default => 0,
            };
            $this->step();
        } while ('' !== $this->token && $open > 0);
    }
}
