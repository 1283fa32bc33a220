<?php

declare(strict_types=1);

namespace Olvek\Page\Estimate;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Basis\Unit\Words;
use Olvek\Core\Keeping\Estimation\Estimate;
use Olvek\Core\Keeping\Estimation\Quantity;
use Olvek\Core\Keeping\Log\Reading;
use Olvek\Core\Keeping\Log\TestKit;
use Olvek\Core\Nature\Water\Measure;
use Olvek\Service\Drawing\Pen;

/**
 * One measure over a stretch of a tank's life: what was read, on the band in which it was to be expected, and on what the readings have
 * made of it. In the keeper's own unit.
 */
final readonly class LifeChart
{
    /** Air around the outermost value, as share of the range; and the least range of a pH and of all else, as it is shown. J. */
    private const AIR = 0.12;
    private const LEAST_PH = 0.5;
    private const LEAST_RANGE = 0.02;
    /** Times what counts as nothing that an axis goes to at the least: so that nothing does not look like much. J. */
    private const LEAST = 2.5;
    private const STEPS = [1.0, 2.0, 2.5, 5.0, 10.0];
    /** Readings that are drawn. J: more lie over one another. */
    private const MOST = 120;

    /**
     * @param string                                                          $title what it shows
     * @param string                                                          $name  that, with its unit
     * @param string                                                          $last  reading, with its unit
     * @param list<array{y: float, words: string}>                             $lines across, with what they stand for
     * @param list<array{x: float, words: string, anchor: string}>             $ticks along: days
     * @param list<array{x: float, y: float, words: string}>                   $dots  readings
     * @param list<array{day: int, read: string, expected: string, estimated: string}> $rows the same as a table
     * @param list<array{x: float, words: string}>                             $marks what was done
     */
    private function __construct(
        public ChartSize $size,
        public Measure $measure,
        private ?string $of,
        public string $title,
        public string $name,
        public string $last,
        public string $expected,
        public string $band,
        public string $middle,
        public array $lines,
        public array $ticks,
        public array $dots,
        public array $rows,
        public array $marks,
        public string $words,
    ) {
    }

    /**
     * @param ChartSize                            $size  in which it is drawn
     * @param string|null                          $of    clump or group that it is read of
     * @param string                               $whom  what that is called
     * @param non-empty-list<Reading>              $read  of it, in these days
     * @param int                                  $from  first day
     * @param int                                  $to    last day
     * @param array<int, list<string>>             $done  what was done, by day
     */
    public static function of(
        ChartSize $size,
        Measure $measure,
        ?string $of,
        string $whom,
        array $read,
        ?Estimate $life,
        TestKit $kit,
        UnitSystem $units,
        int $from,
        int $to,
        array $done,
    ): self {
        $unit = $units->unitFor($measure->dimension());
        $show = static fn (float $base): float => $measure->isElement() ? $kit->fromBase($measure, $base) : $unit->fromBase($base);
        $x = static fn (float $day): float => $size->left()
            + (($size->right() - $size->left()) * ($day - $from)) / max(1, $to - $from);
        $quantity = Quantity::of($measure);
        $bands = null === $quantity ? [] : $life?->band($quantity, $from, $to) ?? [];
        $expected = null === $quantity ? [] : $life?->band($quantity, $from, $to, true) ?? [];
        // Every unit is a line through its base, so that a curve's points need no closures of their own.
        [$zero, $scale] = [$show(0.0), $show(1.0) - $show(0.0)];
        $all = [
            ...array_column($read, 'value'),
            ...array_column($bands, 0),
            ...array_column($bands, 2),
            ...array_column($expected, 0),
            ...array_column($expected, 2),
        ];
        $most = max($show(max($all)), self::LEAST * $show($measure->nothingBelow()));
        [$low, $high] = self::range($measure, $show(min($all)), $most);
        $y = static fn (float $value): float => $size->foot() - (($size->foot() - $size->top()) * ($value - $low)) / ($high - $low);
        [$foot, $rise] = [$y($zero), $y($scale) - $y(0.0)];
        $rows = $dots = [];
        $every = (int) ceil(\count($read) / self::MOST);
        foreach ($read as $n => $reading) {
            // Of a probe's years every so many are drawn, the last among them; the file has all.
            if (0 !== (\count($read) - 1 - $n) % $every) {
                continue;
            }
            $shown = $kit->show($measure, $reading->value, $units);
            $band = $expected[$reading->day - $from] ?? null;
            $now = $bands[$reading->day - $from] ?? null;
            $dots[] = ['x' => $x($reading->day), 'y' => $y($show($reading->value)), 'words' => "Day $reading->day: $shown"];
            $rows[] = [
                'day' => $reading->day,
                'read' => $shown,
                'expected' => null === $band ? '' : self::figure($show($band[0])).' to '.self::figure($show($band[2])),
                'estimated' => null === $now ? '' : self::figure($show($now[0])).' to '.self::figure($show($now[2])),
            ];
        }
        $name = Words::capital($measure->label()).('' === $whom ? '' : ": $whom");
        $marks = [];
        foreach ($done as $day => $words) {
            if ($day >= $from && $day <= $to) {
                $marks[] = ['x' => $x($day), 'words' => "Day $day: ".implode('; ', $words)];
            }
        }
        $last = $read[\count($read) - 1];

        return new self(
            $size,
            $measure,
            $of,
            $name,
            $name.('' === $kit->unit($measure, $units) ? '' : ', '.$kit->unit($measure, $units)),
            $kit->show($measure, $last->value, $units),
            self::area(self::points($expected, 2, $from, $x, $foot, $rise), self::points($expected, 0, $from, $x, $foot, $rise)),
            self::area(self::points($bands, 2, $from, $x, $foot, $rise), self::points($bands, 0, $from, $x, $foot, $rise)),
            [] === $bands ? '' : Pen::polyline(self::points($bands, 1, $from, $x, $foot, $rise)),
            self::lines($low, $high, $size->lines(), $y),
            self::ticks($from, $to, $size->days(), $x),
            $dots,
            $rows,
            $marks,
            \sprintf(
                '%s: %s from day %d to day %d, the last %s on day %d%s',
                $name,
                1 === \count($read) ? 'one reading' : \count($read).' readings',
                $from,
                $to,
                $kit->show($measure, $last->value, $units),
                $last->day,
                $every > 1 ? "; one of $every is shown" : '',
            ),
        );
    }

    /** By which its curves are painted. */
    public function paint(): string
    {
        return \in_array($this->measure, [Measure::Ammonia, Measure::Nitrite, Measure::Nitrate], true) ? $this->measure->value : 'water';
    }

    /** What it is known by in an address: "nitrate", "height-c1". */
    public function id(): string
    {
        return $this->measure->value.(null === $this->of ? '' : "-$this->of");
    }

    /**
     * One of the three curves of a band.
     *
     * @param list<array{float, float, float}> $band  of each day from the first
     * @param 0|1|2                            $which
     * @param \Closure(float): float           $x
     * @param float                            $foot  where a base of nothing stands
     * @param float                            $rise  of one more
     *
     * @return list<array{float, float}>
     */
    private static function points(array $band, int $which, int $from, \Closure $x, float $foot, float $rise): array
    {
        $points = [];
        foreach ($band as $n => $of) {
            $points[] = [$x($from + $n), $foot + $rise * $of[$which]];
        }

        return $points;
    }

    /**
     * What lies between two curves.
     *
     * @param list<array{float, float}> $high
     * @param list<array{float, float}> $low
     */
    private static function area(array $high, array $low): string
    {
        return [] === $high ? '' : Pen::polygon([...$high, ...array_reverse($low)]);
    }

    /** @return array{float, float} from where to where the axis goes */
    private static function range(Measure $measure, float $least, float $most): array
    {
        $air = self::AIR * max($most - $least, $measure->isAcidity() ? self::LEAST_PH : self::LEAST_RANGE);
        // Amounts begin at nothing; a pH or a temperature has no nothing.
        $fromNothing = !$measure->isAcidity() && Measure::Temperature !== $measure;

        return [$fromNothing ? 0.0 : $least - $air, $most + $air];
    }

    /**
     * @param \Closure(float): float $y
     *
     * @return list<array{y: float, words: string}>
     */
    private static function lines(float $low, float $high, int $most, \Closure $y): array
    {
        $step = self::step(($high - $low) / $most);
        $lines = [];
        for ($value = ceil($low / $step) * $step; $value <= $high; $value += $step) {
            $lines[] = ['y' => $y($value), 'words' => self::figure($value)];
        }

        return $lines;
    }

    private static function step(float $least): float
    {
        $power = 10 ** floor(log10($least));
        foreach (self::STEPS as $step) {
            if ($step * $power >= $least) {
                return $step * $power;
            }
        }

        return 10 * $power;
    }

    /**
     * @param \Closure(float): float $x
     *
     * @return list<array{x: float, words: string, anchor: string}>
     */
    private static function ticks(int $from, int $to, int $most, \Closure $x): array
    {
        $step = (int) max(1, self::step(($to - $from) / $most));
        $ticks = [];
        for ($day = (int) ceil($from / $step) * $step; $day <= $to; $day += $step) {
            $ticks[] = [
                'x' => $x($day),
                'words' => "day $day",
                'anchor' => match (true) {
                    $day - $from < $step / 4 => 'start',
                    $to - $day < $step / 4 => 'end',
                    default => 'middle',
                },
            ];
        }

        return $ticks;
    }

    private static function figure(float $value): string
    {
        return abs($value) < 1e-9 ? '0' : Decimal::trimmed($value, abs($value) < 0.1 ? 3 : (abs($value) < 10 ? 2 : 1));
    }
}
