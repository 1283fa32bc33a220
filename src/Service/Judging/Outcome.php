<?php

declare(strict_types=1);

namespace Olvek\Service\Judging;

use Olvek\Core\Judgement\Margin\Gate;
use Olvek\Core\Judgement\Margin\Judgement;
use Olvek\Core\Judgement\Margin\Margin;
use Olvek\Core\Judgement\Margin\MarginState;
use Olvek\Core\Judgement\Margin\Uncertainty;
use Olvek\Core\Judgement\Suitability\TankOffer;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Service\Drawing\YearChart;

/** What of a judgement the Bench shows, small enough to be kept. */
final readonly class Outcome extends Verdict
{
    /** @param non-empty-list<Margin> $margins */
    private function __construct(
        MarginState $state,
        string $verdict,
        array $margins,
        public int $hardestDay,
        public YearChart $year,
        public PackedDays $album,
        public TankOffer $offer,
        ?Uncertainty $sureness = null,
    ) {
        parent::__construct($state, $verdict, $margins, $sureness);
    }

    /** With all that is drawn of it. */
    public static function drawn(Judgement $judgement, Plan $plan): self
    {
        return new self(
            $judgement->state,
            $judgement->verdict,
            $judgement->margins,
            $judgement->hardestDay(),
            YearChart::of($judgement->trace, Gate::of($plan, $judgement->trace), $plan),
            PackedDays::of($judgement->trace),
            TankOffer::of($judgement->trace),
        );
    }

    /** The same outcome, and how sure it is. */
    public function with(Uncertainty $sureness): self
    {
        return new self(
            $this->state,
            $this->verdict,
            array_map(static fn (Margin $m): Margin => $sureness->of($m), $this->margins),
            $this->hardestDay,
            $this->year,
            $this->album,
            $this->offer,
            $sureness,
        );
    }
}
