<?php

declare(strict_types=1);

namespace Olvek\Service\Log;

use Doctrine\ORM\Mapping as ORM;
use Olvek\Service\Tank\Tank;
use Symfony\Bridge\Doctrine\Types\UuidType;
use Symfony\Component\Uid\Uuid;

/** One import of a table: what it brought is undone by it, all at once. */
#[ORM\Entity]
#[ORM\Table(name: 'log_import')]
#[ORM\Index(name: 'log_import_tank', columns: ['tank_id', 'at'])]
class ImportBatch
{
    public const LONGEST_NAME = 120;

    #[ORM\Id]
    #[ORM\Column(type: UuidType::NAME)]
    public readonly Uuid $id;

    /** Entries that it brought. */
    #[ORM\Column(type: 'integer')]
    private int $entries = 0;

    /** @param string $name of the file; '' where its text was pasted */
    public function __construct(
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Tank $tank,
        #[ORM\Column(type: 'datetime_immutable')]
        public readonly \DateTimeImmutable $at,
        #[ORM\Column(type: 'string', length: self::LONGEST_NAME)]
        public readonly string $name,
    ) {
        $this->id = Uuid::v7();
    }

    public function entries(): int
    {
        return $this->entries;
    }

    public function brought(int $entries): void
    {
        $this->entries = $entries;
    }
}
