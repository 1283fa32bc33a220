<?php

declare(strict_types=1);

namespace Olvek\Bench\Drawing;

use Olvek\Core\Margin\Flow;
use Olvek\Core\Margin\Ledger;
use Olvek\Core\Plan\Plan;
use Olvek\Core\Unit\Decimal;

/** A day's nitrogen as two rows to one scale: what comes into the water, and where it goes. */
final readonly class LedgerChart
{
    public const WIDTH = 1000.0;

    /**
     * @param list<Bar> $in
     * @param list<Bar> $out
     */
    private function __construct(public array $in, public array $out, public string $total, public string $gone)
    {
    }

    public static function of(Ledger $ledger, Plan $plan): self
    {
        $names = [];
        foreach ($plan->clumps as $clump) {
            $names[$clump->id] = $clump->kind->common;
        }
        $in = [
            ['excreted by animals', $ledger->along('animals', 'ammonia'), 'animal'],
            ['rotting mulm and melt', $ledger->along('mulm', 'ammonia'), 'mulm'],
            ['through the cap', $ledger->along('soil', 'ammonia'), 'soil'],
        ];
        $out = array_map(static fn (Flow $f): array => [$names[$f->through] ?? $f->through, $f->amount, 'leaf'],
            array_values(array_filter($ledger->flows, static fn (Flow $f): bool => 'ammonia' === $f->from && 'plants' === $f->to)));
        usort($out, static fn (array $a, array $b): int => $b[1] <=> $a[1]);
        $out[] = ['bacteria, to nitrate', $ledger->along('ammonia', 'nitrate'), 'bacteria'];
        $out[] = ['water change', $ledger->along('ammonia', 'drain'), 'water'];
        $out[] = ['left over, building up', max(0.0, $ledger->change('ammonia')), 'excess'];
        $scale = self::WIDTH / max(1e-9, array_sum(array_column($in, 1)), array_sum(array_column($out, 1)));

        return new self(self::row($in, $scale), self::row($out, $scale), self::amount($ledger->supply), self::amount(array_sum(array_column($out, 1))));
    }

    /**
     * @param list<array{string, float, string}> $parts
     *
     * @return list<Bar>
     */
    private static function row(array $parts, float $scale): array
    {
        $bars = [];
        $x = 0.0;
        foreach ($parts as [$label, $amount, $class]) {
            if ($amount * $scale < 0.5) {
                continue;
            }
            $bars[] = new Bar($label, $amount, self::amount($amount), $class, round($x, 1), round($amount * $scale, 1));
            $x += $amount * $scale;
        }

        return $bars;
    }

    private static function amount(float $milligrams): string
    {
        return Decimal::significant($milligrams, 2);
    }
}
