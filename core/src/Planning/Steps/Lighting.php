<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Steps;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Planning\Buying\Gas;
use Olvek\Core\Planning\Plan\Device;

/**
 * All that hangs on the mains, and the lid.
 *
 * @internal
 */
final readonly class Lighting extends Chapter
{
    public function steps(): array
    {
        return [$this->device(), $this->heater(), $this->gas(), $this->lamp(), ...$this->rim()];
    }

    private function device(): ?Step
    {
        $equipment = $this->plan->equipment;
        if (!$equipment->moves()) {
            return null;
        }
        $film = Device::WaveMaker === $equipment->device || Device::Pump === $equipment->device;

        return new Step(
            'device',
            'Set up '.$equipment->device->words(),
            \sprintf(
                '%s an hour, %s times its water%s',
                $this->units->show(Dimension::Volume, $equipment->flow, 0),
                Decimal::trimmed($equipment->turnovers($this->plan->netWater()), 1),
                $equipment->filters() ? ', with '.$this->litres($equipment->media).' of foam' : '',
            ),
            $film ? 'Leaves sway, sand lies still; the surface trembles.' : 'Bubbles or water come evenly; nothing is sucked in.',
            $equipment->filters()
                ? 'The new sponge is washed with hot tap water every week, and its bacteria with it.'
                : 'It blows on the bed, and digs the soil up.',
            'Drip loop in the cable, unplugged whenever hands go in.'.
                ($equipment->isDrivenByAir() ? ' A check valve in the hose, or the pump above the water.' : ''),
            15,
        );
    }

    private function heater(): ?Step
    {
        $equipment = $this->plan->equipment;

        return $equipment->hasHeater()
            ? new Step(
                'heater',
                'Hang the heater',
                'Set to '.$this->celsius($equipment->target).', lying low where water moves; plugged in a quarter of an hour after filling',
                'A thermometer at the other end reads the same after a day.',
                'Its scale is trusted: most are two degrees off.',
                'Never plugged in out of water, and a quarter of an hour unplugged before it comes out; residual-current device.',
                10,
                24,
            )
            : null;
    }

    private function gas(): ?Step
    {
        $plan = $this->plan;
        if ($plan->care->gas > 0) {
            return new Step(
                'gas',
                'Set up the carbon dioxide',
                \sprintf(
                    '%s bubbles a minute while the lamp is on, to %s mg/L: slowly up over a week',
                    Decimal::trimmed(Gas::bubbles($plan), 0),
                    Decimal::trimmed($plan->care->gas, 0),
                ),
                'A fish that breathes at the surface says: too much. A drop checker or pH and hardness say the rest.',
                'It bubbles at night, and nothing breathes by morning.',
                'A pressure bottle stands upright and tied, away from heat; air the room; filling is a dealer’s work.',
                30,
            );
        }

        return $plan->care->trickle > 0
            ? new Step(
                'gas',
                'Set up the yeast bottle',
                \sprintf(
                    '%s g of sugar, a pinch of dry yeast, lukewarm water to two thirds of a bottle; a new one every %d days',
                    Decimal::trimmed(Gas::sugar($plan->care->trickle), 0),
                    Gas::YEAST_DAYS,
                ),
                'The first bubbles come after some hours, and day and night.',
                'The mash foams over into the tank: a second, empty bottle between.',
                'Never a glass bottle, never a closed one: it bursts.',
                15,
                12,
            )
            : null;
    }

    private function lamp(): ?Step
    {
        $lamp = $this->plan->lamp;
        $programme = $lamp->programme;
        if ($lamp->lumens <= 0) {
            return null;
        }
        $more = [
            ...$programme->dawn > 0 ? [\sprintf('dawn and dusk of %s h', Decimal::trimmed($programme->dawn, 2))] : [],
            ...$lamp->second->burns()
                ? [
                    \sprintf(
                        'the second lamp on at %s for %s h',
                        self::time($lamp->second->on),
                        Decimal::trimmed($lamp->second->hours, 2),
                    ),
                ]
                : [],
            ...$programme->night > 0 ? ['the night light between'] : [],
        ];

        return new Step(
            'lamp',
            'Hang the lamp and set its timer',
            \sprintf(
                '%s over the rim, on at %s for %s h%s, at %s %% of its strength%s',
                $this->length($lamp->height),
                self::time($programme->on),
                Decimal::trimmed($lamp->hours, 2),
                $programme->allDay > 0 ? \sprintf(' (day and night for the first %d days)', $programme->allDay) : '',
                Decimal::trimmed(100 * $programme->startShare, 0),
                [] === $more ? '' : '; '.implode(', ', $more),
            ),
            'It goes on and off by itself once, watched.',
            'A new tank lit at full strength from the first day.',
            'Drip loop in the cable, socket with a residual-current device, unplugged whenever hands go in. Fixed wiring is a '
                .'licensed electrician’s work.',
            10,
        );
    }

    /** @return list<Step|null> */
    private function rim(): array
    {
        return [
            $this->plan->stand->shadeBar
                ? new Step(
                    'shade-bar',
                    'Put the shade bar on',
                    $this->length($this->plan->vessel->outerLength()).' along the front rim',
                    'Seated before the tank, nobody is dazzled; the front plants still have light.',
                    'It stands out over the water, and shades the carpet.',
                    '',
                    5,
                )
                : null,
            $this->plan->site->lid
                ? new Step('lid', 'Cover it', 'Lid', 'No gap wider than a fish.', 'Cables hold it open at the back.', '', 2)
                : null,
        ];
    }

    /** "9:30" of 9.5 h. */
    private static function time(float $hours): string
    {
        return \sprintf('%d:%02d', (int) $hours, (int) round(60 * ($hours - (int) $hours)));
    }
}
