<?php

declare(strict_types=1);

namespace Olvek\Core\Simulation\Run;

/**
 * What something living, fallen or eaten holds of each element, mg. A store that matter is taken from and added to, so that the five
 * elements always move together.
 *
 * @internal
 */
final class Matter
{
    public function __construct(
        public float $carbon = 0.0,
        public float $nitrogen = 0.0,
        public float $phosphorus = 0.0,
        public float $potassium = 0.0,
        public float $iron = 0.0,
    ) {
    }

    /** Animals, g wet. */
    public static function animal(float $grams): self
    {
        return new self(
            $grams * MassBalance::ANIMAL_CARBON,
            $grams * MassBalance::ANIMAL_NITROGEN,
            $grams * MassBalance::ANIMAL_PHOSPHORUS,
            $grams * MassBalance::ANIMAL_POTASSIUM,
            $grams * MassBalance::ANIMAL_IRON,
        );
    }

    public function add(self $other, float $times = 1.0): void
    {
        $this->carbon += $times * $other->carbon;
        $this->nitrogen += $times * $other->nitrogen;
        $this->phosphorus += $times * $other->phosphorus;
        $this->potassium += $times * $other->potassium;
        $this->iron += $times * $other->iron;
    }

    /** Takes a share (0–1) of it out, and hands it over. */
    public function take(float $share): self
    {
        $part = new self(
            $share * $this->carbon,
            $share * $this->nitrogen,
            $share * $this->phosphorus,
            $share * $this->potassium,
            $share * $this->iron,
        );
        $this->carbon -= $part->carbon;
        $this->nitrogen -= $part->nitrogen;
        $this->phosphorus -= $part->phosphorus;
        $this->potassium -= $part->potassium;
        $this->iron -= $part->iron;

        return $part;
    }

    public function times(float $factor): self
    {
        return new self(
            $factor * $this->carbon,
            $factor * $this->nitrogen,
            $factor * $this->phosphorus,
            $factor * $this->potassium,
            $factor * $this->iron,
        );
    }

    /** @return array{float, float, float, float, float} carbon, nitrogen, phosphorus, potassium, iron */
    public function values(): array
    {
        return [$this->carbon, $this->nitrogen, $this->phosphorus, $this->potassium, $this->iron];
    }
}
