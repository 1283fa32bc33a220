<?php

declare(strict_types=1);

namespace Olvek\Core\Run\Event;

use Olvek\Core\Run\Books;
use Olvek\Core\Run\Conditions;
use Olvek\Core\Run\Facts;
use Olvek\Core\Run\State;

/** More of a clump is planted, g dry. */
final readonly class Plant extends Dated
{
    public function __construct(int $on, private int $clump, private float $grams)
    {
        parent::__construct($on);
    }

    public function happen(int $day, State $state, Conditions $conditions, Facts $facts, Books $books): void
    {
        $p = $facts->parameters;
        $state->biomass[$this->clump] += $this->grams;
        $state->leafNitrogen[$this->clump] += $this->grams * $p->leafNitrogenPlanted;
        $state->plantedOn[$this->clump] = (float) $day;
        $state->plantedMass[$this->clump] = $this->grams;
        $books->add($this->grams * $p->leafNitrogenPlanted, $this->grams * $p->leafPhosphorus, $this->grams * $p->leafPotassium, $this->grams * $p->leafIron, $this->grams * $p->leafCarbon);
    }
}
