<?php

declare(strict_types=1);

namespace Olvek\Judging;

use Olvek\Core\Margin\Band;
use Olvek\Core\Margin\Judge;
use Olvek\Core\Margin\Uncertainty;
use Olvek\Core\Plan\Plan;
use Olvek\Core\Run\Ensemble;
use Olvek\Core\Unit\UnitSystem;
use Olvek\Site\ResultCache;
use Olvek\Tank\Revision;
use Olvek\Work\WorkQueue;

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

    public function __construct(private ResultCache $kept)
    {
    }

    public function of(Revision $revision, Plan $plan, UnitSystem $units): Outcome
    {
        $outcome = $this->kept->get(
            self::key("outcome.$units->value", $revision),
            static fn (): Outcome => Outcome::of(Judge::judge($plan, $units), $plan),
        );
        $sureness = $this->kept->known(self::key('sureness', $revision));

        return $sureness instanceof Uncertainty ? $outcome->with($sureness) : $outcome;
    }

    /** Puts together how sure a plan is, once every part of the ensemble has been judged; false where some are missing. */
    public function gather(Revision $revision): bool
    {
        $parts = $this->kept->all(
            array_map(static fn (int $n): string => WorkQueue::name(new BandJob($revision->plan, $n)), range(0, self::PARTS - 1)),
        );
        if (null === $parts) {
            return false;
        }
        /** @var list<array{array<int, array<string, array{float, bool}>>}> $parts */
        $this->kept->get(
            self::key('sureness', $revision),
            static fn (): Uncertainty => Band::sureness(array_replace(...array_column($parts, 0))),
        );

        return true;
    }

    private static function key(string $what, Revision $revision): string
    {
        return $what.'.'.hash('xxh128', $revision->plan);
    }
}
