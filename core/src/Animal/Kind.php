<?php

declare(strict_types=1);

namespace Olvek\Core\Animal;

use Olvek\Core\Unit\Estimate;

/** A kind of animal: what it weighs, eats and needs. */
final readonly class Kind
{
    /**
     * @param Estimate $grams      wet mass of an adult
     * @param Estimate $leastTank  litres of the smallest tank that suits the kind
     * @param Estimate $litresEach litres for each further adult
     * @param Estimate $group      least number that should live together
     * @param Estimate $coolest    °C
     * @param Estimate $warmest    °C
     * @param Estimate $food       share of body mass eaten a day, dry food
     */
    public function __construct(
        public string $id,
        public string $scientific,
        public string $common,
        public Shape $shape,
        public Level $level,
        public Estimate $grams,
        public Estimate $leastTank,
        public Estimate $litresEach,
        public Estimate $group,
        public Estimate $coolest,
        public Estimate $warmest,
        public Estimate $food,
        public bool $jumper,
        public string $remarks,
    ) {
    }
}
