<?php

declare(strict_types=1);

namespace Olvek\Page\Today;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\Words;
use Olvek\Core\Keeping\Fitting\Forecast;
use Olvek\Core\Keeping\Log\Log;
use Olvek\Core\Keeping\Log\TestKit;
use Olvek\Core\Nature\Water\Measure;
use Olvek\Service\Drawing\Pen;
use Olvek\Service\Weeks\ForecastView;

/**
 * Readings on the forecast: for each measure a strip with the plan's band, the learned band, its middle, and what was read. In the kit's
 * own unit.
 */
final readonly class ForecastChart
{
    public const WIDTH = 440.0;
    public const HEIGHT = 340.0;
    public const LEFT = 6.0;
    public const RIGHT = self::WIDTH - 6.0;
    private const TOP = 18.0;
    private const STRIP = 82.0;
    private const GAP = 22.0;
    /** Air above the highest curve, and times what counts as 0 that a strip is high at the least: so that nothing looks like much. */
    private const AIR = 1.12;
    private const LEAST = 5;
    /** Days ahead of which the chart speaks in words. */
    private const SAID = 14;

    /**
     * @param list<array{name: string, top: string, y: float, height: float, class: string, planned: string, learned: string,
     *     middle: string, dots: list<array{x: float, y: float, words: string}>}> $strips
     * @param list<array{x: float, words: string}> $weeks
     */
    private function __construct(public array $strips, public array $weeks, public float $today, public string $words)
    {
    }

    public static function of(ForecastView $ahead, Log $log, TestKit $kit, int $today): self
    {
        $best = $ahead->best();
        $days = $best->days();
        $x = static fn (float $day): float => self::LEFT + ((self::RIGHT - self::LEFT) * $day) / max(1, $days - 1);
        $strips = $said = [];
        foreach (Forecast::MEASURES as $n => $measure) {
            $read = array_values(array_filter($log->readings, static fn ($r): bool => $r->measure === $measure && $r->day < $days));
            $show = static fn (float $value): float => $kit->fromBase($measure, $value);
            $band = static fn (Forecast $f, int $which): array => array_map(
                static fn (array $b): float => $show($b[$which]),
                $f->bands[$measure->value],
            );
            $high = $band($best, 2);
            $most =
                self::AIR *
                max([
                    self::LEAST * $show($measure->nothingBelow()),
                    ...$high,
                    ...array_map(static fn ($r): float => $show($r->value), $read),
                ]);
            $foot = self::TOP + $n * (self::STRIP + self::GAP) + self::STRIP;
            $y = static fn (float $value): float => $foot - self::STRIP * min(1.0, max(0.0, $value / $most));
            $middle = $band($best, 1);
            $strips[] = [
                'name' => $measure->label().', '.$kit->unit($measure),
                'top' => Decimal::significant($most, 2),
                'y' => $foot - self::STRIP,
                'height' => self::STRIP,
                'class' => 'curve-'.$measure->value,
                'planned' => null === $ahead->learned ? '' : self::area($band($ahead->planned, 0), $band($ahead->planned, 2), $x, $y),
                'learned' => self::area($band($best, 0), $high, $x, $y),
                'middle' => Pen::polyline(
                    array_map(static fn (int $day, float $value): array => [$x($day), $y($value)], array_keys($middle), $middle),
                ),
                'dots' => array_map(
                    static fn ($r): array => [
                        'x' => $x($r->day),
                        'y' => $y($show($r->value)),
                        'words' => \sprintf('Day %d: %s', $r->day, $kit->show($measure, $r->value)),
                    ],
                    $read,
                ),
            ];
            $then = min($days - 1, $today + self::SAID);
            [$low, $likely, $top] = array_map(static fn (float $v): string => $kit->show($measure, $v), $best->band($measure, $then));
            $said[] = \sprintf(
                '%s: on day %d most likely %s, in eight of ten tanks %s to %s',
                Words::capital($measure->label()),
                $then,
                $likely,
                $low,
                $top,
            );
        }
        $weeks = [];
        for ($day = 0; $day < $days; $day += 7) {
            $weeks[] = ['x' => $x($day), 'words' => 0 === $day ? 'filled' : (string) $day];
        }

        return new self($strips, $weeks, $x(min($today, $days - 1)), implode('. ', $said).'.');
    }

    public function foot(): float
    {
        return self::TOP + \count($this->strips) * (self::STRIP + self::GAP) - self::GAP;
    }

    /**
     * What lies between two curves.
     *
     * @param array<int, float>      $low  by day
     * @param array<int, float>      $high
     * @param \Closure(int): float   $x
     * @param \Closure(float): float $y
     */
    private static function area(array $low, array $high, \Closure $x, \Closure $y): string
    {
        $up = $down = [];
        foreach ($high as $day => $value) {
            $up[] = [$x($day), $y($value)];
            $down[] = [$x($day), $y($low[$day])];
        }

        return Pen::polygon([...$up, ...array_reverse($down)]);
    }
}
