<?php

declare(strict_types=1);

namespace Olvek\Service\Transfer;

use Symfony\Component\Uid\Uuid;

/** A tank as the manifest of a file names it. */
final readonly class ManifestTank
{
    public function __construct(
        public string $folder,
        public Uuid $id,
        public string $name,
        public \DateTimeImmutable $created,
        public int $head,
        public string $room,
        public ?\DateTimeImmutable $archived,
        public ?Uuid $follows,
    ) {
    }
}
