<?php

declare(strict_types=1);

namespace Olvek\Service\Judging;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Judgement\Margin\Band;
use Olvek\Core\Judgement\Margin\Judge;
use Olvek\Core\Judgement\Margin\Judgement;
use Olvek\Core\Judgement\Margin\Likelihood;
use Olvek\Core\Judgement\Margin\Uncertainty;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Ensemble;
use Olvek\Service\Site\ResultCache;
use Olvek\Service\Tank\Revision;
use Olvek\Service\Tank\TankRepository;
use Olvek\Service\Work\WorkQueue;

/**
 * What a plan's first year comes to, kept per plan, so that looking again, undoing and comparing do not run it anew.
 *
 * How sure it is, is worked out a few tanks at a time, each part kept too (BandJob): any process may do any part, and a keeper who goes
 * on loses nothing.
 */
final readonly class Outcomes
{
    /** Tanks in a part, and parts in the whole. */
    public const TANKS = 2;
    public const PARTS = Ensemble::MEMBERS / self::TANKS;

    /** Revisions back to which it is looked for one of which it is known how sure it is. J. */
    private const EARLIER = 5;

    /** @var \WeakMap<Revision, Judgement> what this process has judged and not kept yet */
    private \WeakMap $judged;
    /** @var \WeakMap<Revision, Uncertainty> what has been carried over in this process */
    private \WeakMap $carried;

    public function __construct(private ResultCache $cache, private TankRepository $tanks)
    {
        $this->judged = new \WeakMap();
        $this->carried = new \WeakMap();
    }

    /** What a plan comes to in words and margins, before anything is drawn or kept of it. */
    public function verdict(Revision $revision, Plan $plan, UnitSystem $units): Verdict
    {
        $kept = $this->cache->known(self::outcome($revision, $units));
        $verdict = $kept instanceof Outcome ? $kept : Verdict::of($this->judged[$revision] = Judge::judge($plan, $units));
        $sureness = $this->sureness($revision) ?? $this->carried($revision, $verdict, $units);

        return null === $sureness ? $verdict : $verdict->with($sureness, $plan);
    }

    public function of(Revision $revision, Plan $plan, UnitSystem $units): Outcome
    {
        $outcome = $this->cache->get(
            self::outcome($revision, $units),
            fn (): Outcome => Outcome::drawn($this->judged[$revision] ?? Judge::judge($plan, $units), $plan),
        );
        $sureness = $this->sureness($revision) ?? $this->carried($revision, $outcome, $units);

        return null === $sureness ? $outcome : $outcome->with($sureness, $plan);
    }

    /**
     * How likely each harm is, read off what was known of an earlier revision until it is known of this one: without it a tank that is
     * tight would hold for some seconds after each change.
     *
     * @param Verdict $now of one run
     */
    private function carried(Revision $revision, Verdict $now, UnitSystem $units): ?Uncertainty
    {
        $earlier = isset($this->carried[$revision]) ? null : $revision;
        for ($back = 0; $back < self::EARLIER && null !== $earlier?->parent; ++$back) {
            $earlier = $this->tanks->revision($revision->tank, $earlier->parent);
            $counted = null === $earlier ? null : $this->sureness($earlier);
            $then = null === $earlier || null === $counted ? null : $this->cache->known(self::outcome($earlier, $units));
            if (null !== $counted && $then instanceof Outcome) {
                $this->carried[$revision] = Likelihood::after($counted, $then->harms, $now->harms);
                break;
            }
        }

        return $this->carried[$revision] ?? null;
    }

    /** How sure a plan's margins are; null while that is not known. */
    private function sureness(Revision $revision): ?Uncertainty
    {
        $sureness = $this->cache->known(self::key('sureness', $revision));

        return $sureness instanceof Uncertainty ? $sureness : null;
    }

    /** Puts together how sure a plan is, once every part of the ensemble has been judged; false where some are missing. */
    public function gather(Revision $revision): bool
    {
        $parts = $this->cache->all(
            array_map(static fn (int $n): string => WorkQueue::name(new BandJob($revision->plan, $n)), range(0, self::PARTS - 1)),
        );
        if (null === $parts) {
            return false;
        }
        /** @var list<array{array<int, array<string, array{float, bool}>>}> $parts */
        $this->cache->get(
            self::key('sureness', $revision),
            static fn (): Uncertainty => Band::sureness(array_replace(...array_column($parts, 0))),
        );

        return true;
    }

    private static function outcome(Revision $revision, UnitSystem $units): string
    {
        return self::key("outcome.$units->value", $revision);
    }

    private static function key(string $what, Revision $revision): string
    {
        return $what.'.'.hash('xxh128', $revision->plan);
    }
}
