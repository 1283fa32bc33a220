<?php

declare(strict_types=1);

namespace Olvek\Service\Read;

use Olvek\Core\Judgement\Sign\TankCase;
use Olvek\Core\Keeping\Log\Log;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Account\Today;
use Olvek\Service\Editing\TankEditor;
use Olvek\Service\Log\Logbook;
use Olvek\Service\Log\LogReader;
use Olvek\Service\Log\TankState;
use Olvek\Service\Tank\Tank;
use Olvek\Service\Tank\TankRepository;

/** A tank as it is read: its plan, its logbook and the day. */
final readonly class TankReader
{
    /** Day on which a tank that is not filled is read where no other is told: a month in. */
    private const USUAL_DAY = 28;

    public function __construct(
        private TankRepository $tanks,
        private TankEditor $editor,
        private LogReader $logReader,
        private Today $today,
    ) {
    }

    public function plan(Tank $tank): Plan
    {
        $plan = $this->editor->plan($this->tanks->head($tank));
        $filled = $tank->filledOn();

        return null === $filled ? $plan : $plan->filledOn($filled);
    }

    /** Days after filling of today; null before it was filled. */
    public function day(Tank $tank, Keeper $keeper): ?int
    {
        $filled = $tank->filledOn();

        return null === $filled ? null : max(0, Today::between($filled, $this->today->of($keeper)));
    }

    /** Tells the state of a tank's plan, logbook and day from another. */
    public function state(Tank $tank, Keeper $keeper): string
    {
        return hash('xxh128', implode(' ', [$tank->planHash(), $this->logReader->mark($tank), $this->day($tank, $keeper) ?? 0]));
    }

    /**
     * A filled tank as it stands now, as data.
     *
     * @throws \LogicException before it was filled
     */
    public function stateOf(Tank $tank, Keeper $keeper): TankState
    {
        $filled = $tank->filledOn() ?? throw new \LogicException('A tank that was not filled has not lived.');

        return $this->logReader->state($tank, $this->tanks->head($tank)->plan, $filled, $this->day($tank, $keeper) ?? 0);
    }

    public function log(Tank $tank, Keeper $keeper): Log
    {
        $filled = $tank->filledOn();

        return null === $filled ? new Log() : $this->logReader->since($tank, $filled, $this->day($tank, $keeper) ?? 0);
    }

    /**
     * @param int|null $day on which a tank that is not filled is read
     *
     * @return TankCase|null null of a tank that is older than a run is long
     */
    public function case(Tank $tank, Keeper $keeper, ReadingQuestion $question, ?int $day = null): ?TankCase
    {
        $on = $this->day($tank, $keeper) ?? $day ?? self::USUAL_DAY;

        return $on + 1 >= Plan::LAST_DAY ? null : TankCase::of(
            $this->plan($tank),
            $this->log($tank, $keeper),
            $on,
            $question->seen,
            $question->answers,
            $keeper->kit(),
            $keeper->units(),
        );
    }
}
