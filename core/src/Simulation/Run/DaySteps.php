<?php

declare(strict_types=1);

namespace Olvek\Core\Simulation\Run;

/**
 * The steps in which the water goes through a day. It begins at midnight, and light is centred on noon. Each step lies wholly in light or
 * in the dark, so that neither dawn nor dusk is smeared; in the dark nothing is fast, and steps are longer.
 *
 * @internal
 */
final class DaySteps
{
    /** h of a step in the dark at most, where those in the light are of an hour. J: as Runner::STEP. */
    private const DARK = 2.5;
    /** h that are no step of their own: what sums of floats may be off by. J. */
    private const INSTANT = 1e-9;

    /** @var list<array{float, float}> those of the last day that was asked for: few days differ */
    private array $steps = [];
    private float $lit = -1.0;
    private float $pause = 0.0;
    private float $most = 0.0;

    /**
     * @param float $lit   h of light
     * @param float $pause h of dark in its midst
     * @param float $most  h of a step in the light at most; below an hour those in the dark are as much shorter
     *
     * @return list<array{float, float}> hours, and share (0–1) of them that is lit
     */
    public function of(float $lit, float $pause, float $most): array
    {
        if ($lit !== $this->lit || $pause !== $this->pause || $most !== $this->most) {
            [$this->lit, $this->pause, $this->most] = [$lit, $pause, $most];
            $this->steps = self::laid($lit, min($pause, 24.0 - $lit), $most);
        }

        return $this->steps;
    }

    /** @return list<array{float, float}> */
    private static function laid(float $lit, float $pause, float $most): array
    {
        $dark = self::DARK * min(1.0, $most);
        $night = self::equal((24.0 - $lit - $pause) / 2, $dark, 0.0);
        $day = $pause > 0.0
            ? [...self::equal($lit / 2, $most, 1.0), ...self::equal($pause, $dark, 0.0), ...self::equal($lit / 2, $most, 1.0)]
            : self::equal($lit, $most, 1.0);

        return [...$night, ...$day, ...$night];
    }

    /** @return list<array{float, float}> as many equal steps as it takes */
    private static function equal(float $hours, float $most, float $lit): array
    {
        if ($hours < self::INSTANT) {
            return [];
        }
        $count = (int) ceil($hours / $most - self::INSTANT);

        return array_fill(0, $count, [$hours / $count, $lit]);
    }
}
