<?php

declare(strict_types=1);

namespace Olvek\Service\Drawing;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Judgement\Margin\Ledger;

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

    public static function of(Ledger $ledger): self
    {
        $in = [
            ['excreted by animals', $ledger->along('animals', 'ammonia') + $ledger->along('food', 'ammonia'), 'animal'],
            ['rotting mulm and melt', $ledger->along('mulm', 'ammonia'), 'mulm'],
            ['through the cap', $ledger->along('soil', 'ammonia'), 'soil'],
            ['grazed and leaked from leaves and algae', $ledger->along('algae', 'ammonia') + $ledger->along('plants', 'ammonia'), 'leaf'],
            ['from what was there', max(0.0, -$ledger->change('ammonia')), 'excess'],
            ['dosed', $ledger->along('tap', 'ammonia'), 'water'],
        ];
        $out = [
            ['taken by plants', $ledger->along('ammonia', 'plants'), 'leaf'],
            ['taken by algae', $ledger->along('ammonia', 'algae'), 'algae'],
            ['bacteria, to nitrite and nitrate', $ledger->along('ammonia', 'nitrate'), 'bacteria'],
        ];
        $out[] = ['water change', $ledger->along('ammonia', 'drain'), 'water'];
        $out[] = ['left over, building up', max(0.0, $ledger->change('ammonia')), 'excess'];
        $scale = self::WIDTH / max(1e-9, array_sum(array_column($in, 1)), array_sum(array_column($out, 1)));

        return new self(
            self::row($in, $scale),
            self::row($out, $scale),
            self::amount(array_sum(array_column($in, 1))),
            self::amount(array_sum(array_column($out, 1))),
        );
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
