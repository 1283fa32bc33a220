<?php

declare(strict_types=1);

namespace Olvek\Core\Simulation\Run;

/**
 * What no plan tells of a tank: by how much its plants grew, and its keeper fed, more or less than constant numbers say, month by month.
 * An estimate from readings needs it: without it a tank that changed its ways in its eighth month would have to be explained from its
 * first.
 */
final readonly class Drift
{
    /** Days of a stretch in which both stay the same. */
    public const STRETCH = 28;

    /**
     * @param list<float> $growth factor on the plants' growth by stretch; the last goes on
     * @param list<float> $food   factor on the food given, likewise
     */
    public function __construct(private array $growth, private array $food)
    {
    }

    public function growth(int $day): float
    {
        return self::on($this->growth, $day);
    }

    public function food(int $day): float
    {
        return self::on($this->food, $day);
    }

    /** @param list<float> $factors */
    private static function on(array $factors, int $day): float
    {
        return [] === $factors ? 1.0 : $factors[min(\count($factors) - 1, intdiv($day, self::STRETCH))];
    }
}
