<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Plan;

/** What is to be said of a method, at its case; what it lays and does is its recipe (Change\Recipe). */
#[\Attribute(\Attribute::TARGET_CLASS_CONSTANT)]
final readonly class Lays
{
    /**
     * @param string   $words        its name
     * @param string   $reasons      why its keepers do it so, in sentences
     * @param int|null $firstAnimals day on which its first animals come; null where none ever do
     * @param bool     $isLittered   whether dead leaves are laid in again as they rot
     */
    public function __construct(public string $words, public string $reasons, public ?int $firstAnimals, public bool $isLittered = false)
    {
    }
}
