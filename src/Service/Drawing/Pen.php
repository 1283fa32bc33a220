<?php

declare(strict_types=1);

namespace Olvek\Service\Drawing;

/**
 * Small drawing strokes as SVG path data, and a dice that always falls the same way for the same seed,
 * so that a plant keeps its figure from one page to the next.
 */
final class Pen
{
    private const TENTHS = ['', '.1', '.2', '.3', '.4', '.5', '.6', '.7', '.8', '.9'];
    private int $state;

    public function __construct(string $seed)
    {
        $this->state = crc32($seed) | 1;
    }

    /** Next throw, evenly between two numbers. Park & Miller (1988) minimal standard. */
    public function between(float $low, float $high): float
    {
        $this->state = ($this->state * 48271) % 2147483647;

        return $low + (($high - $low) * $this->state) / 2147483647;
    }

    /** @param list<array{float, float}> $points */
    public static function polygon(array $points): string
    {
        return 'M'.implode('L', array_map(static fn (array $p): string => self::at(...$p), $points)).'Z';
    }

    /** @param list<array{float, float}> $points */
    public static function polyline(array $points): string
    {
        return 'M'.implode('L', array_map(static fn (array $p): string => self::at(...$p), $points));
    }

    public static function line(float $x1, float $y1, float $x2, float $y2): string
    {
        return 'M'.self::at($x1, $y1).'L'.self::at($x2, $y2);
    }

    public static function rectangle(float $x, float $y, float $width, float $height): string
    {
        return 'M'.self::at($x, $y).'h'.self::n($width).'v'.self::n($height).'h'.self::n(-$width).'Z';
    }

    /** A leaf from its foot to its tip, as wide as given at its middle, bulging evenly to both sides. */
    public static function leaf(float $x, float $y, float $tipX, float $tipY, float $width): string
    {
        $mx = ($x + $tipX) / 2;
        $my = ($y + $tipY) / 2;
        $length = max(0.01, hypot($tipX - $x, $tipY - $y));
        $nx = (-($tipY - $y) / $length) * $width;
        $ny = (($tipX - $x) / $length) * $width;

        $foot = self::at($x, $y);

        return 'M'.$foot.'Q'.self::at($mx + $nx, $my + $ny).' '.self::at($tipX, $tipY).'Q'.self::at($mx - $nx, $my - $ny).' '.$foot.'Z';
    }

    public static function curve(float $x, float $y, float $controlX, float $controlY, float $endX, float $endY): string
    {
        return 'M'.self::at($x, $y).'Q'.self::at($controlX, $controlY).' '.self::at($endX, $endY);
    }

    public static function disc(float $x, float $y, float $rx, float $ry): string
    {
        return 'M'.
            self::at($x - $rx, $y).
            'a'.
            self::n($rx).
            ' '.
            self::n($ry).
            ' 0 1 0 '.
            self::n(2 * $rx).
            ' 0a'.
            self::n($rx).
            ' '.
            self::n($ry).
            ' 0 1 0 '.
            self::n(-2 * $rx).
            ' 0Z';
    }

    public static function at(float $x, float $y): string
    {
        return self::n($x).' '.self::n($y);
    }

    /** A number to a tenth. By whole tenths: a drawing has thousands, and round() with a cast takes twice as long. */
    public static function n(float $value): string
    {
        if ($value < 0) {
            $tenths = (int) (0.5 - 10 * $value);

            return 0 === $tenths ? '0' : '-'.intdiv($tenths, 10).self::TENTHS[$tenths % 10];
        }
        $tenths = (int) (10 * $value + 0.5);

        return intdiv($tenths, 10).self::TENTHS[$tenths % 10];
    }
}
