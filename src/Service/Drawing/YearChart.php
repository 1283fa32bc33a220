<?php

declare(strict_types=1);

namespace Olvek\Service\Drawing;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\Ion;
use Olvek\Core\Judgement\Margin\AmmoniaMargin;
use Olvek\Core\Judgement\Margin\DawnOxygen;
use Olvek\Core\Judgement\Margin\Gate;
use Olvek\Core\Judgement\Margin\Nitrate;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Trace;

/** The run's year in four strips over one line of days: ammonia and nitrite, nitrate, dawn oxygen, what grows. */
final readonly class YearChart
{
    public const WIDTH = 1240.0;
    public const HEIGHT = 190.0;
    private const LEFT = 120.0;
    private const RIGHT = 214.0;
    private const STRIP = 32.0;
    private const GAP = 6.0;
    private const TOP = 26.0;
    /** Algae weigh little; their line is drawn this much taller than it is. */
    private const ALGAE_DRAWN = 10.0;

    /**
     * @param list<Band> $bands
     * @param list<array{x: float, words: string}> $months
     * @param list<array{x: float, day: int, words: string}> $gates days from which the next step may be taken, or had to wait
     * @param string $lamp how bright the lamp is from day to day, within the topmost lane; its hours as the height of what is lit
     */
    private function __construct(
        public array $bands,
        public array $months,
        public float $left,
        public float $right,
        public float $foot,
        public int $days,
        public array $gates,
        public string $lamp,
    ) {
    }

    public function viewBox(): string
    {
        return \sprintf('0 0 %d %d', self::WIDTH, self::HEIGHT);
    }

    public function x(int $day): float
    {
        return $this->left + $this->perDay() * min($day, $this->days - 1);
    }

    /** Drawing units from one day to the next. */
    public function perDay(): float
    {
        return ($this->right - $this->left) / max(1, $this->days - 1);
    }

    public function top(): float
    {
        return self::TOP;
    }

    /** @param list<Gate> $gates */
    public static function of(Trace $trace, array $gates = [], ?Plan $plan = null): self
    {
        $days = $trace->days();
        $x = static fn (int $day): float => self::LEFT + ((self::WIDTH - self::LEFT - self::RIGHT) * $day) / max(1, $days - 1);
        $nitrate = array_map(Ion::Nitrate->fromElement(...), $trace->columns['nitrate']);
        $cover = array_map(static fn (float $share): float => 100 * $share, $trace->columns['cover']);
        $bands = [
            self::band(
                0,
                'ammonia, nitrite',
                'mg N/L',
                0.5,
                $x,
                [
                    ['ammonia %s', $trace->columns['ammonia'], 'curve-ammonia', 1, 1.0],
                    ['nitrite %s', $trace->columns['nitrite'], 'curve-nitrite', 1, 1.0],
                ],
                [[AmmoniaMargin::TEST_SHOWS, 'a drop test shows it']],
            ),
            self::band(
                1,
                'nitrate',
                'mg/L as NO₃',
                10.0,
                $x,
                [['nitrate %s', $nitrate, 'curve-nitrate', 1, 1.0]],
                [[Nitrate::START, 'at most this for a start']],
            ),
            self::band(
                2,
                'dawn oxygen',
                'mg/L',
                9.0,
                $x,
                [['dawn oxygen %s', $trace->columns['oxygen'], 'curve-oxygen', -1, 1.0]],
                array_map(static fn (float $limit, string $words): array => [$limit, $words], DawnOxygen::limits($plan), [
                    'fails below',
                    'tight below',
                ]),
            ),
            self::band(
                3,
                'what grows',
                'g dry, %',
                20.0,
                $x,
                [
                    ['plants %s g', $trace->columns['plants'], 'curve-plants', 1, 1.0],
                    ['floaters cover %s %%', $cover, 'curve-floaters', 1, 1.0],
                    [
                        'algae %s g/m²',
                        array_map(static fn (float $g): float => self::ALGAE_DRAWN * $g, $trace->columns['algae']),
                        'curve-algae',
                        1,
                        1 / self::ALGAE_DRAWN,
                    ],
                ],
                [],
            ),
        ];
        $months = [];
        for ($month = 0; $month * 30.4 < $days; $month += 2) {
            $months[] = ['x' => $x((int) round($month * 30.4)), 'words' => 0 === $month ? 'filled' : "month $month"];
        }

        return new self(
            $bands,
            $months,
            self::LEFT,
            self::WIDTH - self::RIGHT,
            self::TOP + 4 * (self::STRIP + self::GAP) - self::GAP,
            $days,
            array_map(static fn (Gate $g): array => ['x' => $x($g->day), 'day' => $g->day, 'words' => $g->words], $gates),
            self::lamp($trace, $x),
        );
    }

    /** @param \Closure(int): float $x */
    private static function lamp(Trace $trace, \Closure $x): string
    {
        $foot = self::TOP - 3;
        $path = 'M'.Pen::at($x(0), $foot);
        $before = -1.0;
        foreach ($trace->columns['lampShare'] as $day => $share) {
            $lit = min(1.0, ($share * $trace->columns['lampHours'][$day]) / 12);
            if (abs($lit - $before) > 0.005) {
                $path .= ($before < 0 ? '' : 'H'.Pen::n($x($day))).'V'.Pen::n($foot - (self::TOP - 5) * $lit);
                $before = $lit;
            }
        }

        return $path.'H'.Pen::n($x($trace->days() - 1)).'V'.Pen::n($foot).'Z';
    }

    /**
     * @param \Closure(int): float                                       $x
     * @param list<array{string, list<float>, string, int, float}> $lines  words, values, paint, 1 where high is worst (−1 where low
     *     is), factor from drawn to true
     * @param list<array{float, string}>                                $limits
     */
    private static function band(int $n, string $name, string $unit, float $least, \Closure $x, array $lines, array $limits): Band
    {
        $most = $least;
        foreach ($lines as [, $values]) {
            $most = max($most, ...$values);
        }
        $foot = self::TOP + $n * (self::STRIP + self::GAP) + self::STRIP;
        $y = static fn (float $value): float => $foot - (self::STRIP * $value) / $most;
        $curves = [];
        foreach ($lines as [$words, $values, $class, $sign, $true]) {
            if (max(0.0, ...$values) <= 0.0) {
                continue;
            }
            $worst = 0;
            $d = '';
            foreach ($values as $day => $value) {
                // Two days a point are finer than the line is wide.
                if (0 === $day % 2) {
                    $d .= ('' === $d ? 'M' : 'L').Pen::at($x($day), $y($value));
                }
                if ($sign * $value > $sign * $values[$worst]) {
                    $worst = $day;
                }
            }
            $curves[] = new Curve(
                $d,
                $class,
                \sprintf($words.', day %d', Decimal::significant($true * $values[$worst], 2), $worst),
                $x($worst),
                $y($values[$worst]),
            );
        }
        $lined = [];
        foreach ($limits as [$value, $words]) {
            if ($value <= $most) {
                $lined[] = ['y' => $y($value), 'words' => \sprintf('%s %s', $words, Decimal::significant($value, 2))];
            }
        }

        return new Band($name, Decimal::significant($most, 2).' '.$unit, $foot - self::STRIP, self::STRIP, $curves, $lined);
    }
}
