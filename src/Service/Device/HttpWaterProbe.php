<?php

declare(strict_types=1);

namespace Olvek\Service\Device;

use Olvek\Service\Site\Moment;

/** A water probe that speaks HTTP: GET /samples?last=N, one JSON object a line (docs/formats.md). */
final readonly class HttpWaterProbe implements WaterProbe
{
    /** What water can be: °C, m, pH, µS/cm. */
    private const BOUNDS = ['celsius' => [-5.0, 50.0], 'level' => [0.0, 5.0], 'pH' => [2.0, 12.0], 'conductivity' => [0.0, 20000.0]];

    /** How far a probe's clock may run ahead of ours. J: two clocks of one house, one perhaps an hour off. */
    private const AHEAD = '+1 hour';

    /** @param \DateTimeImmutable $now what was measured after it cannot be so */
    public function __construct(private DeviceHttp $wire, private \DateTimeImmutable $now)
    {
    }

    public function samples(int $most): array
    {
        $samples = [];
        foreach (explode("\n", trim($this->wire->ask('GET', "/samples?last=$most"))) as $line) {
            $samples[] = $this->sample($this->wire->object($line));
        }

        return $samples;
    }

    /** @param array<string, mixed> $line */
    private function sample(array $line): Sample
    {
        $values = [];
        foreach (self::BOUNDS as $name => [$least, $most]) {
            $value = $line[$name] ?? null;
            if ((!\is_float($value) && !\is_int($value)) || $value < $least || $value > $most) {
                throw DeviceTrouble::wrong(
                    $this->wire->device,
                    \sprintf('its %s cannot be so.', 'celsius' === $name ? 'temperature' : $name),
                );
            }
            $values[] = (float) $value;
        }
        $at = \is_string($line['at'] ?? null) ? Moment::read(\DATE_ATOM, $line['at']) : null;
        if (null === $at) {
            throw DeviceTrouble::wrong($this->wire->device, 'it does not say when it measured.');
        }
        if ($at > $this->now->modify(self::AHEAD)) {
            throw DeviceTrouble::wrong($this->wire->device, 'it says that it measured on a day that has not come yet. Set its clock.');
        }

        return new Sample($at, ...$values);
    }
}
