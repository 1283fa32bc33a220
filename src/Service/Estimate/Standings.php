<?php

declare(strict_types=1);

namespace Olvek\Service\Estimate;

use Olvek\Core\Basis\TimeLimit\TimeLimit;
use Olvek\Core\Judgement\Standing\Standing;
use Olvek\Core\Keeping\Estimation\Estimator;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Account\Today;
use Olvek\Service\Tank\Tank;

/**
 * How running tanks stand today: at once from the likeliest tank, and from all tanks of the estimate as soon as it has been worked out.
 */
final readonly class Standings
{
    public function __construct(private TankHistories $histories, private KeptStandings $kept, private Today $today)
    {
    }

    /** Null of a tank that is not filled, or older than a run is long. */
    public function of(Tank $tank, Keeper $keeper): ?Standing
    {
        $day = $this->day($tank, $keeper);
        if (null === $day) {
            return null;
        }
        $known = $this->kept->known($tank, $day);
        if (null !== $known) {
            return $known;
        }
        $life = $this->histories->of($tank, $keeper) ?? throw new \LogicException('A filled tank has a life.');
        $standing = $this->likely($life, $life->plan);
        $this->kept->put($tank, $day, $standing);

        return $standing;
    }

    /** How it would stand with another plan, which differs in days to come; nothing is kept. */
    public function tried(Tank $tank, Plan $plan, Keeper $keeper): ?Standing
    {
        $life = null === $this->day($tank, $keeper) ? null : $this->histories->of($tank, $keeper);

        return null === $life ? null : $this->likely($life, $plan->filledOn($life->filled));
    }

    /**
     * Many tanks: those that patience does not reach stand as they last did.
     *
     * @param list<Tank> $tanks
     *
     * @return array{array<string, Standing>, int} by tank, where any is known; how many are still to be worked out
     */
    public function among(array $tanks, Keeper $keeper, TimeLimit $patience): array
    {
        $standings = [];
        $waiting = 0;
        foreach ($tanks as $tank) {
            $day = $this->day($tank, $keeper);
            if (null === $day) {
                continue;
            }
            $standing = $this->kept->known($tank, $day);
            if (null === $standing && !$patience->isSpent()) {
                $standing = $this->of($tank, $keeper);
            }
            if (null === $standing) {
                ++$waiting;
                $standing = $this->kept->last($tank);
            }
            if (null !== $standing) {
                $standings[$tank->id()->toRfc4122()] = $standing;
            }
        }

        return [$standings, $waiting];
    }

    private function likely(TankHistory $life, Plan $plan): Standing
    {
        $lived = (new Estimator($plan, $life->log, $life->day))->lived($this->kept->likeliest($life->revision->tank), true);

        return Standing::likely($lived, $life->day, $life->log);
    }

    /** Days after filling; null where there is no run to stand on. */
    private function day(Tank $tank, Keeper $keeper): ?int
    {
        $filled = $tank->filledOn();
        $day = null === $filled ? null : max(0, Today::between($filled, $this->today->of($keeper)));

        return null === $day || $day >= Plan::LAST_DAY ? null : $day;
    }
}
