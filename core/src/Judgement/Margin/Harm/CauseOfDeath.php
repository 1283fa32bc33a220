<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin\Harm;

use Olvek\Core\Judgement\Margin\Nitrite;
use Olvek\Core\Nature\Animal\AnimalKind;
use Olvek\Core\Simulation\Run\Trace;

/** By what animals of a kind die around a day, as the run's water tells. */
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

    /** mg NH3-N/L from which animals die of it. M: Simulation\Run\Vitality. */
    private const TOXIC = 0.15;

    public static function around(Trace $trace, AnimalKind $kind, int $day): self
    {
        $c = $trace->columns;
        $from = max(0, $day - 7);
        $within = static fn (string $column): array => \array_slice($c[$column], $from, $day - $from + 1);
        $most = static fn (string $column): float => max([...$within($column), -\INF]);
        $least = static fn (string $column): float => min([...$within($column), \INF]);

        return match (true) {
            $most('unionised') > self::TOXIC => self::Ammonia,
            !$kind->breathesAir && $least('oxygen') < 0.5 * $kind->oxygen->value => self::Oxygen,
            $most('temperature') > $kind->warmest->value + 3 => self::Heat,
            $least('temperature') < $kind->coolest->value - 3 => self::Cold,
            $most('nitrite') > 10 * Nitrite::ACT => self::Nitrite,
            $least('pH') < $kind->acidest->value - 1.5 => self::Acid,
            $most('pH') > max(9.5, $kind->alkalinest->value + 1.5) => self::Lye,
            default => self::Hunger,
        };
    }
}
