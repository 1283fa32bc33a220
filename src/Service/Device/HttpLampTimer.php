<?php

declare(strict_types=1);

namespace Olvek\Service\Device;

/** A lamp timer that speaks HTTP: PUT /programme takes one, GET /state tells how it stands (docs/formats.md). */
final readonly class HttpLampTimer implements LampTimer
{
    public function __construct(private DeviceHttp $wire)
    {
    }

    public function state(): LampState
    {
        $state = $this->wire->object($this->wire->ask('GET', '/state'));
        $on = $state['on'] ?? null;
        $percent = $state['percent'] ?? null;
        $programme = $state['programme'] ?? '';
        if (
            'olvek.lamp' !== ($state['format'] ?? null)
            || !\is_bool($on)
            || !\is_int($percent)
            || $percent < 0
            || $percent > 100
            || !\is_string($programme)
        ) {
            throw DeviceTrouble::wrong($this->wire->device, 'it does not say whether the lamp is on, and how strongly.');
        }

        return new LampState($on, $percent, $programme);
    }

    public function write(array $programme): void
    {
        $this->wire->ask('PUT', '/programme', $programme);
        // Anything at that address may say "fine"; a timer that has taken it can say which it holds.
        if ($this->state()->programme !== ($programme['id'] ?? null)) {
            throw DeviceTrouble::wrong($this->wire->device, 'it says that it took the programme, but does not hold it.');
        }
    }
}
