<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Compare;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Basis\Unit\Words;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Planning\Plan\Plan;

/**
 * In what two plans differ: each field that matters in one of them, each thing that only one of them has. Names do not count: a copy of a
 * plan differs from it in nothing.
 */
final readonly class Differences
{
    /** @param list<Difference> $all by part */
    private function __construct(public array $all)
    {
    }

    public static function between(Plan $one, Plan $other, Catalogue $catalogue, UnitSystem $units = UnitSystem::Metric): self
    {
        $leaves = new PlanFlattener($catalogue, $units);
        [$here, $there] = [$leaves->of($one), $leaves->of($other)];
        $there = Matching::renamed($here, $there);
        $all = [];
        foreach ([...$here->lists(), ...array_diff($there->lists(), $here->lists())] as $list) {
            foreach (array_keys([...$here->items($list), ...$there->items($list)]) as $id) {
                $mine = $here->items($list)[$id] ?? null;
                $its = $there->items($list)[$id] ?? null;
                if (null === $mine || null === $its) {
                    $label = Words::capital(rtrim(($mine ?? $its)['name'] ?? '', ': '));
                    $all[] = new Difference(Part::of($list), "$list.$id", $label, $mine['brief'] ?? '', $its['brief'] ?? '');
                } elseif ($mine['kind'] !== $its['kind']) {
                    $all[] = new Difference(Part::of($list), "$list.$id", 'kind', $mine['name'], $its['name']);
                }
            }
        }
        foreach (array_keys([...$here->leaves, ...$there->leaves]) as $place) {
            $difference = self::at((string) $place, $here, $there, $leaves);
            if (null !== $difference) {
                $all[] = $difference;
            }
        }
        $order = array_flip(array_column(Part::cases(), 'value'));
        usort($all, static fn (Difference $a, Difference $b): int => $order[$a->part->value] <=> $order[$b->part->value]);

        return new self($all);
    }

    private static function at(string $place, FlattenedPlan $here, FlattenedPlan $there, PlanFlattener $leaves): ?Difference
    {
        $item = FlattenedPlan::item($place);
        if (null !== $item && (!isset($here->items($item[0])[$item[1]]) || !isset($there->items($item[0])[$item[1]]))) {
            return null;
        }
        $mine = $here->leaves[$place] ?? null;
        $its = $there->leaves[$place] ?? null;
        if ($mine === $its || !($here->matters($place) || $there->matters($place))) {
            return null;
        }
        [$one, $other] = $leaves->sayBoth($place, $mine, $its, $here, $there);
        $label = $leaves->label($place, $here, $there);

        return new Difference(
            Part::of($place),
            $place,
            null === $item ? $label : Words::capital($here->items($item[0])[$item[1]]['name']).": $label",
            $one,
            $other,
        );
    }

    /** @return list<Part> that differ */
    public function parts(): array
    {
        return array_values(array_filter(Part::cases(), fn (Part $p): bool => [] !== $this->of($p)));
    }

    /** @return list<Difference> */
    public function of(Part $part): array
    {
        return array_values(array_filter($this->all, static fn (Difference $d): bool => $d->part === $part));
    }

    /** In one sentence: "The only difference is the bed." */
    public function sentence(): string
    {
        $parts = array_map(static fn (Part $p): string => Part::Events === $p ? $p->words() : 'the '.$p->words(), $this->parts());

        return match (true) {
            [] === $parts => 'They differ in nothing.',
            1 === \count($this->all) => \sprintf('The only difference is in %s: %s.', $parts[0], Words::small($this->all[0]->words())),
            1 === \count($parts) => "The only difference is $parts[0].",
            default => 'They differ in '.Words::list($parts).'.',
        };
    }
}
