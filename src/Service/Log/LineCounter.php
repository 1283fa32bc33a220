<?php

declare(strict_types=1);

namespace Olvek\Service\Log;

use Doctrine\Bundle\DoctrineBundle\Attribute\AsDoctrineListener;
use Doctrine\ORM\Event\PostPersistEventArgs;
use Doctrine\ORM\Event\PostRemoveEventArgs;
use Doctrine\ORM\Events;
use Olvek\Service\Tank\Holdings;

/** Counts the lines that come and go one by one, within their transaction. */
#[AsDoctrineListener(Events::postPersist)]
#[AsDoctrineListener(Events::postRemove)]
final readonly class LineCounter
{
    public function __construct(private Holdings $holdings)
    {
    }

    public function postPersist(PostPersistEventArgs $event): void
    {
        $entry = $event->getObject();
        if ($entry instanceof Entry) {
            $this->holdings->count($entry->tank, lines: 1);
        }
    }

    public function postRemove(PostRemoveEventArgs $event): void
    {
        $entry = $event->getObject();
        if ($entry instanceof Entry) {
            $this->holdings->count($entry->tank, lines: -1);
        }
    }
}
