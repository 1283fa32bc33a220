<?php

declare(strict_types=1);

namespace Olvek\Estimate;

use Olvek\Core\Estimation\Estimate;
use Olvek\Core\Estimation\Quantity;
use Olvek\Core\Log\Log;
use Olvek\Core\Log\Reading;
use Olvek\Core\Log\TestKit;
use Olvek\Core\Unit\Decimal;
use Olvek\Core\Unit\UnitSystem;
use Olvek\Core\Unit\Words;
use Olvek\Core\Water\Measure;
use Olvek\Drawing\Pen;

/**
 * One measure over a stretch of a tank's life: what was read, on the band in which it was to be expected, and on what the readings have
 * made
 * of it. In the keeper's own unit.
 */
final readonly class LifeChart
{
    public const WIDTH = 900.0;
    public const HEIGHT = 190.0;
    public const LEFT = 46.0;
    public const RIGHT = self::WIDTH - 12.0;
    public const TOP = 14.0;
    public const FOOT = 150.0;
    /** Air around the outermost value, as share of the range; and the least range of a pH and of all else, as it is shown. J. */
    private const AIR = 0.12;
    private const LEAST_PH = 0.5;
    private const LEAST_RANGE = 0.02;
    /** Times what counts as nothing that an axis goes to at the least: so that nothing does not look like much. J. */
    private const LEAST = 2.5;
    private const STEPS = [1.0, 2.0, 2.5, 5.0, 10.0];
    private const LINES = 4;
    /** Readings that are drawn. J: more lie over one another. */
    private const MOST = 120;

    /**
     * @param list<array{y: float, words: string}>                             $lines across, with what they stand for
     * @param list<array{x: float, words: string, anchor: string}>             $ticks along: days
     * @param list<array{x: float, y: float, words: string}>                   $dots  readings
     * @param list<array{day: int, read: string, expected: string, estimated: string}> $rows the same as a table
     * @param list<array{x: float, words: string}>                             $marks what was done
     */
    private function __construct(
        public Measure $measure,
        private ?string $of,
        public string $name,
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
     * @param string|null                          $of    clump or group that it is read of
     * @param string                               $whom  what that is called
     * @param int                                  $from  first day
     * @param int                                  $to    last day
     * @param list<array{day: int, words: string}> $done  what was done
     */
    public static function of(
        Measure $measure,
        ?string $of,
        string $whom,
        Log $log,
        ?Estimate $life,
        TestKit $kit,
        UnitSystem $units,
        int $from,
        int $to,
        array $done,
    ): ?self {
        $read = array_values(array_filter(
            $log->readings,
            static fn (Reading $r): bool => $r->measure === $measure && $r->of === $of && $r->day >= $from && $r->day <= $to,
        ));
        if ([] === $read) {
            return null;
        }
        $unit = $units->unitFor($measure->dimension());
        $show = static fn (float $base): float => $measure->isElement() ? $kit->fromBase($measure, $base) : $unit->fromBase($base);
        $x = static fn (float $day): float => self::LEFT + ((self::RIGHT - self::LEFT) * ($day - $from)) / max(1, $to - $from);
        $quantity = Quantity::of($measure);
        $bands = null === $quantity ? [] : $life?->band($quantity, $from, $to) ?? [];
        $expected = null === $quantity ? [] : $life?->band($quantity, $from, $to, true) ?? [];
        $values = [
            ...array_map(static fn (Reading $r): float => $show($r->value), $read),
            ...array_map(static fn (array $b): float => $show($b[0]), $bands),
            ...array_map(static fn (array $b): float => $show($b[2]), $bands),
            ...array_map(static fn (array $b): float => $show($b[0]), $expected),
            ...array_map(static fn (array $b): float => $show($b[2]), $expected),
        ];
        [$low, $high] = self::range($measure, min($values), max(self::LEAST * $show($measure->nothingBelow()), ...$values));
        $y = static fn (float $value): float => self::FOOT - ((self::FOOT - self::TOP) * ($value - $low)) / ($high - $low);
        $middle = [];
        foreach ($bands as $n => [, $likely]) {
            $middle[] = [$x($from + $n), $y($show($likely))];
        }
        $atBase = static fn (float $base): float => $y($show($base));
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
        $last = $read[\count($read) - 1];

        return new self(
            $measure,
            $of,
            $name.('' === $kit->unit($measure, $units) ? '' : ', '.$kit->unit($measure, $units)),
            self::area($expected, $from, $x, $atBase),
            self::area($bands, $from, $x, $atBase),
            [] === $middle ? '' : Pen::polyline($middle),
            self::lines($low, $high, $y),
            self::ticks($from, $to, $x),
            $dots,
            $rows,
            array_values(array_map(
                static fn (array $d): array => ['x' => $x($d['day']), 'words' => "Day $d[day]: $d[words]"],
                array_filter($done, static fn (array $d): bool => $d['day'] >= $from && $d['day'] <= $to),
            )),
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
     * What lies between the low and the high ends of a band.
     *
     * @param list<array{float, float, float}> $bands from a day on
     * @param \Closure(float): float                 $x
     * @param \Closure(float): float                 $y     of base values
     */
    private static function area(array $bands, int $from, \Closure $x, \Closure $y): string
    {
        $up = $down = [];
        foreach ($bands as $n => [$least, , $most]) {
            $up[] = [$x($from + $n), $y($most)];
            $down[] = [$x($from + $n), $y($least)];
        }

        return [] === $up ? '' : Pen::polygon([...$up, ...array_reverse($down)]);
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
    private static function lines(float $low, float $high, \Closure $y): array
    {
        $step = self::step(($high - $low) / self::LINES);
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
    private static function ticks(int $from, int $to, \Closure $x): array
    {
        $step = (int) max(1, self::step(($to - $from) / 6));
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
