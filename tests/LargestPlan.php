<?php

declare(strict_types=1);

namespace Olvek\Tests;

use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\PlanDocument;

/** A plan as large as the rules allow: sixty clumps, thirty groups, forty stones and sixty events. */
final class LargestPlan
{
    public static function of(Plan $like): Plan
    {
        $catalogue = Catalogue::shipped();
        $document = new PlanDocument($catalogue);
        $data = $document->toArray($like);
        $from = json_decode((string) json_encode($data), true);
        \assert(\is_array($from) && \is_array($from['plants']) && \is_array($from['animals']));
        $plants = array_keys($catalogue->plants);
        $animals = array_keys($catalogue->animals);
        $stones = array_keys($catalogue->hardscape);
        $from['name'] = 'As large as it goes';
        $from['vessel'] = ['shape' => 'glass-box', 'length' => 3.0, 'width' => 1.0, 'height' => 0.8, 'glass' => 0.015];
        $from['waterLine'] = 0.75;
        $from['plants'] = array_map(
            static fn (int $n): array => [
                'id' => "c$n",
                'kind' => $plants[$n % \count($plants)],
                'pieces' => 5,
                'place' => ($n % 10) / 10,
                'row' => ($n % 6) / 6,
            ],
            range(1, 60),
        );
        $from['animals'] = array_map(
            static fn (int $n): array => ['id' => "a$n", 'kind' => $animals[$n % \count($animals)], 'count' => 4, 'day' => 20 + $n],
            range(1, 30),
        );
        $from['hardscape'] = array_map(
            static fn (int $n): array => [
                'id' => "h$n",
                'kind' => $stones[$n % \count($stones)],
                'litres' => 0.5,
                'place' => ($n % 10) / 10,
                'row' => 0.5,
            ],
            range(1, 40),
        );
        $from['events'] = array_map(
            static fn (int $n): array => 0 === $n % 2 ? [
                'id' => "e$n",
                'do' => 'trim',
                'day' => 5 * $n,
                'clump' => "c$n",
                'share' => 0.3,
            ] : ['id' => "e$n", 'do' => 'change', 'day' => 5 * $n, 'share' => 0.2],
            range(1, 60),
        );
        $from['feeding']['grams'] = 2.0;

        return $document->fromArray($from);
    }
}
