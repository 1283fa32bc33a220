<?php

declare(strict_types=1);

namespace Olvek\Page\Palette;

use Olvek\Core\Judgement\Suitability\Suitability;
use Olvek\Service\Drawing\View;

/** One thing of a palette: its picture, what it is, whether it would live in this tank, and the change that brings it in. */
final readonly class Card
{
    /**
     * @param string           $id     in the catalogue
     * @param string           $names  all that it may be searched by
     * @param string           $place  of the plan, where the change is typed
     * @param string           $amount what is typed there: so many of it, or its id
     * @param string           $unit   what is counted; empty where it is chosen, not added
     * @param Suitability|null $suits  null where the question does not arise
     * @param int              $has    pieces on hand
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $also,
        public string $names,
        public string $words,
        public View $picture,
        public string $place,
        public string $amount,
        public string $unit,
        public ?Suitability $suits = null,
        public int $has = 0,
        public bool $chosen = false,
    ) {
    }

    /** Whether it may be asked for: what would not live here is shown all the same, and says why. */
    public function fits(): bool
    {
        return null === $this->suits || [] === $this->suits->fails();
    }

    /** How many of what are added, as a button says it. */
    public function shown(): string
    {
        return trim(str_replace(' on hand', '', $this->amount).' '.$this->unit);
    }
}
