<?php

declare(strict_types=1);

namespace Olvek\Core\Suit;

use Olvek\Core\Margin\KindWater;
use Olvek\Core\Plan\Plan;
use Olvek\Core\Run\Snapshot;
use Olvek\Core\Run\Trace;

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
     * @param float                $litres    of the vessel
     * @param float                $depth     m of water over the bed
     * @param non-empty-list<Snapshot> $looks the tank on a few days
     */
    private function __construct(
        public Plan $plan,
        public float $coldest,
        public float $warmest,
        public array $pH,
        public array $gh,
        public float $carbon,
        public float $oxygen,
        public float $litres,
        public float $depth,
        public array $looks,
    ) {
    }

    public static function of(Plan $plan, Trace $trace): self
    {
        $end = $trace->days();
        $from = min(self::FROM, $end - 1);
        [$coldest] = $trace->lowest('temperature');
        [$warmest] = $trace->highest('temperature');
        [$oxygen] = $trace->lowest('oxygen', $from);

        return new self(
            $plan,
            $coldest,
            $warmest,
            KindWater::spread($trace->columns['pH'], $from),
            KindWater::spread($trace->columns['generalHardness'], $from),
            $trace->mean('carbonDioxide', $from, $end),
            $oxygen,
            $plan->vessel->grossVolume(),
            $plan->waterLine - $plan->bed->meanDepth(),
            array_map(static fn (int $day): Snapshot => $trace->on(min($day, $end - 1)), self::LOOKS),
        );
    }

    /** The same tank with other animals or plants planned, as if its water stayed as it is. */
    public function with(Plan $plan): self
    {
        /** @phpstan-ignore argument.type (the names and types are those of the constructor) */
        return new self(...[...get_object_vars($this), 'plan' => $plan]);
    }
}
