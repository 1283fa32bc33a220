<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Change;

/** Changes as forms and command lines carry them. */
final class Changes
{
    /**
     * @param list<Change> $changes
     *
     * @return array<string, string> typed text by place
     */
    public static function typed(array $changes): array
    {
        $typed = [];
        foreach ($changes as $change) {
            $typed[$change->place()] = $change->typed();
        }

        return $typed;
    }
}
