<?php

declare(strict_types=1);

namespace Olvek\Tank;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;
use Olvek\Account\Keeper;
use Symfony\Component\Uid\Uuid;

/** @extends ServiceEntityRepository<Tank> */
final class TankRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, Tank::class);
    }

    public function owned(Uuid $id, Keeper $keeper): ?Tank
    {
        return $this->findOneBy(['id' => $id, 'keeper' => $keeper->id(), 'removedAt' => null]);
    }

    /**
     * A keeper's tanks with the revisions that stand, oldest first.
     *
     * @param int|null $most how many; null for all
     * @param int      $from how many to leave out before them
     *
     * @return list<Revision>
     */
    public function shelf(Keeper $keeper, ?int $most = null, int $from = 0): array
    {
        /** @var list<Revision> */
        return $this->getEntityManager()
            ->createQuery(
                'SELECT r, t FROM '.
                    Revision::class.
                    ' r JOIN r.tank t WHERE t.keeper = :keeper AND t.removedAt IS NULL AND r.number = t.head ORDER BY t.createdAt, t.id',
            )
            ->setParameter('keeper', $keeper->id(), 'uuid')
            ->setMaxResults($most)
            ->setFirstResult($from)
            ->getResult();
    }

    /** @return array<string, Tank> all of a keeper's tanks by id, oldest first */
    public function all(Keeper $keeper): array
    {
        $tanks = [];
        foreach ($this->findBy(['keeper' => $keeper->id(), 'removedAt' => null], ['createdAt' => 'ASC', 'id' => 'ASC']) as $tank) {
            $tanks[$tank->id()->toRfc4122()] = $tank;
        }

        return $tanks;
    }

    public function onShelf(Keeper $keeper): int
    {
        return $this->count(['keeper' => $keeper->id(), 'removedAt' => null]);
    }

    /** @return list<Tank> those taken off the shelf that can still be brought back, newest first */
    public function removed(Keeper $keeper): array
    {
        /** @var list<Tank> */
        return $this->createQueryBuilder('t')
            ->where('t.keeper = :keeper AND t.removedAt IS NOT NULL')
            ->setParameter('keeper', $keeper->id(), 'uuid')
            ->orderBy('t.removedAt', 'DESC')
            ->getQuery()
            ->getResult();
    }

    /** The revision that stands. */
    public function head(Tank $tank): Revision
    {
        return $this->revision($tank, $tank->head()) ?? throw new \LogicException('a tank always has the revision it stands on');
    }

    public function revision(Tank $tank, int $number): ?Revision
    {
        // No database need be asked for what its columns could not hold.
        return $number < 1 || $number > $tank->latest()
            ? null
            : $this->getEntityManager()->find(Revision::class, ['tank' => $tank->id(), 'number' => $number]);
    }

    /** @return list<Revision> newest first */
    public function revisions(Tank $tank, int $most, int $from): array
    {
        return $this->getEntityManager()
            ->getRepository(Revision::class)
            ->findBy(['tank' => $tank->id()], ['number' => 'DESC'], $most, $from);
    }

    /** The newest revision made from the one that stands: where redo leads. */
    public function next(Tank $tank): ?Revision
    {
        return $this->getEntityManager()
            ->getRepository(Revision::class)
            ->findOneBy(['tank' => $tank->id(), 'parent' => $tank->head()], ['number' => 'DESC']);
    }
}
