<?php

declare(strict_types=1);

namespace Olvek\Service\Tank;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\AbstractQuery;
use Doctrine\ORM\EntityNotFoundException;
use Doctrine\Persistence\ManagerRegistry;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Site\ConcurrentChange;
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
     * A keeper's tanks that are not put away, with the revisions that stand: by room, oldest first.
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
                    ' r JOIN r.tank t WHERE t.keeper = :keeper AND t.removedAt IS NULL AND t.archivedAt IS NULL AND r.number = t.head '.
                    'ORDER BY t.room, t.createdAt, t.id',
            )
            ->setParameter('keeper', $keeper->id(), 'uuid')
            ->setMaxResults($most)
            ->setFirstResult($from)
            ->getResult();
    }

    /** @return array<string, Tank> a keeper's tanks that are not put away by id, oldest first */
    public function active(Keeper $keeper): array
    {
        return array_filter($this->all($keeper), static fn (Tank $t): bool => null === $t->archivedAt());
    }

    /** @return list<Tank> those put away, newest first */
    public function archived(Keeper $keeper): array
    {
        /** @var list<Tank> */
        return $this->createQueryBuilder('t')
            ->where('t.keeper = :keeper AND t.removedAt IS NULL AND t.archivedAt IS NOT NULL')
            ->setParameter('keeper', $keeper->id(), 'uuid')
            ->orderBy('t.archivedAt', 'DESC')
            ->getQuery()
            ->getResult();
    }

    /** @return list<string> names of the rooms in which a keeper's tanks stand */
    public function rooms(Keeper $keeper): array
    {
        $rooms = array_unique(array_map(static fn (Tank $t): string => $t->room(), array_values($this->all($keeper))));
        sort($rooms);

        return array_values(array_diff($rooms, ['']));
    }

    /** The newest tank that is a re-scape of this one; null where there is none. */
    public function follower(Tank $tank): ?Tank
    {
        return $this->findOneBy(
            ['keeper' => $tank->keeper->id(), 'follows' => $tank->id(), 'removedAt' => null],
            ['createdAt' => 'DESC', 'id' => 'DESC'],
        );
    }

    /** @return array<string, Tank> all of a keeper's tanks by id, those put away among them, oldest first */
    public function all(Keeper $keeper): array
    {
        $tanks = [];
        foreach ($this->findBy(['keeper' => $keeper->id(), 'removedAt' => null], ['createdAt' => 'ASC', 'id' => 'ASC']) as $tank) {
            $tanks[$tank->id()->toRfc4122()] = $tank;
        }

        return $tanks;
    }

    /** @return array<string, \DateTimeImmutable> day of filling by tank, of all of a keeper's that are filled */
    public function filledDays(Keeper $keeper): array
    {
        /** @var list<array{id: Uuid, filledOn: \DateTimeImmutable}> $rows */
        $rows = $this->createQueryBuilder('t')
            ->select('t.id', 't.filledOn')
            ->where('t.keeper = :keeper AND t.filledOn IS NOT NULL')
            ->setParameter('keeper', $keeper->id(), 'uuid')
            ->getQuery()
            ->getResult();
        $filled = [];
        foreach ($rows as $row) {
            $filled[$row['id']->toRfc4122()] = $row['filledOn'];
        }

        return $filled;
    }

    public function onShelf(Keeper $keeper): int
    {
        return $this->count(['keeper' => $keeper->id(), 'removedAt' => null, 'archivedAt' => null]);
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

    /**
     * The revision that stands.
     *
     * @throws ConcurrentChange where a backup was put in place since the tank was read, and neither is what it was
     */
    public function head(Tank $tank): Revision
    {
        $head = $this->revision($tank, $tank->head());
        if (null === $head) {
            try {
                $this->getEntityManager()->refresh($tank);
                $head = $this->revision($tank, $tank->head());
            } catch (EntityNotFoundException) {
                // Gone with what was there before.
            }
        }

        return $head ?? throw new ConcurrentChange('This tank was changed on the server at the same moment. Load the page again.');
    }

    /** Moves a tank into another room. */
    public function move(Tank $tank, string $room): void
    {
        $this->place($tank, 'room', $room, Types::STRING);
    }

    /** Puts a tank away; one that is put away already stays so since then. */
    public function putAway(Tank $tank, \DateTimeImmutable $at): void
    {
        $this->place($tank, 'archivedAt', $tank->archivedAt() ?? $at, Types::DATETIME_IMMUTABLE);
    }

    public function putBack(Tank $tank): void
    {
        $this->place($tank, 'archivedAt', null, Types::DATETIME_IMMUTABLE);
    }

    /** Takes a tank off the shelf, for good once nobody has brought it back in time. */
    public function takeOff(Tank $tank, \DateTimeImmutable $at): void
    {
        $this->place($tank, 'removedAt', $tank->removedAt() ?? $at, Types::DATETIME_IMMUTABLE);
    }

    public function bringBack(Tank $tank): void
    {
        $this->place($tank, 'removedAt', null, Types::DATETIME_IMMUTABLE);
    }

    /** Where a tank stands is apart from its plan: no edit and no other window's move is in the way of it, and the last one counts. */
    private function place(Tank $tank, string $field, mixed $value, string $type): void
    {
        $this->getEntityManager()
            ->createQuery('UPDATE '.Tank::class." t SET t.$field = :value WHERE t.id = :tank")
            ->setParameter('value', $value, $type)
            ->setParameter('tank', $tank->id(), 'uuid')
            ->execute();
        $this->getEntityManager()->refresh($tank);
    }

    /** @return iterable<Revision> all of a tank's, the first first; one by one, since there may be thousands */
    public function history(Tank $tank): iterable
    {
        $found = $this->getEntityManager()
            ->createQuery('SELECT r FROM '.Revision::class.' r WHERE r.tank = :tank ORDER BY r.number')
            ->setParameter('tank', $tank->id(), 'uuid')
            ->toIterable();
        foreach ($found as $revision) {
            \assert($revision instanceof Revision);
            yield $revision;
            $this->getEntityManager()->detach($revision);
        }
    }

    /** @return iterable<int, string> the plans of a tank as they are stored, by number; one by one */
    public function plans(Tank $tank): iterable
    {
        /** @var iterable<array{number: int, plan: string}> $rows */
        $rows = $this->getEntityManager()
            ->createQuery('SELECT r.number AS number, r.plan AS plan FROM '.Revision::class.' r WHERE r.tank = :tank ORDER BY r.number')
            ->setParameter('tank', $tank->id(), 'uuid')
            ->toIterable([], AbstractQuery::HYDRATE_SCALAR);
        foreach ($rows as $row) {
            yield (int) $row['number'] => $row['plan'];
        }
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

    /** The revision that a sent change made; null where it made none. */
    public function madeBy(Tank $tank, string $changeId): ?Revision
    {
        return '' === $changeId || $tank->latest() < 1
            ? null
            : $this->getEntityManager()
                ->getRepository(Revision::class)
                ->findOneBy(['tank' => $tank->id(), 'changeId' => $changeId]);
    }

    /** The tank that a sent change began; null where it began none. */
    public function begunBy(Keeper $keeper, string $changeId): ?Tank
    {
        return $this->findOneBy(['keeper' => $keeper->id(), 'changeId' => $changeId]);
    }

    /** The newest revision made from the one that stands: where redo leads. */
    public function next(Tank $tank): ?Revision
    {
        return $this->getEntityManager()
            ->getRepository(Revision::class)
            ->findOneBy(['tank' => $tank->id(), 'parent' => $tank->head()], ['number' => 'DESC']);
    }
}
