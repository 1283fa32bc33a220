<?php

declare(strict_types=1);

namespace Olvek\Service\Device;

/** A device that is silent, slow, or says what cannot be so. */
final class DeviceTrouble extends \RuntimeException
{
    public static function silent(string $device): self
    {
        return new self(\sprintf('The device “%s” is not responding at its address. Is it plugged in, and on the network?', $device));
    }

    public static function slow(string $device, float $seconds): self
    {
        return new self(\sprintf('The device “%s” is too slow: no whole answer came within %s seconds.', $device, $seconds));
    }

    public static function wrong(string $device, string $why): self
    {
        return new self(\sprintf('The device “%s” answers, but not what such a device should: %s', $device, $why));
    }
}
