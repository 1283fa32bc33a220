<?php

declare(strict_types=1);

namespace Olvek\Service\Task;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;
use Olvek\Service\Account\Keeper;

/** @extends ServiceEntityRepository<TaskMark> */
final class TaskMarkRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, TaskMark::class);
    }

    /** @return array<string, array<string, TaskMark>> by tank, and by task and day ("trim 2026-05-01") */
    public function ofKeeper(Keeper $keeper): array
    {
        $marks = [];
        /** @var list<TaskMark> $found */
        $found = $this->getEntityManager()
            ->createQuery('SELECT m, t FROM '.TaskMark::class.' m JOIN m.tank t WHERE t.keeper = :keeper')
            ->setParameter('keeper', $keeper->id(), 'uuid')
            ->getResult();
        foreach ($found as $mark) {
            $marks[$mark->tank->id()->toRfc4122()]["$mark->task $mark->due"] = $mark;
        }

        return $marks;
    }
}
