<?php

declare(strict_types=1);

namespace Olvek\Service\Device;

use Doctrine\ORM\Mapping as ORM;
use Olvek\Service\Account\Keeper;
use Symfony\Bridge\Doctrine\Types\UuidType;
use Symfony\Component\Uid\Uuid;

/** By which a device may post readings for a keeper, and nothing else. Only its hash is kept. */
#[ORM\Entity]
#[ORM\Table(name: 'device_token')]
#[ORM\UniqueConstraint(name: 'device_token_hash', columns: ['hash'])]
#[ORM\Index(name: 'device_token_keeper', columns: ['keeper_id'])]
class DeviceToken
{
    public const LONGEST_NAME = 60;

    #[ORM\Id]
    #[ORM\Column(type: UuidType::NAME)]
    public readonly Uuid $id;

    #[ORM\Column(type: 'datetime_immutable', nullable: true)]
    private ?\DateTimeImmutable $used = null;

    public function __construct(
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Keeper $keeper,
        #[ORM\Column(type: 'string', length: self::LONGEST_NAME)]
        public readonly string $name,
        #[ORM\Column(type: 'string', length: 64)]
        public readonly string $hash,
        #[ORM\Column(type: 'datetime_immutable')]
        public readonly \DateTimeImmutable $made,
    ) {
        $this->id = Uuid::v7();
    }

    public function used(): ?\DateTimeImmutable
    {
        return $this->used;
    }

    public function isUsed(\DateTimeImmutable $at): void
    {
        $this->used = $at;
    }
}
