<?php

declare(strict_types=1);

namespace Olvek\Service\Photo;

use Doctrine\ORM\Mapping as ORM;
use Olvek\Service\Tank\Tank;
use Symfony\Bridge\Doctrine\Types\UuidType;
use Symfony\Component\Uid\Uuid;

/** A photo of a tank on a day. Its pictures are kept apart (PhotoFile), so that a list of photos reads none of them. */
#[ORM\Entity]
#[ORM\Table(name: 'photo')]
#[ORM\Index(name: 'photo_tank_day', columns: ['tank_id', 'on_day'])]
class Photo
{
    public const LONGEST_WORDS = 160;

    /**
     * @param Uuid   $id     made by whoever sends it, so that one that comes twice is kept once
     * @param string $words  what the keeper says of it
     * @param int    $width  pixels of its largest picture
     * @param int    $height likewise
     * @param int    $bytes  of all its pictures
     */
    public function __construct(
        #[ORM\Id]
        #[ORM\Column(type: UuidType::NAME)]
        public readonly Uuid $id,
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Tank $tank,
        #[ORM\Column(name: 'on_day', type: 'date_immutable')]
        public readonly \DateTimeImmutable $on,
        #[ORM\Column(type: 'string', length: self::LONGEST_WORDS)]
        public readonly string $words,
        #[ORM\Column(type: 'integer')]
        public readonly int $width,
        #[ORM\Column(type: 'integer')]
        public readonly int $height,
        #[ORM\Column(type: 'integer', options: ['default' => 0])]
        public readonly int $bytes = 0,
    ) {
    }
}
