<?php

declare(strict_types=1);

namespace Olvek\Service\Tank;

use Doctrine\ORM\Mapping as ORM;
use Olvek\Service\Account\Keeper;
use Symfony\Bridge\Doctrine\Types\UuidType;
use Symfony\Component\Uid\Uuid;

/**
 * A vessel of a keeper's, and which revision of its plan stands. Plans themselves live in revisions.
 */
#[ORM\Entity(repositoryClass: TankRepository::class)]
#[ORM\Table(name: 'tank')]
#[ORM\Index(name: 'tank_keeper_created', columns: ['keeper_id', 'created_at'])]
#[ORM\UniqueConstraint(name: 'tank_change', columns: ['keeper_id', 'change_id'])]
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
    private ?\DateTimeImmutable $removedAt = null; // @phpstan-ignore property.unusedType (TankRepository::place() writes it)

    /** Where it stands, or which group it belongs to: the shelf is ordered by it. */
    #[ORM\Column(type: 'string', length: self::LONGEST_ROOM, options: ['default' => ''])]
    private string $room = '';

    /** When it was put away: it is kept whole, and asks for nothing. */
    #[ORM\Column(name: 'archived_at', type: 'datetime_immutable', nullable: true)]
    private ?\DateTimeImmutable $archivedAt = null;

    /** The day on which it was filled: its days are counted from then. The step of building that is ticked for it writes it. */
    #[ORM\Column(name: 'filled_on', type: 'date_immutable', nullable: true)]
    private ?\DateTimeImmutable $filledOn = null;

    /** The tank whose re-scape it is. */
    #[ORM\Column(type: UuidType::NAME, nullable: true)]
    private ?Uuid $follows = null;

    /**
     * What it holds, counted up by the database (Holdings) and never written with the rest: lines of its logbook, what tells one state of
     * the logbook from another, photos, and bytes of plans and photos.
     */
    #[ORM\Column(name: 'log_lines', type: 'integer', updatable: false, options: ['default' => 0])]
    private int $logLines = 0;
    #[ORM\Column(name: 'log_mark', type: 'string', length: 32, updatable: false, options: ['default' => ''])]
    private string $logMark = '';
    #[ORM\Column(name: 'photo_count', type: 'integer', updatable: false, options: ['default' => 0])]
    private int $photoCount = 0;
    #[ORM\Column(name: 'kept_bytes', type: 'bigint', updatable: false, options: ['default' => 0])]
    private int $keptBytes = 0;

    /** Counted up with every change, so that of two edits at the same moment one is told. */
    #[ORM\Version]
    #[ORM\Column(type: 'integer')]
    private int $version = 1;

    /**
     * @param Uuid|null   $id       of a tank that is brought back; a new one's is made
     * @param string|null $changeId of the request that began it: one that is sent twice begins one tank
     */
    public function __construct(
        #[ORM\ManyToOne] #[ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')] public readonly Keeper $keeper,
        #[ORM\Column(type: 'string', length: 80)] private string $name,
        #[ORM\Column(type: 'datetime_immutable')] private \DateTimeImmutable $createdAt,
        ?Uuid $id = null,
        #[ORM\Column(name: 'change_id', type: 'string', length: 36, nullable: true)] public readonly ?string $changeId = null,
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

    /** The day on which it was filled; null where it was not. */
    public function filledOn(): ?\DateTimeImmutable
    {
        return $this->filledOn;
    }

    public function fill(?\DateTimeImmutable $on): void
    {
        $this->filledOn = $on;
    }

    public function head(): int
    {
        return $this->head;
    }

    /** A new revision on top of the one that stands. */
    public function revise(string $name, string $plan, string $words, \DateTimeImmutable $at, ?string $changeId = null): Revision
    {
        $revision = new Revision($this, ++$this->latest, 0 === $this->head ? null : $this->head, $plan, $words, $at, $changeId);
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

    public function logLines(): int
    {
        return $this->logLines;
    }

    public function logMark(): string
    {
        return $this->logMark;
    }

    public function photoCount(): int
    {
        return $this->photoCount;
    }

    /** What the database has counted already. */
    public function count(int $lines, int $photos, int $bytes, string $logMark): void
    {
        $this->logLines += $lines;
        $this->photoCount += $photos;
        $this->keptBytes += $bytes;
        $this->logMark = $logMark;
    }

    public function version(): int
    {
        return $this->version;
    }
}
