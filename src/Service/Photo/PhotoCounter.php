<?php

declare(strict_types=1);

namespace Olvek\Service\Photo;

use Doctrine\Bundle\DoctrineBundle\Attribute\AsDoctrineListener;
use Doctrine\ORM\Event\PostPersistEventArgs;
use Doctrine\ORM\Event\PostRemoveEventArgs;
use Doctrine\ORM\Events;
use Olvek\Service\Tank\Holdings;

/** Counts the photos that come and go, within their transaction. */
#[AsDoctrineListener(Events::postPersist)]
#[AsDoctrineListener(Events::postRemove)]
final readonly class PhotoCounter
{
    public function __construct(private Holdings $holdings)
    {
    }

    public function postPersist(PostPersistEventArgs $event): void
    {
        $photo = $event->getObject();
        if ($photo instanceof Photo) {
            $this->holdings->count($photo->tank, photos: 1, bytes: $photo->bytes);
        }
    }

    public function postRemove(PostRemoveEventArgs $event): void
    {
        $photo = $event->getObject();
        if ($photo instanceof Photo) {
            $this->holdings->count($photo->tank, photos: -1, bytes: -$photo->bytes);
        }
    }
}
