<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Steps;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Nature\Animal\AnimalShape;

/**
 * How long animals take from one water to another, by how much the two differ. C: warmth by floating the bag; hardness and pH by dripping;
 * the numbers J.
 */
final readonly class Acclimatisation
{
    /** Minutes of floating, and minutes for each °C beyond. */
    private const FLOAT = 15;
    private const PER_DEGREE = 3;
    /** Minutes of dripping for each °dH of general hardness, and for each unit of pH, by which the waters differ; and the least. */
    private const PER_HARDNESS = 8;
    private const PER_PH = 60;
    private const LEAST = 20;
    private const MOST = 240;
    /** Times longer for what has a shell, and moults. */
    private const SHELLED = 2;

    /**
     * @param int $floating minutes in the bag on the water
     * @param int $dripping minutes in which its water is doubled, and doubled again
     */
    private function __construct(public int $floating, public int $dripping)
    {
    }

    /**
     * From water to water; differences in either direction.
     *
     * @param float $celsius  °C
     * @param float $hardness °dH of general hardness
     */
    public static function by(float $celsius, float $hardness, float $pH, AnimalShape $shape): self
    {
        $slow = AnimalShape::Fish === $shape ? 1 : self::SHELLED;
        $drip = $slow * max(self::LEAST, self::PER_HARDNESS * abs($hardness), self::PER_PH * abs($pH));

        return new self(
            (int) round(self::FLOAT + self::PER_DEGREE * max(0.0, abs($celsius) - 1)),
            (int) round(min(self::MOST, 5 * ceil($drip / 5))),
        );
    }

    public function message(): Message
    {
        return $this->dripping < 90
            ? new Message('acclimate.minutes', ['floating' => $this->floating, 'dripping' => $this->dripping])
            : new Message('acclimate.hours', ['floating' => $this->floating, 'hours' => $this->dripping / 60]);
    }
}
