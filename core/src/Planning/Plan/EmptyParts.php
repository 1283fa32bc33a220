<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Plan;

/**
 * Which parts of a JSON text are empty objects, and which empty lists: read into arrays, as documents are, both look alike.
 *
 * @internal
 */
final class EmptyParts
{
    public const OBJECT = 'object';
    public const LIST = 'list';

    /** @return array<string, string> OBJECT or LIST by place, named as DocumentReader names it */
    public static function of(string $json): array
    {
        $found = [];
        if (1 === preg_match('/\{\s*\}|\[\s*\]/', $json)) {
            self::walk(json_decode($json, false, 32), '', $found);
        }

        return $found;
    }

    /** @param array<string, string> $found */
    private static function walk(mixed $part, string $path, array &$found): void
    {
        if (!\is_array($part) && !$part instanceof \stdClass) {
            return;
        }
        $inner = (array) $part;
        if ([] === $inner) {
            $found[$path] = \is_array($part) ? self::LIST : self::OBJECT;
        }
        foreach ($inner as $key => $value) {
            $id = \is_array($part) && $value instanceof \stdClass ? $value->id ?? null : null;
            self::walk($value, ltrim($path.'.'.DocumentReader::itemName($id, $key), '.'), $found);
        }
    }
}
