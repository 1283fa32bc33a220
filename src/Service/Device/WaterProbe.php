<?php

declare(strict_types=1);

namespace Olvek\Service\Device;

/** A probe that hangs in the water. */
interface WaterProbe
{
    /**
     * @param int $most samples wanted
     *
     * @return non-empty-list<Sample> the newest last
     *
     * @throws DeviceTrouble
     */
    public function samples(int $most): array;
}
