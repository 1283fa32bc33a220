<?php

declare(strict_types=1);

namespace Olvek\Service\Tank;

use Doctrine\ORM\Mapping as ORM;

/** One state of a tank's plan, never changed once written; only a name may be given to it. */
#[ORM\Entity]
#[ORM\Table(name: 'revision')]
#[ORM\UniqueConstraint(name: 'revision_change', columns: ['tank_id', 'change_id'])]
class Revision
{
    public const LONGEST_LABEL = 60;

    #[ORM\Column(type: 'string', length: self::LONGEST_LABEL, nullable: true)]
    private ?string $label = null;

    /**
     * @param int|null $parent number of the revision it was made from
     * @param string   $plan   the plan's published JSON form
     * @param string   $words  what changed, for people
     * @param string|null $changeId of the request that made it: one that is sent twice makes one revision
     */
    public function __construct(
        #[ORM\Id]
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Tank $tank,
        #[ORM\Id]
        #[ORM\Column(type: 'integer')]
        public readonly int $number,
        #[ORM\Column(type: 'integer', nullable: true)]
        public readonly ?int $parent,
        #[ORM\Column(type: 'text')]
        public readonly string $plan,
        #[ORM\Column(type: 'string', length: 500)]
        public readonly string $words,
        #[ORM\Column(type: 'datetime_immutable')]
        public readonly \DateTimeImmutable $at,
        #[ORM\Column(name: 'change_id', type: 'string', length: 36, nullable: true)]
        public readonly ?string $changeId = null,
    ) {
    }

    public function label(): ?string
    {
        return $this->label;
    }

    /** Names it, or takes the name away again. */
    public function call(string $label): void
    {
        $this->label = '' === $label ? null : $label;
    }
}
