<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Solve\Compose;

use Olvek\Core\Judgement\Margin\DawnOxygen;
use Olvek\Core\Judgement\Margin\Harm\Harm;
use Olvek\Core\Judgement\Margin\Judgement;
use Olvek\Core\Judgement\Margin\MarginId;
use Olvek\Core\Judgement\Margin\MarginState;
use Olvek\Core\Judgement\Review\Mistake;
use Olvek\Core\Judgement\Review\Mistakes;
use Olvek\Core\Planning\Plan\Plan;

/** How far a plan is from holding: what fails counts most, then what is to be mended, then what is tight. Less is better, 0 is all well. */
final readonly class Score
{
    /** What it costs a plan in score to ask for changes of water or a heater, where the taste is against it. J. */
    private const AGAINST_TASTE = 1.5;
    private const ASKS = 0.2;

    /** Weights. J: one failure is worse than all that can be tight. */
    private const FAILS = 10.0;
    private const MISTAKE = 3.0;
    private const TIGHT = 0.3;
    private const PRACTICE = 0.05;
    /** What it adds to come nearer to a harm that fails, or that does not; and times a limit beyond which none is worse. J. */
    private const NEAR = 3.0;
    private const HOLDS = 0.3;
    private const NEAR_MOST = 3.0;
    /** What it adds where no oxygen is left at dawn; less, where dawns are only unsure. J. */
    private const AIRLESS = 6.0;

    /**
     * @param list<Harm>    $failing the gravest first
     * @param list<Harm>    $tight   likewise
     * @param list<Mistake> $toFix   what is not only undecided
     * @param bool          $airy    whether oxygen lasts through the night in unlucky tanks too
     */
    private function __construct(
        public Plan $plan,
        public Judgement $judgement,
        public array $failing,
        public array $tight,
        public array $toFix,
        public float $sum,
        public bool $airy,
    ) {
    }

    public static function of(Plan $plan, Judgement $judgement): self
    {
        $failing = $tight = [];
        $sum = 0.0;
        foreach ($judgement->harms as $harm) {
            $near = min(self::NEAR_MOST, $harm->nearness());
            if (MarginState::Fails === $harm->state) {
                $failing[] = $harm;
                $sum += self::FAILS + self::NEAR * $near;
            } elseif (MarginState::Tight === $harm->state) {
                $tight[] = $harm;
                $sum += self::TIGHT + $near;
            } else {
                $sum += self::HOLDS * $near;
            }
        }
        foreach ($judgement->margins as $margin) {
            $sum += MarginState::Holds === $margin->state ? 0.0 : self::PRACTICE;
        }
        $want = DawnOxygen::SURE * DawnOxygen::need($plan->stock());
        $short = [] === $plan->groups ? 0.0 : max(0.0, 1 - $judgement->margin(MarginId::Oxygen)->measure / $want);
        $sum += self::AIRLESS * min(1.0, $short);
        $toFix = array_values(array_filter(Mistakes::in($plan), static fn (Mistake $m): bool => !$m->lack));

        return new self($plan, $judgement, $failing, $tight, $toFix, $sum + self::MISTAKE * \count($toFix), $short <= 0.0);
    }

    /** Whether nothing fails and nothing is to be mended. */
    public function holds(): bool
    {
        return MarginState::Fails !== $this->judgement->state && [] === $this->failing && [] === $this->toFix;
    }

    /** A score, and what the plan asks against its taste. */
    public function valued(Taste $taste): float
    {
        $changes = $this->plan->care->changeEvery > 0 ? 1.0 : 0.0;
        $heater = $this->plan->equipment->hasHeater() ? 1.0 : 0.0;
        $device = $this->plan->equipment->moves() ? 1.0 : 0.0;

        return $this->sum +
            $changes * (Taste::LeastWork === $taste ? self::AGAINST_TASTE : self::ASKS) +
            ($heater + $device) * (Taste::LeastMoney === $taste ? self::AGAINST_TASTE : self::ASKS);
    }
}
