<?php

declare(strict_types=1);

namespace Olvek\Service\Start;

use Doctrine\ORM\EntityManagerInterface;
use Olvek\Core\Keeping\Log\LoggedEvent;
use Olvek\Core\Keeping\Log\ToRead;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Plan\Refused;
use Olvek\Core\Planning\Steps\Step;
use Olvek\Core\Planning\Steps\Steps;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Account\Today;
use Olvek\Service\Build\BuildRecords;
use Olvek\Service\Editing\TankEditor;
use Olvek\Service\Log\Logbook;
use Olvek\Service\Tank\Tank;
use Olvek\Service\Tank\TankRepository;

/** Takes over a tank that runs already, as if it had been kept here from its filling on. */
final readonly class TakeOver
{
    public function __construct(
        private TankEditor $editor,
        private TankRepository $tanks,
        private BuildRecords $buildRecords,
        private Logbook $logbook,
        private Today $today,
        private EntityManagerInterface $entities,
    ) {
    }

    /**
     * Begins it, with its logbook: all of it is kept, or nothing.
     *
     * @return Tank|array<string, string> the tank, or why it was refused, by field
     *
     * @throws Refused
     */
    public function begin(Keeper $keeper, RunningTank $running): Tank|array
    {
        $connection = $this->entities->getConnection();
        $connection->beginTransaction();
        try {
            $tank = $this->editor->begin($keeper, $running->plan, 'taken over as it runs');
            // The same form, sent twice, has begun it already.
            $errors = null === $tank->filledOn() ? $this->noted($tank, $running) : [];
            if ([] === $errors) {
                $connection->commit();

                return $tank;
            }
        } catch (\Throwable $failed) {
            $connection->rollBack();
            throw $failed;
        }
        $connection->rollBack();
        $this->entities->clear();

        return $errors;
    }

    /**
     * Its filling, who came when and how many there are now, and its last readings.
     *
     * @return array<string, string> why it was refused
     */
    private function noted(Tank $tank, RunningTank $running): array
    {
        $keeper = $tank->keeper;
        $filled = $running->filled;
        $refused = $this->buildRecords->mark($tank, Steps::FILL, true, $filled->format('Y-m-d'), '');
        if (null !== $refused) {
            return ['filled' => $refused];
        }
        $plan = $this->editor->plan($this->tanks->head($tank));
        $may = ToRead::of($plan);
        $texts = [];
        foreach (\array_slice($plan->groups, -\count($running->animals), \count($running->animals)) as $n => $group) {
            $came = $running->animals[$n];
            $this->logbook->write(
                $tank,
                $filled->modify("+$came->day days"),
                EventKind::Stock,
                (float) $came->count,
                $group->id,
                LoggedEvent::line(EventKind::Stock, (float) $came->count, $keeper->kit(), $group),
            );
            $texts["heads@$group->id"] = (string) ($came->now ?? '');
        }
        foreach (\array_slice($plan->clumps, -\count($running->plants), \count($running->plants)) as $n => $clump) {
            $texts["pieces@$clump->id"] = (string) ($running->plants[$n]->now ?? '');
        }
        $texts = [...$texts, ...$running->readings];
        $this->entities->flush();
        // It stands and runs: nothing of its building is still to be done.
        $steps = array_map(static fn (Step $s): string => $s->id, Steps::of($plan));
        $this->buildRecords->markDone($tank, $steps, $filled->format('Y-m-d'));
        if ([] === array_filter($texts, static fn (string $text): bool => '' !== $text)) {
            return [];
        }
        $errors = [];
        foreach ($this->logbook->test(
            $tank,
            $texts,
            $may,
            $this->today->of($keeper)->format('Y-m-d'),
            $keeper->kit(),
            $keeper->units(),
        ) as $which => $why) {
            $errors["reading.$which"] = $why;
        }

        return $errors;
    }
}
