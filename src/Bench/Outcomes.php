<?php

declare(strict_types=1);

namespace Olvek\Bench;

use Olvek\Core\Margin\Band;
use Olvek\Core\Margin\Judge;
use Olvek\Core\Plan\Plan;
use Olvek\Core\Run\Ensemble;
use Olvek\Core\Unit\UnitSystem;
use Olvek\Shelf\Revision;
use Psr\Cache\CacheItemPoolInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/**
 * What a plan's first year comes to, kept per plan, so that looking again, undoing and comparing do not run it anew.
 *
 * How sure it is, is reckoned a few tanks at a time, each part kept too: any process may do any part, and a keeper who goes on
 * loses nothing.
 */
final readonly class Outcomes
{
    /** Tanks in a part, and parts in the whole. */
    public const TANKS = 2;
    public const PARTS = Ensemble::MEMBERS / self::TANKS;
    /** Seconds that an outcome is kept. */
    private const KEPT = 86400;

    public function __construct(private CacheItemPoolInterface $cache, #[Autowire('%olvek.build%')] private string $build)
    {
    }

    public function of(Revision $revision, Plan $plan, UnitSystem $units): Outcome
    {
        $outcome = $this->kept("outcome.$units->value", $revision, static fn (): Outcome => Outcome::of(Judge::judge($plan, $units), $plan));
        $spreads = $this->cache->getItem($this->key('spreads', $revision))->get();

        return \is_array($spreads) ? $outcome->withSpreads($spreads) : $outcome;
    }

    /**
     * Judges one part of the ensemble, unless that has been done; with the last part, how sure the plan is becomes known.
     *
     * @param int $part 0 to PARTS − 1
     *
     * @return bool whether all parts are done
     */
    public function reckon(Revision $revision, Plan $plan, int $part): bool
    {
        $this->kept("band.$part", $revision, static function () use ($plan, $part): array {
            $band = new Band($plan);
            $judged = [];
            for ($n = $part * self::TANKS; $n < ($part + 1) * self::TANKS; ++$n) {
                $judged[$n] = $band->member($n);
            }

            return $judged;
        });
        $all = [];
        foreach ($this->cache->getItems(array_map(fn (int $n): string => $this->key("band.$n", $revision), range(0, self::PARTS - 1))) as $item) {
            if (!$item->isHit()) {
                return false;
            }
            $all += $item->get();
        }
        $this->kept('spreads', $revision, static fn (): array => Band::spreads($all));

        return true;
    }

    /**
     * @template T
     *
     * @param \Closure(): T $make
     *
     * @return T
     */
    private function kept(string $what, Revision $revision, \Closure $make): mixed
    {
        $item = $this->cache->getItem($this->key($what, $revision));
        if (!$item->isHit()) {
            $this->cache->save($item->set($make())->expiresAfter(self::KEPT));
        }

        return $item->get();
    }

    private function key(string $what, Revision $revision): string
    {
        return implode('.', [$what, $this->build, hash('xxh128', $revision->plan)]);
    }
}
