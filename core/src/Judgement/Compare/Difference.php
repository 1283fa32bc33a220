<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Compare;

/** One thing in which two plans differ. */
final readonly class Difference
{
    /**
     * @param string $place in the document; of an item its list and, where both have it, the item
     * @param string $label what it is: "cap, front", "Ambulia: pieces"
     * @param string $one   how it is in the first; '' where it is not there
     * @param string $other likewise in the second
     */
    public function __construct(public Part $part, public string $place, public string $label, public string $one, public string $other)
    {
    }

    /** "cap, front: 3 cm, there 5 cm". */
    public function words(): string
    {
        return match (true) {
            '' === $this->one => "$this->label: only there, $this->other",
            '' === $this->other => "$this->label: only here, $this->one",
            default => "$this->label: $this->one, there $this->other",
        };
    }
}
