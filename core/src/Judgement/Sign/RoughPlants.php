<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Sign;

/** How a tank without a plan is planted. */
enum RoughPlants: string
{
    case Few = 'few';
    case Half = 'half';
    case Full = 'full';
    case Floaters = 'floaters';

    public function words(): string
    {
        return match ($this) {
            self::Few => 'a few plants',
            self::Half => 'about half the floor',
            self::Full => 'all over',
            self::Floaters => 'half the floor, and floaters',
        };
    }

    public function floats(): bool
    {
        return self::Floaters === $this;
    }

    /** @return array{float, float} shares of the floor under stems, and under rosettes */
    public function shares(): array
    {
        return match ($this) {
            self::Few => [0.06, 0.04],
            self::Half, self::Floaters => [0.35, 0.2],
            self::Full => [0.55, 0.35],
        };
    }
}
