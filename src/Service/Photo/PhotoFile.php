<?php

declare(strict_types=1);

namespace Olvek\Service\Photo;

use Doctrine\ORM\Mapping as ORM;

/** One picture of a photo, as JPEG. In the database, so that a backup is whole and what is deleted is gone. */
#[ORM\Entity]
#[ORM\Table(name: 'photo_file')]
class PhotoFile
{
    /** @param resource|string $bytes */
    public function __construct(
        #[ORM\Id]
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Photo $photo,
        #[ORM\Id]
        #[ORM\Column(type: 'string', length: 8, enumType: PhotoSize::class)]
        public readonly PhotoSize $size,
        #[ORM\Column(type: 'blob')]
        private mixed $bytes,
    ) {
    }

    public function bytes(): string
    {
        return \is_resource($this->bytes) ? (string) stream_get_contents($this->bytes, offset: 0) : (string) $this->bytes;
    }
}
