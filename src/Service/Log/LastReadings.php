<?php

declare(strict_types=1);

namespace Olvek\Service\Log;

use Olvek\Core\Keeping\Log\Poison;
use Olvek\Service\Account\Today;
use Olvek\Service\Build\LastTest;
use Olvek\Service\Tank\Tank;
use Symfony\Component\DependencyInjection\Attribute\AsAlias;

/** The last test of a tank, out of its logbook. */
#[AsAlias(LastTest::class)]
final readonly class LastReadings implements LastTest
{
    public function __construct(private LogReader $logReader, private Today $today)
    {
    }

    public function warning(Tank $tank): ?string
    {
        $filled = $tank->filledOn();
        $day = null === $filled ? -1 : Today::between($filled, $this->today->of($tank->keeper));
        if (null === $filled || $day < 0) {
            return null;
        }
        $keeper = $tank->keeper;
        $read = [];
        foreach (Poison::in($this->logReader->since($tank, $filled, $day), $day) as $reading) {
            $read[] = \sprintf(
                '%s %s on %s',
                $reading->measure->label(),
                $keeper->kit()->show($reading->measure, $reading->value, $keeper->units()),
                $filled->modify("+$reading->day days")->format('j F'),
            );
        }

        return [] === $read
            ? null
            : \sprintf(
                'The last test of %s read %s. Animals can die in that: wait until both read 0.',
                $tank->name(),
                implode(' and ', $read),
            );
    }
}
