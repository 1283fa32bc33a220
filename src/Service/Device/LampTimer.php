<?php

declare(strict_types=1);

namespace Olvek\Service\Device;

/** A timer that takes a light programme (docs/formats.md) and burns a lamp by it. */
interface LampTimer
{
    /** @throws DeviceTrouble */
    public function state(): LampState;

    /**
     * @param array<string, mixed> $programme
     *
     * @throws DeviceTrouble
     */
    public function write(array $programme): void;
}
