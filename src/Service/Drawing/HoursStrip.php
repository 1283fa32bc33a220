<?php

declare(strict_types=1);

namespace Olvek\Service\Drawing;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Snapshot;

/** The lamp's day on a strip of 24 hours. */
final class HoursStrip
{
    private const WIDTH = 600.0;
    private const HEIGHT = 40.0;
    private const LEFT = 74.0;
    private const RIGHT = 74.0;
    private const TOP = 4.0;
    private const BAR = 16.0;

    public static function of(Plan $plan, Snapshot $day, UnitSystem $units): View
    {
        $view = new View('hours', 'The lamp’s day', self::WIDTH, self::HEIGHT);
        $hour = (self::WIDTH - self::LEFT - self::RIGHT) / 24;
        $x = static fn (float $at): float => self::LEFT + $hour * $at;
        $view->back[] = new Shape(Pen::rectangle($x(0), self::TOP, 24 * $hour, self::BAR), 'night');
        foreach ([0, 6, 12, 18, 24] as $at) {
            $view->back[] = new Shape(Pen::line($x($at), self::TOP + self::BAR, $x($at), self::TOP + self::BAR + 4), 'dim-line');
            $view->labels[] = new Label($x($at), self::TOP + self::BAR + 16, (string) $at, 'middle', 'dim dim-faint');
        }
        $view->labels[] = new Label(self::LEFT - 6, self::TOP + self::BAR - 6, 'hours', 'end', 'dim dim-faint');
        $lamp = $plan->lamp;
        $programme = $lamp->programme;
        $hours = $day->lampHours;
        foreach ($programme->stretches($hours) as [$from, $to]) {
            // What runs past midnight comes round again.
            foreach ([[$from, min(24.0, $to)], [max(24.0, $from) - 24, $to - 24]] as [$a, $b]) {
                if ($b > $a) {
                    $view->front[] = new Shape(
                        Pen::rectangle($x($a), self::TOP, ($b - $a) * $hour, self::BAR),
                        'lit lit-'.min(4, (int) ceil(4 * min(1.0, $day->lampShare))),
                    );
                }
            }
        }
        $strength = 100 * $day->lampShare;
        $view->words[] =
            $hours > 0
                ? \sprintf(
                    'On this day the lamp is on for %s hours at %s %% of its strength.',
                    Decimal::trimmed($hours, 1),
                    Decimal::trimmed($strength, 0),
                )
                : 'On this day the lamp is dark.';
        if ($lamp->lumens <= 0) {
            return $view;
        }
        $y = self::TOP + self::BAR / 2;
        $view->handles[] = Handle::of('light.on', 'lamp goes on', 'edge edge-tall')
            ->at($x($programme->on), $y)
            ->along(Axis::Across, per: $hour, step: 0.5)
            ->from($programme->on, 0.0, 24.0)
            ->in($units);
        $end = fmod($programme->on + $lamp->hours + $programme->pause, 24.0001);
        $view->handles[] = Handle::of('light.hours', 'hours of light', 'edge edge-tall')
            ->at($x($end), $y)
            ->along(Axis::Across, per: $hour, step: 0.5)
            ->from($lamp->hours, 0.0, 24.0 - $programme->pause)
            ->in($units);
        if ($programme->pause > 0) {
            $view->handles[] = Handle::of('light.pause', 'pause', 'edge edge-tall')
                ->at($x(fmod($programme->on + $lamp->hours / 2 + $programme->pause, 24.0001)), $y)
                ->along(Axis::Across, per: $hour, step: 0.5)
                ->from($programme->pause, 0.0, 24.0 - $lamp->hours)
                ->in($units);
        }

        return $view;
    }
}
