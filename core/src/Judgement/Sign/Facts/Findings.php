<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Sign\Facts;

use Olvek\Core\Judgement\Sign\Finding;
use Olvek\Core\Judgement\Sign\Source;
use Olvek\Core\Judgement\Sign\TankCase;

/** All that a tank's plan, logbook and run say of what bears on causes. */
final class Findings
{
    /** @return array<string, Finding> by fact; none of what nothing tells of */
    public static function of(TankCase $case): array
    {
        $found = [];
        foreach ([
            ...PlantFacts::of($case),
            ...ShadeFacts::of($case),
            ...WaterFacts::of($case),
            ...LightFacts::of($case),
            ...FoodFacts::of($case),
            ...AnimalFacts::of($case),
            ...StockFacts::of($case),
            ...BedFacts::of($case),
            ...PastFacts::of($case),
        ] as $finding) {
            $found[$finding->fact] = $finding;
        }
        // Whoever stands before the tank knows better.
        foreach ($case->told as $fact => $so) {
            $found[$fact] = new Finding($fact, $so ? 1.0 : 0.0, $so ? 'You say so' : 'You say it is not so', Source::Told, $case->day);
        }

        return $found;
    }
}
