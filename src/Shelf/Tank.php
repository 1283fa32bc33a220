<?php

declare(strict_types=1);

namespace Olvek\Shelf;

use Doctrine\ORM\Mapping as ORM;
use Olvek\Account\Keeper;
use Symfony\Bridge\Doctrine\Types\UuidType;
use Symfony\Component\Uid\Uuid;

/**
 * A vessel of a keeper's, and which revision of its plan stands. Plans themselves live in revisions.
 */
#[ORM\Entity(repositoryClass: TankRepository::class)]
#[ORM\Table(name: 'tank')]
#[ORM\Index(name: 'tank_keeper_created', columns: ['keeper_id', 'created_at'])]
class Tank
{
    #[ORM\Id]
    #[ORM\Column(type: UuidType::NAME)]
    private Uuid $id;

    /** Number of the revision that stands. Undo and redo move it along the revisions' parents. */
    #[ORM\Column(type: 'integer')]
    private int $head = 0;

    /** Highest revision number given out so far. */
    #[ORM\Column(type: 'integer')]
    private int $latest = 0;

    /** Counted up with every change, so that of two edits at the same moment one is told. */
    #[ORM\Version]
    #[ORM\Column(type: 'integer')]
    private int $version = 1;

    public function __construct(
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Keeper $keeper,
        #[ORM\Column(type: 'string', length: 80)]
        private string $name,
        #[ORM\Column(type: 'datetime_immutable')]
        private \DateTimeImmutable $createdAt,
    ) {
        $this->id = Uuid::v7();
    }

    public function id(): Uuid
    {
        return $this->id;
    }

    public function createdAt(): \DateTimeImmutable
    {
        return $this->createdAt;
    }

    public function name(): string
    {
        return $this->name;
    }

    public function head(): int
    {
        return $this->head;
    }

    /** A new revision on top of the one that stands. */
    public function revise(string $name, string $plan, string $words, \DateTimeImmutable $at): Revision
    {
        $revision = new Revision($this, ++$this->latest, 0 === $this->head ? null : $this->head, $plan, $words, $at);
        $this->stand($revision->number, $name);

        return $revision;
    }

    /** Goes to another revision of this tank. */
    public function stand(int $revision, string $name): void
    {
        $this->head = $revision;
        $this->name = $name;
    }

    public function version(): int
    {
        return $this->version;
    }
}
