<?php

declare(strict_types=1);

namespace Olvek\Core\Keeping\Fitting;

use Olvek\Core\Keeping\Log\Log;
use Olvek\Core\Keeping\Log\LoggedEvent;
use Olvek\Core\Keeping\Log\Reading;
use Olvek\Core\Simulation\Run\Trace;

/** How far a run is from what was read: differences of logarithms, since a drop test's colours stand a factor apart, not a step. */
final readonly class Misfit
{
    /** Standard deviation of a reading's natural logarithm. J: neighbouring colours are a factor of 1.5 to 2 apart. */
    public const NOISE = 0.35;

    /** @var list<Reading> that tell something */
    public array $readings;
    /** @var array<int, true> days on which something was done after the reading */
    private array $disturbed;

    public function __construct(Log $log)
    {
        $this->readings = array_values(array_filter($log->readings, static fn (Reading $r): bool => $r->measure->isNitrogen()));
        $days = array_map(
            static fn (LoggedEvent $d): int => $d->day,
            array_filter($log->events, static fn (LoggedEvent $d): bool => $d->kind->happens()->disturbsWater),
        );
        $this->disturbed = array_fill_keys($days, true);
    }

    /** What a run has where something was read, mg N/L. */
    public function modelled(Trace $trace, Reading $reading): float
    {
        $day = max(0, min($trace->days() - 1, isset($this->disturbed[$reading->day]) ? $reading->day - 1 : $reading->day));

        return $trace->columns[$reading->measure->value][$day];
    }

    /** @return list<float> one for each reading, 1 being as far as a test may well be off */
    public function residuals(Trace $trace): array
    {
        return array_map(fn (Reading $r): float => self::residual($r, $this->modelled($trace, $r)), $this->readings);
    }

    private static function residual(Reading $reading, float $modelled): float
    {
        $least = $reading->measure->nothingBelow();
        if ($reading->isNothing()) {
            // Nothing showed: all that would not have shown agrees.
            return max(0.0, log(($modelled + $least / 2) / (1.5 * $least))) / self::NOISE;
        }

        return log(($modelled + $least / 2) / ($reading->value + $least / 2)) / self::NOISE;
    }
}
