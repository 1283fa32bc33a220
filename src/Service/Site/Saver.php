<?php

declare(strict_types=1);

namespace Olvek\Service\Site;

use Doctrine\DBAL\Exception\UniqueConstraintViolationException;
use Doctrine\ORM\EntityManagerInterface;
use Doctrine\ORM\OptimisticLockException;

/** Saves what was changed, and tells when another window was faster. */
final readonly class Saver
{
    public function __construct(private EntityManagerInterface $entities)
    {
    }

    /** @throws ConcurrentChange */
    public function flush(): void
    {
        try {
            $this->entities->flush();
        } catch (OptimisticLockException $lost) {
            // The ORM tells any commit that failed, on a full disk too, as such an exception; only one that names its entity is a race.
            throw null === $lost->getEntity() ? $lost : new ConcurrentChange();
        } catch (UniqueConstraintViolationException) {
            throw new ConcurrentChange();
        }
    }
}
