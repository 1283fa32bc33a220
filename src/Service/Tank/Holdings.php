<?php

declare(strict_types=1);

namespace Olvek\Service\Tank;

use Doctrine\Bundle\DoctrineBundle\Attribute\AsDoctrineListener;
use Doctrine\ORM\EntityManagerInterface;
use Doctrine\ORM\Event\PostPersistEventArgs;
use Doctrine\ORM\Events;
use Olvek\Service\Account\Keeper;

/**
 * How much each tank holds, counted up where something is added or taken away, so that nobody need ever count fifty thousand lines. The
 * database adds: two windows at the same moment are both counted.
 */
#[AsDoctrineListener(Events::postPersist)]
final readonly class Holdings
{
    public function __construct(private EntityManagerInterface $entities)
    {
    }

    /** Within the transaction that adds or takes away. */
    public function count(Tank $tank, int $lines = 0, int $photos = 0, int $bytes = 0): void
    {
        // Another state of the logbook has another mark, never one that it had before.
        $mark = 0 === $lines ? $tank->logMark() : bin2hex(random_bytes(8));
        $this->entities
            ->createQuery(
                'UPDATE '.Tank::class.' t SET t.logLines = t.logLines + :lines, t.photoCount = t.photoCount + :photos, '
                .'t.keptBytes = t.keptBytes + :bytes'.(0 === $lines ? '' : ', t.logMark = :mark').' WHERE t.id = :tank',
            )
            ->setParameters(['lines' => $lines, 'photos' => $photos, 'bytes' => $bytes] + (0 === $lines ? [] : ['mark' => $mark]))
            ->setParameter('tank', $tank->id(), 'uuid')
            ->execute();
        $tank->count($lines, $photos, $bytes, $mark);
    }

    public function postPersist(PostPersistEventArgs $event): void
    {
        $revision = $event->getObject();
        if ($revision instanceof Revision) {
            $this->count($revision->tank, bytes: \strlen($revision->plan));
        }
    }

    /** All of a keeper's, what was removed and can still be brought back among it: it takes room as well. */
    public function all(Keeper $keeper): Holding
    {
        /** @var array{tanks: int, lines: int|string|null, photos: int|string|null, bytes: int|string|null} $sums */
        $sums = $this->entities
            ->createQuery(
                'SELECT COUNT(t.id) AS tanks, SUM(t.logLines) AS lines, SUM(t.photoCount) AS photos, SUM(t.keptBytes) AS bytes FROM '.
                    Tank::class.' t WHERE t.keeper = :keeper',
            )
            ->setParameter('keeper', $keeper->id(), 'uuid')
            ->getSingleResult();

        return new Holding($sums['tanks'], (int) $sums['lines'], (int) $sums['photos'], (int) $sums['bytes']);
    }
}
