<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Sign;

/** How far a fact is so of this tank in these days, in its own numbers. */
final readonly class Finding
{
    /** How likely (0–1) it is so, as far as its source is believed. */
    public float $chance;

    /**
     * @param string   $fact   by its id (FactKind)
     * @param float    $degree 0 (not at all) – 1 (plainly)
     * @param string   $words  with numbers and days
     * @param int|null $day    after filling, of what it was taken from
     */
    public function __construct(
        public string $fact,
        public float $degree,
        public string $words,
        public Source $source,
        public ?int $day = null,
    ) {
        $this->chance = 0.5 + ($degree - 0.5) * $source->trust();
    }

    /** How far a number is on the way from where a fact is not so (0) to where it plainly is (1). */
    public static function ramp(float $value, float $no, float $yes): float
    {
        return max(0.0, min(1.0, ($value - $no) / ($yes - $no)));
    }
}
