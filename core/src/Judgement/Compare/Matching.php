<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Compare;

/**
 * Which item of one plan is which of the other: of versions of one tank by their ids, of unlike tanks by their kinds. The second plan's are
 * told under the first one's ids.
 */
final class Matching
{
    public static function renamed(FlattenedPlan $here, FlattenedPlan $there): FlattenedPlan
    {
        foreach ($there->lists() as $list) {
            $ids = self::ids($here->items($list), $there->items($list));
            $there = $there->renamed($list, $ids);
        }

        return $there;
    }

    /**
     * @param array<string, array{kind: string, name: string, brief: string}> $mine
     * @param array<string, array{kind: string, name: string, brief: string}> $its
     *
     * @return array<string, string> id that each of its items has here, or one that is new
     */
    private static function ids(array $mine, array $its): array
    {
        $ids = [];
        $open = $mine;
        $take = static function (string $id, string $as) use (&$ids, &$open): void {
            $ids[$id] = $as;
            unset($open[$as]);
        };
        foreach ($its as $id => $item) {
            if (($mine[$id]['kind'] ?? null) === $item['kind']) {
                $take("$id", "$id");
            }
        }
        $related = [] !== $ids || (1 === \count($mine) && 1 === \count($its));
        foreach ($its as $id => $item) {
            foreach (isset($ids[$id]) ? [] : $open as $as => $other) {
                if ($other['kind'] === $item['kind']) {
                    $take("$id", "$as");
                    break;
                }
            }
        }
        foreach ($its as $id => $item) {
            if (isset($ids[$id])) {
                continue;
            }
            // The same place in versions of one tank, now of another kind.
            $take("$id", $related && isset($open[$id]) ? "$id" : "there-$id");
        }

        return $ids;
    }
}
