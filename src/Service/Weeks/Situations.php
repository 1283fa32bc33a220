<?php

declare(strict_types=1);

namespace Olvek\Service\Weeks;

use Olvek\Core\Judgement\Start\TankToday;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Account\Today;
use Olvek\Service\Editing\TankEditor;
use Olvek\Service\Log\LogReader;
use Olvek\Service\Tank\Tank;
use Olvek\Service\Tank\TankRepository;

/** Tanks as they stand on their keeper's day: the plan since it was filled, and what was written down since. */
final readonly class Situations
{
    public function __construct(
        private TankRepository $tanks,
        private TankEditor $editor,
        private LogReader $logReader,
        private Today $today,
    ) {
    }

    /** Where the tank stands today; null before it is filled. */
    public function of(Tank $tank, Keeper $keeper): ?TankToday
    {
        $filled = $tank->filledOn();
        if (null === $filled) {
            return null;
        }
        $today = max(0, Today::between($filled, $this->today->of($keeper)));

        return new TankToday(
            $this->editor->plan($this->tanks->head($tank))->filledOn($filled),
            $this->logReader->since($tank, $filled, $today),
            $today,
            $keeper->kit(),
        );
    }
}
