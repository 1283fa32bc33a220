<?php

declare(strict_types=1);

namespace Olvek\Bench;

use Olvek\Bench\Drawing\YearChart;
use Olvek\Core\Plan\Plan;
use Olvek\Core\Run\Runner;
use Olvek\Shelf\Revision;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Contracts\Cache\CacheInterface;
use Symfony\Contracts\Cache\ItemInterface;

/** The first year of a plan, run once per revision: looking again, undo and redo do not run it anew. */
final readonly class Years
{
    private const FIRST_YEAR = 365;
    /** Seconds that a chart is kept. */
    private const KEPT = 86400;

    public function __construct(private CacheInterface $cache, #[Autowire('%olvek.build%')] private string $build)
    {
    }

    public function of(Revision $revision, Plan $plan): YearChart
    {
        $key = implode('.', ['year', $this->build, $revision->tank->id()->toBase58(), $revision->number]);

        return $this->cache->get($key, static function (ItemInterface $item) use ($plan): YearChart {
            $item->expiresAfter(self::KEPT);

            return YearChart::of((new Runner($plan))->run(self::FIRST_YEAR));
        });
    }
}
