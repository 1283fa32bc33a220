<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Steps;

use Olvek\Core\Basis\Message\Amount;
use Olvek\Core\Basis\Message\Message;
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
            new Message('step.device.name', ['device' => $equipment->device->words()]),
            new Message(
                'step.device.amount',
                [
                    'volume' => Amount::volume($equipment->flow, 0),
                    'turnovers' => $equipment->turnovers($this->plan->netWater()),
                    'filters' => $equipment->filters() ? 'yes' : 'no',
                    'foam' => Amount::volume($equipment->media),
                ],
            ),
            $film
                ? new Message('step.device.check-flow')
                : new Message('step.device.check'),
            $equipment->filters()
                ? new Message('step.device.mistake-sponge')
                : new Message('step.device.mistake'),
            new Message('step.device.caution', ['air' => $equipment->isDrivenByAir() ? 'yes' : 'no']),
            15,
        );
    }

    private function heater(): ?Step
    {
        $equipment = $this->plan->equipment;

        return $equipment->hasHeater()
            ? new Step(
                'heater',
                new Message('step.heater.name'),
                new Message('step.heater.amount', ['temperature' => Amount::temperature($equipment->target)]),
                new Message('step.heater.check'),
                new Message('step.heater.mistake'),
                new Message('step.heater.caution'),
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
                new Message('step.gas.name'),
                new Message('step.gas.amount', ['bubbles' => (int) round(Gas::bubbles($plan)), 'target' => $plan->care->gas]),
                new Message('step.gas.check'),
                new Message('step.gas.mistake'),
                new Message('step.gas.caution'),
                30,
            );
        }

        return $plan->care->trickle > 0
            ? new Step(
                'gas',
                new Message('step.yeast.name'),
                new Message('step.yeast.amount', ['grams' => (int) round(Gas::sugar($plan->care->trickle)), 'days' => Gas::YEAST_DAYS]),
                new Message('step.yeast.check'),
                new Message('step.yeast.mistake'),
                new Message('step.yeast.caution'),
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
            ...$programme->dawn > 0 ? [new Message('step.lamp.dawn', ['hours' => $programme->dawn])] : [],
            ...$lamp->second->burns()
                ? [
                    new Message('step.lamp.second', ['time' => self::time($lamp->second->on), 'hours' => $lamp->second->hours]),
                ]
                : [],
            ...$programme->night > 0 ? [new Message('step.lamp.night')] : [],
        ];

        return new Step(
            'lamp',
            new Message('step.lamp.name'),
            new Message(
                'step.lamp.amount',
                [
                    'height' => Amount::length($lamp->height),
                    'time' => self::time($programme->on),
                    'hours' => $lamp->hours,
                    'all' => $programme->allDay,
                    'percent' => (int) round(100 * $programme->startShare),
                    'with' => [] === $more ? 'no' : 'yes',
                    'more' => $more,
                ],
            ),
            new Message('step.lamp.check'),
            new Message('step.lamp.mistake'),
            new Message('step.lamp.caution'),
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
                    new Message('step.shade-bar.name'),
                    new Message('step.shade-bar.amount', ['length' => Amount::length($this->plan->vessel->outerLength())]),
                    new Message('step.shade-bar.check'),
                    new Message('step.shade-bar.mistake'),
                    null,
                    5,
                )
                : null,
            $this->plan->site->lid
                ? new Step(
                    'lid',
                    new Message('step.lid.name'),
                    new Message('step.lid.amount'),
                    new Message('step.lid.check'),
                    new Message('step.lid.mistake'),
                    null,
                    2,
                )
                : null,
        ];
    }

    /** "9:30" of 9.5 h. */
    private static function time(float $hours): string
    {
        return \sprintf('%d:%02d', (int) $hours, (int) round(60 * ($hours - (int) $hours)));
    }
}
