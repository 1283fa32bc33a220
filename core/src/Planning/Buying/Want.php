<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Buying;

use Olvek\Core\Basis\Message\Message;

/** One line of the shopping list, beside the bed's materials. */
final readonly class Want
{
    /**
     * @param string     $id      names it for good: ticks and prices are kept by it
     * @param Message    $message how much of what
     * @param bool       $bought  false for what is on hand, found, or comes from another tank
     * @param float|null $cost    in all; null where nobody said
     */
    public function __construct(
        public string $id,
        public Aisle $aisle,
        public Message $message,
        public bool $bought = true,
        public ?float $cost = null,
    ) {
    }

    public function at(?float $cost): self
    {
        return new self($this->id, $this->aisle, $this->message, $this->bought, $cost);
    }
}
