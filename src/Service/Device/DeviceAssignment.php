<?php

declare(strict_types=1);

namespace Olvek\Service\Device;

use Doctrine\ORM\Mapping as ORM;
use Olvek\Service\Tank\Tank;

/** Which of the house's devices a tank has. */
#[ORM\Entity]
#[ORM\Table(name: 'wiring')]
class DeviceAssignment
{
    public function __construct(
        #[ORM\Id]
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Tank $tank,
        #[ORM\Id]
        #[ORM\Column(type: 'string', length: 16, enumType: DeviceKind::class)]
        public readonly DeviceKind $kind,
        #[ORM\Column(type: 'string', length: 40)]
        public string $device,
    ) {
    }
}
