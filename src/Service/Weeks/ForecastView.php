<?php

declare(strict_types=1);

namespace Olvek\Service\Weeks;

use Olvek\Core\Keeping\Fitting\Fit;
use Olvek\Core\Keeping\Fitting\Forecast;

/** What is known of the days ahead. */
final readonly class ForecastView
{
    /**
     * @param Forecast      $planned what the plan alone says, as lived so far
     * @param Forecast|null $learned with what the readings have told; null where there is too little to learn from
     */
    public function __construct(public Forecast $planned, public ?Fit $fit, public ?Forecast $learned)
    {
    }

    /** The better of the two. */
    public function best(): Forecast
    {
        return $this->learned ?? $this->planned;
    }
}
