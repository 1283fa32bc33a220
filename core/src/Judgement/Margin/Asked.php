<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin;

use Olvek\Core\Judgement\Margin\Harm\HarmId;

/** Questions whose answer hinges on harm. */
enum Asked
{
    /** How many more animals of a kind (Solve\MostStock). */
    case MostStock;
    /** With how few plants it still balances (Solve\LeastPlants). */
    case LeastPlants;
    /** How long the lamp may burn (Solve\LightHours). */
    case LightHours;
    /** How deep soil and cap (Solve\BedDepth). */
    case BedDepth;
    /** When animals may come (Solve\EarliestStart). */
    case EarliestStart;
    /** How much they may be fed (Solve\MostFood). */
    case MostFood;
    /** Whether a wish's animals can be granted, or have to be fewer (Solve\Compose\Composer). */
    case WishedAnimals;

    /** @return list<HarmId> the harms that decide it */
    public function harms(): array
    {
        return match ($this) {
            self::MostStock => [
                HarmId::Company, HarmId::Losses, HarmId::Water, HarmId::Room, HarmId::Temperature, HarmId::Waters, HarmId::Look,
                HarmId::Nitrate,
            ],
            self::LeastPlants => [HarmId::Losses, HarmId::Water, HarmId::Plants, HarmId::Look, HarmId::Nitrate],
            self::LightHours => [HarmId::Plants, HarmId::Look, HarmId::Water, HarmId::Losses],
            self::BedDepth => [HarmId::Bed, HarmId::Water, HarmId::Losses],
            self::EarliestStart => [HarmId::Water, HarmId::Losses],
            self::MostFood => [HarmId::Losses, HarmId::Water, HarmId::Look, HarmId::Nitrate],
            self::WishedAnimals => [
                HarmId::Company, HarmId::Losses, HarmId::Water, HarmId::Room, HarmId::Temperature, HarmId::Waters, HarmId::Nitrate,
            ],
        };
    }
}
