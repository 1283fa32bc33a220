<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin\Harm;

use Olvek\Core\Nature\Animal\AnimalKind;
use Olvek\Core\Simulation\Run\Trace;
use Olvek\Core\Simulation\Run\Vitality;

/** What kills animals of a kind around a day, judged by the same limits as in the run. */
enum CauseOfDeath: string
{
    case Ammonia = 'ammonia';
    case Nitrite = 'nitrite';
    case Oxygen = 'oxygen';
    case Heat = 'heat';
    case Cold = 'cold';
    case Acid = 'acid';
    case Lye = 'lye';
    case Hunger = 'hunger';

    public static function around(Trace $trace, AnimalKind $kind, int $day): self
    {
        $c = $trace->columns;
        $from = max(0, $day - 7);
        $within = static fn (string $column): array => \array_slice($c[$column], $from, $day - $from + 1);
        $most = static fn (string $column): float => max([...$within($column), -\INF]);
        $least = static fn (string $column): float => min([...$within($column), \INF]);

        return match (true) {
            $most('unionised') > Vitality::TOXIC_AMMONIA => self::Ammonia,
            !$kind->breathesAir && $least('oxygen') < Vitality::LEAST_OXYGEN * $kind->oxygen->value => self::Oxygen,
            $most('temperature') > $kind->warmest->value + Vitality::BEARABLE => self::Heat,
            $least('temperature') < $kind->coolest->value - Vitality::BEARABLE => self::Cold,
            $most('nitrite') > Vitality::TOXIC_NITRITE => self::Nitrite,
            $least('pH') < $kind->acidest->value - Vitality::BEYOND_PH => self::Acid,
            $most('pH') > max(Vitality::BORNE_PH, $kind->alkalinest->value + Vitality::BEYOND_PH) => self::Lye,
            default => self::Hunger,
        };
    }
}
