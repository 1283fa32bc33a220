<?php

declare(strict_types=1);

namespace Olvek\Service\Estimate;

use Olvek\Service\Account\Keeper;
use Olvek\Service\Account\Today;
use Olvek\Service\Editing\TankEditor;
use Olvek\Service\Log\LogReader;
use Olvek\Service\Tank\Tank;
use Olvek\Service\Tank\TankRepository;

/** Filled tanks as they stand in their plan and their logbook. */
final readonly class TankHistories
{
    public function __construct(
        private TankRepository $tanks,
        private TankEditor $editor,
        private LogReader $logReader,
        private Today $today,
    ) {
    }

    /** Null before it was filled. */
    public function of(Tank $tank, Keeper $keeper): ?TankHistory
    {
        $filled = $tank->filledOn();
        if (null === $filled) {
            return null;
        }
        $head = $this->tanks->head($tank);
        $day = max(0, Today::between($filled, $this->today->of($keeper)));

        return new TankHistory(
            $filled,
            $day,
            $head,
            $this->editor->plan($head)->filledOn($filled),
            $this->logReader->state($tank, $head->plan, $filled, $day),
        );
    }
}
