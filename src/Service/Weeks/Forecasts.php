<?php

declare(strict_types=1);

namespace Olvek\Service\Weeks;

use Olvek\Core\Basis\TimeLimit\NoTimeLimit;
use Olvek\Core\Basis\TimeLimit\TimeLimit;
use Olvek\Core\Keeping\Fitting\Fit;
use Olvek\Core\Keeping\Fitting\Forecast;
use Olvek\Core\Keeping\Fitting\Member;
use Olvek\Core\Keeping\Log\ActualPlan;
use Olvek\Core\Keeping\Log\Log;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Service\Site\ResultCache;

/**
 * Forecasts of tanks from their readings, computed a part at a time and each part kept: any process may do any part. The first part
 * fits, the others run tanks.
 */
final readonly class Forecasts
{
    public const PARTS = 9;
    private const TANKS = Forecast::MEMBERS / (self::PARTS - 1);
    /** Days ahead that are forecast, in whole weeks, so that it is not all made anew every morning. */
    private const AHEAD = 4;
    /** Last day on which one is made: by then nothing of the start is left to learn. J. */
    public const LAST_DAY = 150;

    public function __construct(private ResultCache $cache)
    {
    }

    /** @param int $part 0 to PARTS − 1; the first must have been done before the others, else each does it too */
    public function compute(Plan $plan, Log $log, int $today, int $part, TimeLimit $patience = new NoTimeLimit()): bool
    {
        $key = self::key($plan, $log, $today);
        $lived = ActualPlan::of($plan, $log);
        $fit = $this->fit($key, $lived, $log, $patience);
        if ($part > 0) {
            $this->cache->get("$key.$part", static function () use ($lived, $log, $fit, $today, $part): array {
                $members = [];
                for ($n = ($part - 1) * self::TANKS; $n < $part * self::TANKS; ++$n) {
                    $members[] = [
                        Forecast::member($lived, $log, null, self::days($today), $n),
                        null === $fit ? null : Forecast::member($lived, $log, $fit, self::days($today), $n),
                    ];
                }

                return $members;
            });
        }

        return null !== $this->known($plan, $log, $today);
    }

    /** What has been computed; null where parts are missing. */
    public function known(Plan $plan, Log $log, int $today): ?ForecastView
    {
        $key = self::key($plan, $log, $today);
        $ahead = $this->cache->known("$key.whole") ?? $this->gathered($key);

        return $ahead instanceof ForecastView ? $ahead : null;
    }

    private function gathered(string $key): ?ForecastView
    {
        $parts = $this->cache->all(array_map(static fn (int $part): string => "$key.$part", range(0, self::PARTS - 1)));
        if (null === $parts) {
            return null;
        }
        $fit = array_shift($parts);
        /** @var list<list<array{Member, Member|null}>> $parts */
        $pairs = array_merge(...$parts);
        $planned = array_column($pairs, 0);
        $learned = array_values(array_filter(array_column($pairs, 1)));
        if ([] === $planned) {
            return null;
        }
        $ahead = new ForecastView(
            Forecast::of($planned, false),
            $fit instanceof Fit ? $fit : null,
            [] === $learned ? null : Forecast::of($learned, true),
        );
        $this->cache->put("$key.whole", $ahead);

        return $ahead;
    }

    private function fit(string $key, ActualPlan $lived, Log $log, TimeLimit $patience): ?Fit
    {
        $fit = $this->cache->get("$key.0", static fn (): Fit|false => Fit::of($lived, $log, $patience) ?? false);

        return $fit instanceof Fit ? $fit : null;
    }

    private static function key(Plan $plan, Log $log, int $today): string
    {
        return implode('.', ['ahead', hash('xxh128', serialize([$plan, $log])), self::days($today)]);
    }

    private static function days(int $today): int
    {
        return 7 * (intdiv(max(0, $today), 7) + 1 + self::AHEAD);
    }
}
