<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin;

/** Questions whose answer hinges on margins: each criterion names those that it decides (Judges). */
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

    /** @return list<MarginId> the margins that decide it, in the order in which they are judged */
    public function margins(): array
    {
        return array_values(array_filter(MarginId::cases(), fn (MarginId $id): bool => \in_array($this, $id->about()->questions, true)));
    }
}
