<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Suitability;

use Olvek\Core\Judgement\Margin\KindWater;
use Olvek\Core\Simulation\Run\Snapshot;
use Olvek\Core\Simulation\Run\Trace;

/** What a tank has to offer whatever may come into it, over the year of its run. */
final readonly class TankOffer
{
    /** Days on which light is looked at: planted, grown in, and late in the year. J. */
    private const LOOKS = [28, 120, 240];
    /** Day from which water counts for animals. C: four weeks. */
    private const FROM = 28;

    /**
     * @param float                $coldest   °C
     * @param float                $warmest   °C
     * @param array{float, float}  $pH        10th and 90th percentile of its days from week four on
     * @param array{float, float}  $gh        °dH, likewise
     * @param float                $carbon    mg CO2/L by day, mean from week four on
     * @param float                $oxygen    mg/L at the poorest dawn from week four on
     * @param non-empty-list<Snapshot> $looks the tank on a few days
     */
    private function __construct(
        public float $coldest,
        public float $warmest,
        public array $pH,
        public array $gh,
        public float $carbon,
        public float $oxygen,
        public array $looks,
    ) {
    }

    public static function of(Trace $trace): self
    {
        $end = $trace->days();
        $from = min(self::FROM, $end - 1);
        [$coldest] = $trace->lowest('temperature');
        [$warmest] = $trace->highest('temperature');
        [$oxygen] = $trace->lowest('oxygen', $from);

        return new self(
            $coldest,
            $warmest,
            KindWater::spread($trace->columns['pH'], $from),
            KindWater::spread($trace->columns['generalHardness'], $from),
            $trace->mean('carbonDioxide', $from, $end),
            $oxygen,
            array_map(static fn (int $day): Snapshot => $trace->on(min($day, $end - 1)), self::LOOKS),
        );
    }
}
