<?php

declare(strict_types=1);

namespace Olvek\Page\Compare;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Basis\Unit\Words;
use Olvek\Core\Keeping\Estimation\Quantity;
use Olvek\Core\Keeping\Log\TestKit;
use Olvek\Service\Compare\Compared;

/** One quantity of two or three tanks over each other. */
final readonly class CompareChart
{
    public const WIDTH = 560.0;
    public const HEIGHT = 120.0;
    private const LEFT = 6.0;
    private const RIGHT = 554.0;
    private const TOP = 10.0;
    private const FOOT = 104.0;
    /** Days between two points that are drawn. */
    private const STRIDE = 2;

    /**
     * @param list<string>                       $lines path data, one a tank
     * @param list<list<array{x: float, y: float}>> $dots readings, by tank
     * @param list<string>                       $values on the day, by tank
     */
    private function __construct(
        public Quantity $quantity,
        public string $name,
        public array $lines,
        public array $dots,
        public array $values,
        public string $most,
        public string $least,
        public float $cursor,
    ) {
    }

    /**
     * @param list<Compared> $tanks
     * @param int            $days that are shown
     */
    public static function of(Quantity $quantity, array $tanks, int $days, int $day, TestKit $kit, UnitSystem $units): self
    {
        $columns = array_map(static fn (Compared $c): array => $c->column($quantity), $tanks);
        $all = array_merge(...$columns, ...array_map(
            static fn (Compared $c): array => array_map(static fn (array $r): float => $r[1], $c->readings[$quantity->value]),
            $tanks,
        ));
        $isLevel = Quantity::Acidity === $quantity || Quantity::Temperature === $quantity;
        $least = [] === $all ? 0.0 : ($isLevel ? min($all) : 0.0);
        $most = max($least + 1e-3, [] === $all ? 1.0 : max($all));
        $x = static fn (int $day): float => round(self::x($day, $days), 1);
        $y = static fn (float $value): float => round(self::FOOT - (self::FOOT - self::TOP) * ($value - $least) / ($most - $least), 1);
        $say = static fn (float $value): string => $quantity->say($value, $kit, $units);

        return new self(
            $quantity,
            Words::capital($quantity->label()),
            array_map(static function (array $values) use ($x, $y, $days): string {
                $d = '';
                for ($day = 0; $day < min($days, \count($values)); $day += self::STRIDE) {
                    $d .= ('' === $d ? 'M' : 'L').$x($day).' '.$y($values[$day]);
                }

                return $d;
            }, $columns),
            array_map(static fn (Compared $c): array => array_map(
                static fn (array $r): array => ['x' => $x($r[0]), 'y' => $y($r[1])],
                $c->readings[$quantity->value],
            ), $tanks),
            array_map(static fn (Compared $c): string => $say($c->on($quantity, $day)), $tanks),
            $say($most),
            $say($least),
            $x($day),
        );
    }

    /** Where a day stands along it. */
    public static function x(int $day, int $days): float
    {
        return self::LEFT + (self::RIGHT - self::LEFT) * $day / max(1, $days - 1);
    }
}
