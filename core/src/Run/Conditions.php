<?php

declare(strict_types=1);

namespace Olvek\Core\Run;

use Olvek\Core\Plan\Plan;

/** What the keeper sets and events may change from one day to the next. */
final class Conditions
{
    public float $celsius;
    public float $lightHours;
    /** Factor on the lamp's strength. */
    public float $lightShare = 1.0;
    public float $food;
    public float $protein;
    /** Last day (exclusive) of a warm or cold spell, and its difference in °C. */
    public int $spellUntil = 0;
    public float $spell = 0.0;
    /** Days (exclusive) until which the lamp stays off, and nobody feeds. */
    public int $darkUntil = 0;
    public int $awayUntil = 0;

    public function __construct(Plan $plan)
    {
        $this->celsius = $plan->site->temperature;
        $this->lightHours = $plan->lamp->hours;
        $this->food = $plan->feed->grams;
        $this->protein = $plan->feed->protein;
    }
}
