<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Water;

/** How much water must be changed to bring something in it from one reading to another. */
final readonly class WaterChange
{
    /** Share of the water that one change may take without upsetting what lives in it. C. */
    public const MOST_AT_ONCE = 0.5;

    /**
     * @param float $share  of the water, 0–1
     * @param float $litres of it
     * @param int   $times  in which it is better done, each of the same share
     * @param float $each   share of each of those
     */
    private function __construct(public float $share, public float $litres, public int $times, public float $each)
    {
    }

    /**
     * After a change of a share s the water holds (1 − s)·from + s·tap.
     *
     * @param float $from mg/L now, $to mg/L wanted, $tap mg/L of the new water
     *
     * @return self|null null where no change gets there: the new water holds as much as is wanted, or more
     */
    public static function of(float $from, float $to, float $tap, float $litres): ?self
    {
        if ($from <= $to) {
            return new self(0.0, 0.0, 0, 0.0);
        }
        if ($tap >= $to) {
            return null;
        }
        $share = ($from - $to) / ($from - $tap);
        $times = 1;
        // Several smaller ones leave ((to − tap)/(from − tap)) as one did: each takes 1 − that to the power of 1/n.
        while ((1 - (1 - $share) ** (1 / $times)) > self::MOST_AT_ONCE) {
            ++$times;
        }

        return new self($share, $share * $litres, $times, 1 - (1 - $share) ** (1 / $times));
    }
}
