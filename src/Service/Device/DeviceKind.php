<?php

declare(strict_types=1);

namespace Olvek\Service\Device;

enum DeviceKind: string
{
    case Lamp = 'lamp';
    case Probe = 'probe';

    public function words(): string
    {
        return match ($this) {
            self::Lamp => 'lamp timer',
            self::Probe => 'water probe',
        };
    }
}
