<?php

declare(strict_types=1);

namespace Olvek\Core\Keeping\Estimation;

use Olvek\Core\Basis\Unit\Unit;
use Olvek\Core\Keeping\Log\Log;
use Olvek\Core\Nature\Water\Carbonate;
use Olvek\Core\Nature\Water\CarbonSpeciation;
use Olvek\Core\Nature\Water\Measure;
use Olvek\Core\Planning\Plan\Plan;

/**
 * What a pH before dawn and one at dusk say together with the carbonate hardness: carbon dioxide at both ends of the day, and how much
 * carbon light drew from the water; by night as much comes back where the days are alike. What passed the surface meanwhile is in it.
 *
 * P (that it can be read so): Odum (1956), Primary production in flowing waters, Limnol. Oceanogr. 1, with carbon in place of oxygen.
 */
final readonly class Breath
{
    /** Days that both readings, and the hardness, may lie apart. J. */
    private const APART = 1;
    private const HARDNESS = 45;

    /**
     * @param float $dawn   mg CO2/L
     * @param float $dusk   mg CO2/L
     * @param float $drawn  mg C/L that light drew from the water in the day, over what was breathed meanwhile
     * @param float $litres of water
     */
    private function __construct(public int $day, public float $dawn, public float $dusk, public float $drawn, public float $litres)
    {
    }

    /** The newest; null where it was not read. */
    public static function of(Plan $plan, Log $log): ?self
    {
        $dusk = $log->latest(Measure::AcidityAtDusk);
        $dawn = $log->latest(Measure::AcidityAtDawn);
        $hardness = $log->latest(Measure::CarbonateHardness);
        if (
            null === $dusk || null === $dawn || null === $hardness
            || abs($dawn->day - $dusk->day) > self::APART || abs($hardness->day - $dusk->day) > self::HARDNESS
        ) {
            return null;
        }
        $celsius = $plan->temperatureOn($dusk->day);
        $alkalinity = Unit::GermanDegree->convertTo(Unit::MilliequivalentPerLitre, $hardness->value);

        return new self(
            $dusk->day,
            Carbonate::co2($dawn->value, $alkalinity, $celsius),
            Carbonate::co2($dusk->value, $alkalinity, $celsius),
            self::carbon($dawn->value, $alkalinity, $celsius) - self::carbon($dusk->value, $alkalinity, $celsius),
            $plan->netWater(),
        );
    }

    /** mg C/L of all inorganic carbon. */
    private static function carbon(float $pH, float $alkalinity, float $celsius): float
    {
        $h = 10 ** -$pH;
        [$k1, $k2] = [10 ** Carbonate::logK1($celsius), 10 ** Carbonate::logK2($celsius)];

        return Carbonate::co2($pH, $alkalinity, $celsius) / CarbonSpeciation::CO2_PER_CARBON * (1 + $k1 / $h + $k1 * $k2 / $h ** 2);
    }
}
