<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Review;

use Olvek\Core\Basis\Message\Amount;
use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Planning\Change\Choose;
use Olvek\Core\Planning\Change\SetNumber;
use Olvek\Core\Planning\Plan\Clump;
use Olvek\Core\Planning\Plan\FillingMethod;
use Olvek\Core\Planning\Plan\FloaterKeeping;
use Olvek\Core\Planning\Plan\HeatLoss;

/** What heat, flow, gas and night light do wrong. C, where nothing else is said. */
final readonly class TechniqueReview extends Review
{
    /** W per litre with which a heater that sticks boils its tank within a night. J: 2 W/L lift it some 20 °C. */
    private const STRONG = 2.0;
    /** Turnovers an hour that floaters, fry and long fins do not bear. J (6–15). */
    private const TORRENT = 10.0;
    /** Share of their growth below which the current leaves floaters too little to thrive. J. */
    private const TOSSED = 0.8;
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
        return [...$this->heater(), ...$this->flow(), $this->tossed(), $this->gas(), $this->night(), $this->sunk()];
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

        return [
            $plan->coldest() < $equipment->target - self::SHORT
                ? new Mistake(
                    'heater-weak',
                    'equipment',
                    new Message(
                        'mistake.heater-weak',
                        [
                            'watts' => $equipment->watts,
                            'held' => Amount::temperature($plan->coldest()),
                            'target' => Amount::temperature($equipment->target),
                            'need' => $need,
                            'sold' => HeatLoss::sold($need),
                        ],
                    ),
                    false,
                    [new SetNumber('equipment.watts', HeatLoss::sold($need))],
                    new Message('fix.heater', ['watts' => HeatLoss::sold($need)]),
                )
                : null,
            $equipment->watts > self::STRONG * $plan->netWater() && $equipment->watts > HeatLoss::sold($need)
                ? new Mistake(
                    'heater-strong',
                    'equipment',
                    new Message('mistake.heater-strong', ['watts' => $equipment->watts, 'sold' => HeatLoss::sold($need)]),
                    false,
                    [new SetNumber('equipment.watts', HeatLoss::sold($need))],
                    new Message('fix.heater', ['watts' => HeatLoss::sold($need)]),
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
                    new Message('mistake.torrent', ['turnovers' => (int) round($turnovers), 'floaters' => $floaters ? 'yes' : 'no']),
                )
                : null,
            $equipment->isDrivenByAir() && !$equipment->siphonSafe
                ? new Mistake(
                    'backflow',
                    'equipment',
                    new Message('mistake.backflow'),
                    true,
                    [new Choose('equipment.siphonSafe', true)],
                    new Message('fix.backflow'),
                )
                : null,
        ];
    }

    private function tossed(): ?Mistake
    {
        $plan = $this->plan;
        $tossed = array_filter($plan->clumps, static fn (Clump $c): bool => $plan->calm($c) < self::TOSSED);

        return [] === $tossed || $plan->equipment->turnovers($plan->netWater()) > self::TORRENT
            ? null
            : new Mistake(
                'tossed',
                'equipment',
                new Message('mistake.tossed', ['percent' => (int) round(100 * (1 - min(array_map($plan->calm(...), $tossed))))]),
                true,
                array_values(
                    array_map(
                        static fn (Clump $c): Choose => new Choose("plants.$c->id.keeping", FloaterKeeping::Ring->value),
                        $tossed,
                    ),
                ),
                new Message('fix.tossed'),
            );
    }

    private function gas(): ?Mistake
    {
        $plan = $this->plan;

        return $plan->care->gas + $plan->care->trickle > 0 && $plan->exchange() > self::DRIVEN_OUT
            ? new Mistake(
                'gas-driven-out',
                'equipment',
                new Message('mistake.gas-driven-out'),
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
                new Message('mistake.sink-large', ['volume' => Amount::volume($litres, 0)]),
                false,
                [new Choose('preparation.filling', FillingMethod::Plate->value)],
                new Message('fix.plate'),
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
                new Message('mistake.night-light', ['light' => $light]),
                false,
                [new SetNumber('light.night', floor($plan->lamp->programme->night * 0.5 * self::NIGHT / $light))],
                new Message('fix.night-light'),
            )
            : null;
    }
}
