<?php

declare(strict_types=1);

namespace Olvek\Service\Task;

use Doctrine\ORM\Mapping as ORM;
use Olvek\Service\Tank\Tank;
use Symfony\Bridge\Doctrine\Types\UuidType;
use Symfony\Component\Uid\Uuid;

/** What became of a task that was due on a day: done, left out, or moved to another day. */
#[ORM\Entity(repositoryClass: TaskMarkRepository::class)]
#[ORM\Table(name: 'task_mark')]
class TaskMark
{
    /** Counted up with every change, so that of two windows at the same moment one is told. */
    #[ORM\Version]
    #[ORM\Column(type: 'integer', options: ['default' => 1])]
    private int $version = 1;

    /**
     * @param string                  $task  its id within the tank
     * @param string                  $due   the day on which it fell by itself, year-month-day
     * @param \DateTimeImmutable|null $moved to which it was put off, while it is not settled
     * @param bool                    $settled done or left out: nobody asks any more
     * @param Uuid|null               $entry line of the logbook that says so
     */
    public function __construct(
        #[ORM\Id]
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Tank $tank,
        #[ORM\Id]
        #[ORM\Column(type: 'string', length: 80)]
        public readonly string $task,
        #[ORM\Id]
        #[ORM\Column(name: 'due_day', type: 'string', length: 10)]
        public readonly string $due,
        #[ORM\Column(name: 'moved_to', type: 'date_immutable', nullable: true)]
        public ?\DateTimeImmutable $moved,
        #[ORM\Column(type: 'boolean')]
        public bool $settled,
        #[ORM\Column(type: UuidType::NAME, nullable: true)]
        public ?Uuid $entry,
    ) {
    }

    public function version(): int
    {
        return $this->version;
    }
}
