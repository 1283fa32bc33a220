<?php

declare(strict_types=1);

namespace Olvek\Core\Run;

/**
 * Nitrifiers grow by what they oxidised, the slower the fuller their surfaces, and decay. Their own nitrogen (2 % of what
 * passes) is not booked; a trace always settles from the air and keeps a colony possible.
 *
 * @internal
 */
final class BacteriaDay
{
    /** Share of the mature film that is always there. J. */
    private const TRACE = 1e-6;
    /** Decay of a starving colony against that of a busy one: cells go dormant. J (0.1–0.4). */
    private const DORMANT = 0.15;

    public static function run(State $s, Day $day, Facts $facts): void
    {
        $p = $facts->parameters;
        $most = $facts->filmMost;
        $s->ammoniaOxidisers = self::next($s->ammoniaOxidisers, $day->oxidisedAmmonia, $p->ammoniaOxidiserRate, $p->ammoniaOxidiserYield, $most, $p->nitrifierDecay, $day->theta);
        $s->nitriteOxidisers = self::next($s->nitriteOxidisers, $day->oxidisedNitrite, $p->nitriteOxidiserRate, $p->nitriteOxidiserYield, $most * $p->ammoniaOxidiserRate / $p->nitriteOxidiserRate, $p->nitrifierDecay, $day->theta);
    }

    private static function next(float $standing, float $oxidised, float $rate, float $yield, float $most, float $decay, float $theta): float
    {
        $busy = min(1.0, $oxidised / ($rate * $theta * $standing + 1e-12));
        $grown = $standing + $yield * $oxidised * max(0.0, 1 - $standing / $most);

        return max(self::TRACE * $most, $grown * exp(-$decay * $theta * (self::DORMANT + (1 - self::DORMANT) * $busy)));
    }
}
