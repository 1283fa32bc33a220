<?php

declare(strict_types=1);

namespace Olvek\Service\Judging;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Judgement\Margin\Gate;
use Olvek\Core\Judgement\Margin\Harm\Ahead;
use Olvek\Core\Judgement\Margin\Harm\Harm;
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
    /**
     * @param non-empty-list<Message> $verdict
     * @param non-empty-list<Margin>  $margins
     * @param list<Harm>              $harms
     * @param list<Ahead>             $ahead
     */
    private function __construct(
        MarginState $state,
        array $verdict,
        array $margins,
        array $harms,
        array $ahead,
        public int $hardestDay,
        public YearChart $year,
        public PackedDays $album,
        public TankOffer $offer,
        ?Uncertainty $sureness = null,
    ) {
        parent::__construct($state, $verdict, $margins, $harms, $ahead, $sureness);
    }

    /** With all that is drawn of it. */
    public static function drawn(Judgement $judgement, Plan $plan): self
    {
        return new self(
            $judgement->state,
            $judgement->verdict,
            $judgement->margins,
            $judgement->harms,
            $judgement->ahead,
            $judgement->hardestDay(),
            YearChart::of($judgement->trace, Gate::of($plan, $judgement->trace), $plan),
            PackedDays::of($judgement->trace),
            TankOffer::of($judgement->trace),
        );
    }

    /** The same outcome, and how sure it is. */
    public function with(Uncertainty $sureness, Plan $plan): self
    {
        $sure = parent::with($sureness, $plan);

        return new self(
            $sure->state,
            $sure->verdict,
            $sure->margins,
            $sure->harms,
            $sure->ahead,
            $this->hardestDay,
            $this->year,
            $this->album,
            $this->offer,
            $sure->sureness,
        );
    }
}
