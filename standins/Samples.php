<?php

declare(strict_types=1);

namespace Olvek\Standin;

use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Simulation\Run\UsualCare;

/** What a simulated probe reads: it hangs in a tank that Olvek's own core runs from a plan, and its noise is the same for the same hour. */
final class Samples
{
    /** °C by which a tank without a heater swings from night to afternoon. J. */
    private const DAILY_SWING = 0.6;

    /**
     * The newest samples, the newest last.
     *
     * @param string $plan file of its plan
     * @param int    $day  days since it was filled
     *
     * @return list<array{at: string, celsius: float, level: float, pH: float, conductivity: float, line: float}>
     */
    public static function of(string $plan, int $day, int $last): array
    {
        $plan = (new PlanDocument(Catalogue::shipped()))->fromJson((string) file_get_contents($plan));
        $now = new \DateTimeImmutable();
        $hours = [];
        $trace = (new Runner($plan))->run($day + 1, UsualCare::events(), hourly: static function (int $day, int $hour, array $water) use (&$hours): void {
            $hours[24 * $day + $hour] = $water;
        });
        $newest = 24 * $day + (int) $now->format('G');
        $samples = [];
        for ($n = max(0, $newest - $last + 1); $n <= $newest; ++$n) {
            $on = intdiv($n, 24);
            $hour = $n % 24;
            $noise = static fn (string $of): float => (crc32("$of $n") % 2001 - 1000) / 1000;
            $lost = $trace->columns['evaporated'][$on] * $hour / 24 / 1000 / $plan->surface();
            $samples[] = [
                'at' => $now->modify(\sprintf('-%d hours', $newest - $n))->format(\DATE_ATOM),
                'celsius' => round(
                    $trace->columns['temperature'][$on]
                        + self::DAILY_SWING / 2 * sin(2 * \M_PI * ($hour - 9) / 24)
                        + 0.1 * $noise('celsius'),
                    2,
                ),
                'level' => round($plan->waterLine - $lost + 0.0005 * $noise('level'), 4),
                'pH' => round(($hours[$n]['pH'] ?? $trace->columns['pH'][$on]) + 0.02 * $noise('pH'), 2),
                'conductivity' => round($trace->columns['conductivity'][$on] + 3 * $noise('conductivity'), 1),
                'line' => $plan->waterLine,
            ];
        }

        return $samples;
    }
}
