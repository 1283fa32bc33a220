<?php

declare(strict_types=1);

namespace Olvek\Bench;

use Olvek\Bench\Drawing\YearChart;
use Olvek\Core\Plan\Plan;
use Olvek\Core\Run\Runner;
use Olvek\Core\Run\UsualCare;
use Olvek\Shelf\Revision;
use Psr\Cache\CacheItemPoolInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/** The first year of a plan, kept per revision, so that looking again does not run it anew. */
final readonly class Years
{
    private const FIRST_YEAR = 365;
    /** Seconds that a chart is kept. */
    private const KEPT = 86400;

    public function __construct(private CacheItemPoolInterface $cache, #[Autowire('%olvek.build%')] private string $build)
    {
    }

    /** @param bool $keep whether this plan is likely to be looked at again; an edit is soon followed by the next, and keeping costs as much as running */
    public function of(Revision $revision, Plan $plan, bool $keep): YearChart
    {
        $item = $this->cache->getItem(implode('.', ['year', $this->build, $revision->tank->id()->toBase58(), $revision->number]));
        $kept = $item->get();
        if ($kept instanceof YearChart) {
            return $kept;
        }
        $chart = YearChart::of((new Runner($plan))->run(self::FIRST_YEAR, UsualCare::events()));
        if ($keep) {
            $this->cache->save($item->set($chart)->expiresAfter(self::KEPT));
        }

        return $chart;
    }
}
