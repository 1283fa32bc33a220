<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Review;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Planning\Change\Choose;
use Olvek\Core\Planning\Change\SetNumber;
use Olvek\Core\Planning\Plan\Clump;
use Olvek\Core\Planning\Plan\FillingMethod;
use Olvek\Core\Planning\Plan\HeatLoss;

/** What heat, flow, gas and night light do wrong. C, where nothing else is said. */
final readonly class TechniqueReview extends Review
{
    /** W per litre with which a heater that sticks boils its tank within a night. J: 2 W/L lift it some 20 °C. */
    private const STRONG = 2.0;
    /** Turnovers an hour that floaters, fry and long fins do not bear. J (6–15). */
    private const TORRENT = 10.0;
    /** µmol/m²/s at night that leave no night. J: a full moon is a thousandth of it. */
    private const NIGHT = 1.0;
    /** Exchange, times that of still water, with which gas is driven out as fast as it comes. J. */
    private const DRIVEN_OUT = 2.5;
    /** °C that may be missing. J. */
    private const SHORT = 0.5;
    /** L of a vessel that two hands sink and turn under water. J. */
    private const SINKABLE = 25.0;

    public function mistakes(): array
    {
        return [...$this->heater(), ...$this->flow(), $this->gas(), $this->night(), $this->sunk()];
    }

    /** @return list<Mistake|null> */
    private function heater(): array
    {
        $plan = $this->plan;
        $equipment = $plan->equipment;
        if (!$equipment->hasHeater() || $equipment->watts <= 0) {
            return [];
        }
        $unheated = min(array_map($plan->site->temperatureOn(...), range(0, 364)));
        $need = HeatLoss::watts($plan, $equipment->target, $unheated);
        $celsius = fn (float $c): string => $this->units->show(Dimension::Temperature, $c);

        return [
            $plan->coldest() < $equipment->target - self::SHORT
                ? new Mistake(
                    'heater-weak',
                    'equipment',
                    \sprintf(
                        '%s W hold only %s on the coldest day; %s takes %s W, so a heater of %s.',
                        Decimal::trimmed($equipment->watts, 0),
                        $celsius($plan->coldest()),
                        $celsius($equipment->target),
                        Decimal::trimmed($need, 0),
                        Decimal::trimmed(HeatLoss::sold($need), 0),
                    ),
                    false,
                    [new SetNumber('equipment.watts', HeatLoss::sold($need))],
                    \sprintf('A heater of %s W', Decimal::trimmed(HeatLoss::sold($need), 0)),
                )
                : null,
            $equipment->watts > self::STRONG * $plan->netWater() && $equipment->watts > HeatLoss::sold($need)
                ? new Mistake(
                    'heater-strong',
                    'equipment',
                    \sprintf(
                        '%s W are more than this water needs: a thermostat that sticks boils it in a night. %s W do.',
                        Decimal::trimmed($equipment->watts, 0),
                        Decimal::trimmed(HeatLoss::sold($need), 0),
                    ),
                    false,
                    [new SetNumber('equipment.watts', HeatLoss::sold($need))],
                    \sprintf('A heater of %s W', Decimal::trimmed(HeatLoss::sold($need), 0)),
                )
                : null,
        ];
    }

    /** @return list<Mistake|null> */
    private function flow(): array
    {
        $plan = $this->plan;
        $equipment = $plan->equipment;
        $turnovers = $equipment->turnovers($plan->netWater());
        $floaters = [] !== array_filter($plan->clumps, static fn (Clump $c): bool => $c->floats());

        return [
            $turnovers > self::TORRENT
                ? new Mistake(
                    'torrent',
                    'equipment',
                    \sprintf(
                        'The water goes round %s times an hour: %s. Throttle it.',
                        Decimal::trimmed($turnovers, 0),
                        $floaters ? 'floaters drown, and fish swim for their lives' : 'fish swim for their lives, and fry do not last',
                    ),
                )
                : null,
            $equipment->isDrivenByAir() && !$equipment->siphonSafe
                ? new Mistake(
                    'backflow',
                    'equipment',
                    'When the air pump stops, water runs back through its hose: a check valve, or the pump above the water line.',
                    true,
                    [new Choose('equipment.siphonSafe', true)],
                    'It is seen to',
                )
                : null,
        ];
    }

    private function gas(): ?Mistake
    {
        $plan = $this->plan;

        return $plan->care->gas + $plan->care->trickle > 0 && $plan->exchange() > self::DRIVEN_OUT
            ? new Mistake(
                'gas-driven-out',
                'equipment',
                'So lively a surface drives the carbon dioxide out as fast as it is let in: calm it, or do without the gas.',
                true,
            )
            : null;
    }

    private function sunk(): ?Mistake
    {
        $litres = $this->plan->vessel->grossVolume();

        return FillingMethod::Sink === $this->plan->preparation->filling && $litres > self::SINKABLE
            ? new Mistake(
                'sink-large',
                'water',
                \sprintf(
                    '%s are too much to sink: the tub must be deeper than the vessel, and two hands must turn it. Fill it over a plate.',
                    $this->units->show(Dimension::Volume, $litres, 0),
                ),
                false,
                [new Choose('preparation.filling', FillingMethod::Plate->value)],
                'Slowly over a plate',
            )
            : null;
    }

    private function night(): ?Mistake
    {
        $plan = $this->plan;
        $light = $plan->lamp->atNight($plan->surface());

        return $light > self::NIGHT
            ? new Mistake(
                'night-light',
                'light',
                \sprintf(
                    'The night light gives %s µmol/m²/s: neither fish nor plants get a night. A tenth of it is enough to see by.',
                    Decimal::significant($light, 2),
                ),
                false,
                [new SetNumber('light.night', floor($plan->lamp->programme->night * 0.5 * self::NIGHT / $light))],
                'Dim it',
            )
            : null;
    }
}
