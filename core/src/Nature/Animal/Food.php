<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Animal;

use Olvek\Core\Basis\Unit\Estimate;

/** A kind of food. */
final readonly class Food
{
    /**
     * @param Estimate $protein    share of the dry food
     * @param Estimate $phosphorus mg P per g dry
     * @param Estimate $iron       mg Fe per g dry
     * @param Estimate $dryShare   share of what is weighed out that is dry matter
     */
    public function __construct(
        public string $id,
        public string $name,
        public Estimate $protein,
        public Estimate $phosphorus,
        public Estimate $iron,
        public Estimate $dryShare,
        public string $remarks,
    ) {
    }
}
