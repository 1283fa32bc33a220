<?php

declare(strict_types=1);

namespace Olvek\Core\Animal;

/** Dry food given each day, and the nitrogen in it. */
final readonly class Feed
{
    /** g N per g protein. P: AOAC / FAO (2003), Food energy – methods of analysis: the Jones factor 6.25. */
    public const NITROGEN_IN_PROTEIN = 0.16;
    /** g TAN-N per g protein fed. P: Timmons & Ebeling (2010), Recirculating Aquaculture, 2nd ed., P_TAN = F · PC · 0.092. */
    public const AMMONIA_PER_PROTEIN = 0.092;
    /** Share of the food's nitrogen that leaves as faeces and crumbs. M (0.1–0.25). */
    public const FAECES_SHARE = 0.17;

    /**
     * @param float $grams   dry food per day
     * @param float $protein share of the food, 0–1
     */
    public function __construct(public float $grams, public float $protein)
    {
    }

    /** mg N per day in the food. */
    public function nitrogen(): float
    {
        return $this->grams * 1000 * $this->protein * self::NITROGEN_IN_PROTEIN;
    }

    /** mg TAN-N per day excreted. */
    public function ammonia(): float
    {
        return $this->grams * 1000 * $this->protein * self::AMMONIA_PER_PROTEIN;
    }

    /** mg N per day that falls to the bed as faeces and crumbs. */
    public function faeces(): float
    {
        return $this->nitrogen() * self::FAECES_SHARE;
    }

    /** mg N per day that the animals keep as growth and young. */
    public function kept(): float
    {
        return $this->nitrogen() - $this->ammonia() - $this->faeces();
    }
}
