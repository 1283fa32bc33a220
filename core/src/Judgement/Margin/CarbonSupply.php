<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\Provenance;
use Olvek\Core\Nature\Water\Carbonate;
use Olvek\Core\Planning\Plan\Clump;
use Olvek\Core\Simulation\Run\Trace;

/**
 * Carbon dioxide in the water: what plants find while the lamp is on, over the leanest four weeks; and, where animals are in, that there
 * is not too much of it by night. Want of carbon slows plants and shows in their mass; it fails no tank by itself.
 */
#[Judges(
    'Carbon',
    Subject::Water,
    remedies: [Remedy::ShorterLight, Remedy::MoreSoil, Remedy::WeakerLamp, Remedy::MoreFood, Remedy::Floaters],
)]
final class CarbonSupply implements Criterion
{
    /** mg CO2/L by day below which plants hardly grow. J. */
    private const SHORT = 0.1;
    /** mg CO2/L that animals bear, and from which they suffer. C: 20 and 30. */
    private const BORNE = 20.0;
    private const SUFFERS = 30.0;

    public static function margin(Outlook $outlook): Margin
    {
        $submerged = array_filter($outlook->plan->clumps, static fn (Clump $c): bool => !$c->hasLeavesInAir());
        if ([] === $submerged) {
            return Margin::idle(MarginId::Carbon, 'not needed', 'No plant here lives on the water’s carbon.');
        }
        $trace = $outlook->trace;
        $least = \INF;
        $last = 0;
        for ($day = Trace::WINDOW; $day <= $outlook->lastDay(); $day += 7) {
            $mean = $trace->mean('carbonDioxide', $day - Trace::WINDOW, $day);
            if ($mean < $least) {
                $least = $mean;
                $last = $day;
            }
        }
        $least = \INF === $least ? $trace->mean('carbonDioxide', 0, $trace->days()) : $least;
        [$most, $mostDay] = $outlook->stocked ? $trace->highest('carbonDioxideMost', $outlook->from) : [0.0, 0];
        $shown = Decimal::significant($least, 2).' mg/L';
        $high = Decimal::significant($most, 2).' mg/L';
        // One scale for both ends: 0 fails, 1 holds.
        $value = min((self::SUFFERS - $most) / (self::SUFFERS - self::BORNE), max(0.0, min(1.0, $least / self::SHORT)));

        return new Margin(
            MarginId::Carbon,
            $value,
            0.0,
            1.0,
            $most > self::BORNE ? $mostDay : $last,
            $least,
            'mg/L',
            $most > self::BORNE ? $high : $shown,
            \sprintf(
                'tight below %s by day or above %s by night, fails above %s',
                Margin::text(self::SHORT, 'mg/L'),
                Margin::text(self::BORNE, 'mg/L'),
                Margin::text(self::SUFFERS, 'mg/L'),
            ),
            match (true) {
                $most > self::SUFFERS => "Carbon dioxide gathers to $high at night on day $mostDay: animals suffer. Ripple the water, or "
                    .'lay less rich soil.',
                $most > self::BORNE => "Carbon dioxide gathers to $high at night on day $mostDay, about as much as animals bear.",
                $least < self::SHORT => "By day $last plants have drawn carbon dioxide down to $shown: those that use bicarbonate, and "
                    .'those in air, go on growing.',
                default => "Soil, animals and air leave $shown of carbon dioxide in the water while the lamp is on.",
            },
            [
                new Term('carbon dioxide by day, leanest four weeks', "$shown, to day $last"),
                new Term('the most at night with animals in', $outlook->stocked ? "$high, day $mostDay" : 'no animals'),
                new Term(
                    'air alone gives',
                    Decimal::significant(
                        Carbonate::co2AtEquilibrium($outlook->plan->site->temperature, $outlook->plan->site->airCarbonDioxide()),
                        2,
                    ).' mg/L',
                    Provenance::Published,
                    'Plummer & Busenberg 1982; '.Decimal::trimmed($outlook->plan->site->airCarbonDioxide(), 0).' ppm in the air',
                ),
                new Term(
                    'half growth at',
                    \sprintf(
                        '%s for a plant of middling speed, %s for those that use bicarbonate',
                        Margin::text($outlook->parameters->carbonHalf, 'mg/L'),
                        Margin::text($outlook->parameters->carbonHalfBicarbonate, 'mg/L'),
                    ),
                    Provenance::Memory,
                ),
                new Term('in the first week', Decimal::significant($trace->mean('carbonDioxide', 0, 7), 2).' mg/L'),
            ],
        );
    }
}
