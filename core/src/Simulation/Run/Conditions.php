<?php

declare(strict_types=1);

namespace Olvek\Core\Simulation\Run;

use Olvek\Core\Planning\Plan\Plan;

/** What the keeper sets and events may change from one day to the next. */
final class Conditions
{
    /** °C over what the season says. */
    public float $warmer = 0.0;
    public float $lightHours;
    /** Factor on the lamp's strength. */
    public float $lightShare = 1.0;
    /** Share of its strength to which the first weeks' programme has brought the lamp. */
    public float $ramp;
    /** Whether algae showed when somebody looked since the lamp's last step; null where nobody did. */
    public ?bool $algaeSeen = null;
    /** Days between changes of water, 0 for never, and share of it. */
    public int $changeEvery;
    public float $changeShare;
    public float $food;
    public float $protein;
    /** Last day (exclusive) of a warm or cold spell, and its difference in °C. */
    public int $spellUntil = 0;
    public float $spell = 0.0;
    /** Days (exclusive) until which the lamp stays off, and nobody feeds. */
    public int $darkUntil = 0;
    public int $awayUntil = 0;
    /** mg N a day that rotted and leaked the day before. */
    public float $ammoniaSteady = 0.0;
    /** What evaporation is made up with, and water changed for. */
    public SourceContents $topUp;
    public SourceContents $change;

    public function __construct(Plan $plan)
    {
        $this->change = SourceContents::of($plan->water, $plan->site->temperature);
        $this->topUp = null === $plan->topUp ? $this->change : SourceContents::of($plan->topUp, $plan->site->temperature);
        $this->changeEvery = $plan->care->changeEvery;
        $this->changeShare = $plan->care->changeShare;
        $this->lightHours = $plan->lamp->hours;
        $this->ramp = $plan->lamp->programme->startShare;
        $this->food = $plan->feed->grams;
        $this->protein = $plan->feed->protein;
    }
}
