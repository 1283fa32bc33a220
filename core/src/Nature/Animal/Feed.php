<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Animal;

use Olvek\Core\Basis\Field\KindOf;
use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\Unit;

/** Dry food given each day, and the nitrogen in it. */
final readonly class Feed
{
    /** g N per g protein. P: AOAC / FAO (2003), Food energy – methods of analysis: the Jones factor 6.25. */
    public const NITROGEN_IN_PROTEIN = 0.16;
    /** g TAN-N per g protein fed. P: Timmons & Ebeling (2010), Recirculating Aquaculture, 2nd ed., P_TAN = F · PC · 0.092. */
    public const AMMONIA_PER_PROTEIN = 0.092;
    /** Share of the food's nitrogen that leaves as faeces and crumbs. M (0.1–0.25). */
    public const FAECES_SHARE = 0.17;
    /** Shares of its nitrogen that leave as ammonia, and that animals keep as growth and young. */
    public const AMMONIA_SHARE = self::AMMONIA_PER_PROTEIN / self::NITROGEN_IN_PROTEIN;
    public const KEPT_SHARE = 1 - self::AMMONIA_SHARE - self::FAECES_SHARE;

    /**
     * @param float $grams   dry food per day
     * @param float $protein share of the food, 0–1
     * @param float $phosphorus mg P per g dry; M (8–15)
     * @param float $iron    mg Fe per g dry; M (0.1–0.4)
     * @param Food|null $food what it is; null where nobody said: flake
     */
    public function __construct(
        #[Number('dry food a day', Dimension::Mass, 0.0, 1000.0, 'g of dry food a day', decimals: 3, metric: Unit::Gram, us: Unit::Gram),]
        public float $grams,
        #[Number('protein in the food', Dimension::Share, 0.0, 0.8, 'share of the food', decimals: 0)] public float $protein,
        public float $phosphorus = 11.0,
        public float $iron = 0.25,
        #[KindOf('foods', 'a food', 'food', 'flake or the like', 'id in the catalogue of foods; null: flake or the like'),]
        public ?Food $food = null,
    ) {
    }

    /** So much of a food, g dry a day. */
    public static function of(float $grams, float $protein, ?Food $food): self
    {
        return null === $food
            ? new self($grams, $protein)
            : new self($grams, $protein, $food->phosphorus->value, $food->iron->value, $food);
    }

    /** The same food, another amount of it. */
    public function withGrams(float $grams): self
    {
        return new self($grams, $this->protein, $this->phosphorus, $this->iron, $this->food);
    }

    /** mg N per day in the food. */
    public function nitrogen(): float
    {
        return $this->grams * 1000 * $this->protein * self::NITROGEN_IN_PROTEIN;
    }
}
