<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Start;

/** A way of starting a tank: its gates up to where animals may come, and how often to test meanwhile. All C, common practice. */
interface Protocol
{
    /** @param Stocking $stocking whose first group a way may want before its last gate */
    public function lay(GateSequence $course, TankToday $situation, Stocking $stocking): void;

    /**
     * The day of the next test, as things stand.
     *
     * @param int $last day of the newest
     */
    public function nextTest(TankToday $situation, int $last): int;

    /**
     * The day on which animals may come, if the water reads nothing from a day on.
     *
     * @return int|null null where that cannot be said yet
     */
    public function readyBy(TankToday $situation, int $quietFrom): ?int;
}
