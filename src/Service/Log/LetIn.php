<?php

declare(strict_types=1);

namespace Olvek\Service\Log;

use Doctrine\ORM\EntityManagerInterface;
use Olvek\Core\Keeping\Log\LoggedEvent;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Plan\Group;
use Olvek\Core\Planning\Steps\Step;
use Olvek\Service\Build\StepMarked;
use Olvek\Service\Editing\TankEditor;
use Olvek\Service\Tank\Tank;
use Olvek\Service\Tank\TankRepository;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\Uid\Uuid;

/** Animals that are let in on the build sheet stand in the logbook too, as long as the step is ticked. */
#[AsEventListener]
final readonly class LetIn
{
    public function __construct(
        private EntityManagerInterface $entities,
        private LogReader $logReader,
        private TankRepository $tanks,
        private TankEditor $editor,
    ) {
    }

    public function __invoke(StepMarked $marked): void
    {
        if (!str_starts_with($marked->step, Step::LET_IN)) {
            return;
        }
        $id = Uuid::v5($marked->tank->id(), "step $marked->step");
        $entry = $this->entities->find(Entry::class, $id);
        if (null !== $entry && ($entry->on->format('Y-m-d') !== $marked->on->format('Y-m-d') || true !== $marked->done)) {
            $this->entities->remove($entry);
            $this->entities->flush();
            $entry = null;
        }
        $group = $this->group($marked->tank, substr($marked->step, \strlen(Step::LET_IN)));
        if (null !== $entry || true !== $marked->done || null === $group || $this->hasCome($marked->tank, $group)) {
            return;
        }
        $this->entities->persist(
            new Entry(
                $marked->tank,
                $marked->on,
                EntryKind::Done,
                EventKind::Stock->value,
                (float) $group->count,
                $group->id,
                mb_substr(
                    LoggedEvent::line(EventKind::Stock, (float) $group->count, $marked->tank->keeper->kit(), $group),
                    0,
                    Entry::LONGEST_WORDS,
                ),
                id: $id,
            ),
        );
    }

    private function group(Tank $tank, string $id): ?Group
    {
        return array_column($this->editor->plan($this->tanks->head($tank))->groups, null, 'id')[$id] ?? null;
    }

    /** Whether the logbook has it already, or counts no days yet. */
    private function hasCome(Tank $tank, Group $group): bool
    {
        $filled = $tank->filledOn();

        return null === $filled || [] !== $this->logReader->since($tank, $filled)->of(EventKind::Stock, $group->id);
    }
}
