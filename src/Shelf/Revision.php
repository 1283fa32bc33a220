<?php

declare(strict_types=1);

namespace Olvek\Shelf;

use Doctrine\ORM\Mapping as ORM;

/** One state of a tank's plan, never changed once written. */
#[ORM\Entity]
#[ORM\Table(name: 'revision')]
class Revision
{
    /**
     * @param int|null $parent number of the revision it was made from
     * @param string   $plan   the plan's published JSON form
     * @param string   $words  what changed, for people
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
    ) {
    }
}
