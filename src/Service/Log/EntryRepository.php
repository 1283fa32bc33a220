<?php

declare(strict_types=1);

namespace Olvek\Service\Log;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\ORM\AbstractQuery;
use Doctrine\Persistence\ManagerRegistry;
use Olvek\Service\Tank\Tank;
use Symfony\Component\Uid\Uuid;

/** Lines of logbooks, found again.
 *
 * @extends ServiceEntityRepository<Entry> */
final class EntryRepository extends ServiceEntityRepository
{
    /** Ids that a query may hold. */
    private const AT_ONCE = 200;

    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, Entry::class);
    }

    /** Of which tank the entry of this id is; null where there is none: what is sent twice is kept once. */
    public function tankOf(Uuid $id): ?Tank
    {
        return parent::find($id)?->tank;
    }

    public function ofTank(Tank $tank, string $id): ?Entry
    {
        return $this->findOneBy(['id' => $id, 'tank' => $tank->id()]);
    }

    /**
     * @param list<string> $ids
     * @param Tank|null    $tank whose alone; null for all
     *
     * @return list<string> those of them that are in a logbook
     */
    public function standing(array $ids, ?Tank $tank = null): array
    {
        $found = [];
        foreach (array_chunk($ids, self::AT_ONCE) as $chunk) {
            $found = [...$found, ...$this->known($chunk, $tank)];
        }

        return $found;
    }

    /**
     * @param list<string> $ids no more than a query may hold
     *
     * @return list<string>
     */
    private function known(array $ids, ?Tank $tank): array
    {
        $named = implode(', ', array_map(static fn (int $n): string => ":id$n", array_keys($ids)));
        $query = $this->getEntityManager()->createQuery(
            'SELECT e.id FROM '.Entry::class." e WHERE e.id IN ($named)".(null === $tank ? '' : ' AND e.tank = :tank'),
        );
        if (null !== $tank) {
            $query->setParameter('tank', $tank->id(), 'uuid');
        }
        foreach ($ids as $n => $id) {
            $query->setParameter("id$n", Uuid::fromString($id), 'uuid');
        }
        /** @var list<array{id: Uuid}> $rows */
        $rows = $query->getArrayResult();

        return array_map(static fn (array $row): string => $row['id']->toRfc4122(), $rows);
    }

    /** @return array<string, string> ids of all readings of a tank, by what they say (readingKey) */
    public function readingIds(Tank $tank): array
    {
        $ids = [];
        $rows = $this->getEntityManager()
            ->createQuery(
                'SELECT e.id AS id, e.on AS day, e.what AS what, e.of AS whom, e.amount AS amount FROM '.Entry::class.
                    ' e WHERE e.tank = :tank AND e.kind = :kind',
            )
            ->setParameter('tank', $tank->id(), 'uuid')
            ->setParameter('kind', EntryKind::Reading->value)
            ->toIterable([], AbstractQuery::HYDRATE_SCALAR);
        foreach ($rows as $row) {
            /** @var array{id: string, day: string, what: string, whom: string|null, amount: float|string} $row */
            $key = self::readingKey(new \DateTimeImmutable($row['day']), $row['what'], $row['whom'] ?? '', (float) $row['amount']);
            $ids[$key] = (string) $row['id'];
        }

        return $ids;
    }

    /** By what a reading is the same again in another table: the day, the measure, of whom, and nine digits of its value. */
    public static function readingKey(\DateTimeImmutable $on, string $what, string $of, float $value): string
    {
        return $on->format('Y-m-d')." $what $of ".\sprintf('%.8e', $value);
    }

    /** @return iterable<Entry> all of a tank's, oldest first, never many at once */
    public function all(Tank $tank): iterable
    {
        /** @var iterable<Entry> $entries */
        $entries = $this->getEntityManager()
            ->createQuery('SELECT e FROM '.Entry::class.' e WHERE e.tank = :tank ORDER BY e.on, e.written, e.id')
            ->setParameter('tank', $tank->id(), 'uuid')
            ->toIterable();

        return $entries;
    }

    /** @return list<Entry> newest first */
    public function newest(Tank $tank, int $most, int $from = 0): array
    {
        return $this->findBy(['tank' => $tank->id()], ['on' => 'DESC', 'written' => 'DESC', 'id' => 'DESC'], $most, $from);
    }

    /** @return list<Entry> what was done, seen and noted in a stretch of days, oldest first */
    public function between(Tank $tank, \DateTimeImmutable $from, \DateTimeImmutable $to): array
    {
        /** @var list<Entry> $entries */
        $entries = $this->getEntityManager()
            ->createQuery(
                'SELECT e FROM '.Entry::class.' e'
                .' WHERE e.tank = :tank AND e.on >= :from AND e.on <= :to AND e.kind <> :read ORDER BY e.on, e.id',
            )
            ->setParameter('tank', $tank->id(), 'uuid')
            ->setParameter('from', $from, 'date_immutable')
            ->setParameter('to', $to, 'date_immutable')
            ->setParameter('read', EntryKind::Reading->value)
            ->getResult();

        return $entries;
    }

    /** @return list<Entry> what was done since a day, oldest first */
    public function doneSince(Tank $tank, \DateTimeImmutable $from): array
    {
        /** @var list<Entry> $entries */
        $entries = $this->getEntityManager()
            ->createQuery('SELECT e FROM '.Entry::class.' e WHERE e.tank = :tank AND e.kind = :kind AND e.on >= :from ORDER BY e.on, e.id')
            ->setParameter('tank', $tank->id(), 'uuid')
            ->setParameter('kind', EntryKind::Done->value)
            ->setParameter('from', $from, 'date_immutable')
            ->getResult();

        return $entries;
    }

    /**
     * The newest readings of tanks: those of the last day on which anything was read.
     *
     * @param list<Tank> $tanks
     *
     * @return array<string, list<Entry>> by tank
     */
    public function lastRead(array $tanks): array
    {
        $read = [];
        if ([] === $tanks) {
            return [];
        }
        // Each tank a parameter of its own: how an id is bound differs from database to database.
        $named = implode(', ', array_map(static fn (int $n): string => ":tank$n", array_keys($tanks)));
        $last = $this->getEntityManager()
            ->createQuery(
                'SELECT IDENTITY(e.tank) AS tank, MAX(e.on) AS day FROM '.Entry::class.
                    " e WHERE e.tank IN ($named) AND e.kind = :kind GROUP BY e.tank",
            )
            ->setParameter('kind', EntryKind::Reading->value);
        foreach ($tanks as $n => $tank) {
            $last->setParameter("tank$n", $tank->id(), 'uuid');
        }
        /** @var list<array{tank: string, day: string}> $days */
        $days = $last->getScalarResult();
        if ([] === $days) {
            return [];
        }
        $either = implode(' OR ', array_map(static fn (int $n): string => "e.tank = :tank$n AND e.on = :day$n", array_keys($days)));
        $query = $this->getEntityManager()
            ->createQuery('SELECT e FROM '.Entry::class." e WHERE e.kind = :kind AND ($either) ORDER BY e.id")
            ->setParameter('kind', EntryKind::Reading->value);
        foreach ($days as $n => ['tank' => $tank, 'day' => $day]) {
            $query->setParameter("tank$n", Uuid::fromString($tank), 'uuid');
            $query->setParameter("day$n", new \DateTimeImmutable($day), 'date_immutable');
        }
        /** @var list<Entry> $entries */
        $entries = $query->getResult();
        foreach ($entries as $entry) {
            $read[$entry->tank->id()->toRfc4122()][] = $entry;
        }

        return $read;
    }

    /**
     * What the core makes sense of, row by row: of fifty thousand entities only making them takes seconds.
     *
     * @return iterable<array{day: string, kind: string, what: string, amount: float|string|null, whom: string|null}> oldest first
     */
    public function rows(Tank $tank, \DateTimeImmutable $from, \DateTimeImmutable $to): iterable
    {
        /** @var iterable<array{day: string, kind: string, what: string, amount: float|string|null, whom: string|null}> $rows */
        $rows = $this->getEntityManager()
            ->createQuery(
                'SELECT e.on AS day, e.kind AS kind, e.what AS what, e.amount AS amount, e.of AS whom FROM '.Entry::class.
                    ' e WHERE e.tank = :tank AND e.on >= :from AND e.on <= :to ORDER BY e.on, e.id',
            )
            ->setParameter('tank', $tank->id(), 'uuid')
            ->setParameter('from', $from, 'date_immutable')
            ->setParameter('to', $to, 'date_immutable')
            ->toIterable([], AbstractQuery::HYDRATE_SCALAR);

        return $rows;
    }
}
