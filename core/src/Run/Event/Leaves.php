<?php

declare(strict_types=1);

namespace Olvek\Core\Run\Event;

use Olvek\Core\Run\Books;
use Olvek\Core\Run\Conditions;
use Olvek\Core\Run\Facts;
use Olvek\Core\Run\Matter;
use Olvek\Core\Run\State;

/** Dead leaves are laid in, g dry. */
final readonly class Leaves extends Dated
{
    /** mg per g of fallen leaf. M (N 8–15, P 0.5–1.5, K 1–5, Fe 0.05–0.3, C 450–500). */
    private const NITROGEN = 10.0;
    private const PHOSPHORUS = 0.8;
    private const POTASSIUM = 2.0;
    private const IRON = 0.15;
    private const CARBON = 470.0;

    public function __construct(int $on, private float $grams)
    {
        parent::__construct($on);
    }

    public function happen(int $day, State $state, Conditions $conditions, Facts $facts, Books $books): void
    {
        $leaves = (new Matter(self::CARBON, self::NITROGEN, self::PHOSPHORUS, self::POTASSIUM, self::IRON))->times($this->grams);
        $state->litter->add($leaves);
        $books->in($leaves);
    }
}
