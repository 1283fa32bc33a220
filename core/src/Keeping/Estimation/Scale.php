<?php

declare(strict_types=1);

namespace Olvek\Core\Keeping\Estimation;

use Olvek\Core\Nature\Water\Measure;

/**
 * The scale on which readings are held against a run, and by how much one may well be off on it: what a test errs, what one spot at one
 * hour errs, and what the run itself cannot know.
 */
final readonly class Scale
{
    /**
     * @param float|null $floor added before the logarithm is taken; null where differences count, not ratios
     * @param float      $noise standard deviation on this scale of a single reading
     * @param float      $bias  and of what a kit reads off always
     */
    private function __construct(private ?float $floor, public float $noise, public float $bias)
    {
    }

    public static function of(Measure $measure): self
    {
        $measured = $measure->measured();

        return new self($measured->floor, $measured->noise, $measured->bias);
    }

    public function from(float $base): float
    {
        return null === $this->floor ? $base : log(max(0.0, $base) + $this->floor);
    }

    public function base(float $scaled): float
    {
        return null === $this->floor ? $scaled : max(0.0, exp($scaled) - $this->floor);
    }
}
