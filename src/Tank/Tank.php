<?php

declare(strict_types=1);

namespace Olvek\Tank;

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
    /** Characters of a room's name. */
    public const LONGEST_ROOM = 40;

    #[ORM\Id]
    #[ORM\Column(type: UuidType::NAME)]
    private Uuid $id;

    /** Number of the revision that stands. Undo and redo move it along the revisions' parents. */
    #[ORM\Column(type: 'integer')]
    private int $head = 0;

    /** Highest revision number given out so far. */
    #[ORM\Column(type: 'integer')]
    private int $latest = 0;

    /**
     * Fingerprint of the plan that stands: what is worked out from a plan is kept by it, never by a number that a restored backup gives out
     * again.
     */
    #[ORM\Column(name: 'plan_hash', type: 'string', length: 32, options: ['default' => ''])]
    private string $planHash = '';

    /** When it was taken off the shelf: until it is done for good, it can be undone. */
    #[ORM\Column(name: 'removed_at', type: 'datetime_immutable', nullable: true)]
    private ?\DateTimeImmutable $removedAt = null;

    /** Where it stands, or which group it belongs to: the shelf is ordered by it. */
    #[ORM\Column(type: 'string', length: self::LONGEST_ROOM, options: ['default' => ''])]
    private string $room = '';

    /** When it was put away: it is kept whole, and asks for nothing. */
    #[ORM\Column(name: 'archived_at', type: 'datetime_immutable', nullable: true)]
    private ?\DateTimeImmutable $archivedAt = null;

    /** The tank whose re-scape it is. */
    #[ORM\Column(type: UuidType::NAME, nullable: true)]
    private ?Uuid $follows = null;

    /** Counted up with every change, so that of two edits at the same moment one is told. */
    #[ORM\Version]
    #[ORM\Column(type: 'integer')]
    private int $version = 1;

    /** @param Uuid|null $id of a tank that is brought back; a new one's is made */
    public function __construct(
        #[ORM\ManyToOne] #[ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')] public readonly Keeper $keeper,
        #[ORM\Column(type: 'string', length: 80)] private string $name,
        #[ORM\Column(type: 'datetime_immutable')] private \DateTimeImmutable $createdAt,
        ?Uuid $id = null,
    ) {
        $this->id = $id ?? Uuid::v7();
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
        $this->stand($revision, $name);

        return $revision;
    }

    /** Takes up revisions that were made elsewhere: one of them stands, and numbers go on after the highest. */
    public function hold(Revision $head, int $latest, string $name): void
    {
        $this->latest = max($this->latest, $latest);
        $this->stand($head, $name);
    }

    public function latest(): int
    {
        return $this->latest;
    }

    /** Goes to another revision of this tank. */
    public function stand(Revision $revision, string $name): void
    {
        $this->head = $revision->number;
        $this->planHash = hash('xxh128', $revision->plan);
        $this->name = $name;
    }

    public function planHash(): string
    {
        return $this->planHash;
    }

    public function remove(\DateTimeImmutable $at): void
    {
        $this->removedAt ??= $at;
    }

    public function bringBack(): void
    {
        $this->removedAt = null;
    }

    public function removedAt(): ?\DateTimeImmutable
    {
        return $this->removedAt;
    }

    public function room(): string
    {
        return $this->room;
    }

    public function standIn(string $room): void
    {
        $this->room = $room;
    }

    public function archive(\DateTimeImmutable $at): void
    {
        $this->archivedAt ??= $at;
    }

    public function putBack(): void
    {
        $this->archivedAt = null;
    }

    public function archivedAt(): ?\DateTimeImmutable
    {
        return $this->archivedAt;
    }

    public function follow(self $other): void
    {
        $this->follows = $other->id;
    }

    public function follows(): ?Uuid
    {
        return $this->follows;
    }

    public function version(): int
    {
        return $this->version;
    }
}
