<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Buying;

/** One line of the shopping list, beside the bed's materials. */
final readonly class Want
{
    /**
     * @param string     $id     names it for good: ticks and prices are kept by it
     * @param string     $words  how much of what, in a few words
     * @param bool       $bought false for what is on hand, found, or comes from another tank
     * @param float|null $cost   in all; null where nobody said
     */
    public function __construct(
        public string $id,
        public Aisle $aisle,
        public string $words,
        public bool $bought = true,
        public ?float $cost = null,
    ) {
    }

    public function at(?float $cost): self
    {
        return new self($this->id, $this->aisle, $this->words, $this->bought, $cost);
    }
}
