<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Standing;

use Olvek\Core\Keeping\Estimation\Estimator;
use Olvek\Core\Keeping\Estimation\Member;
use Olvek\Core\Planning\Plan\Plan;

/** One tank of an estimate, run and judged. */
final readonly class SimulatedTank
{
    /** @param Prospect|null $prospect what it comes to from today on; null where it was run for its readings alone */
    private function __construct(public Member $member, public ?Prospect $prospect)
    {
    }

    /**
     * @param array<string, float> $scores of its numbers
     * @param bool                 $whole  to the end of the days ahead, and judged
     * @param Plan|null            $plan   another than the tank's own, which differs only in days to come
     */
    public static function run(Estimator $estimator, array $scores, bool $whole, ?Plan $plan = null): self
    {
        $lived = $estimator->lived($scores, $whole, $plan);

        $prospect = $whole ? Prospect::of(Prospect::outlook($lived, $estimator->today)) : null;

        return new self($estimator->member($lived, $scores, $whole), $prospect);
    }

    /**
     * @param list<self> $tanks
     *
     * @return list<Member>
     */
    public static function members(array $tanks): array
    {
        return array_map(static fn (self $t): Member => $t->member, $tanks);
    }

    /**
     * @param list<self> $tanks that were judged
     *
     * @return list<Prospect>
     */
    public static function prospects(array $tanks): array
    {
        return array_map(
            static fn (self $t): Prospect => $t->prospect ?? throw new \LogicException('This tank was run for its readings alone.'),
            $tanks,
        );
    }
}
