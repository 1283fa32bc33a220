<?php

declare(strict_types=1);

namespace Olvek\Service\Log;

use Doctrine\ORM\AbstractQuery;
use Doctrine\ORM\EntityManagerInterface;
use Olvek\Core\Basis\TimeLimit\TimeLimit;
use Olvek\Core\Basis\Unit\QuantityReader;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Basis\Unit\UnreadableQuantity;
use Olvek\Core\Basis\Unit\Words;
use Olvek\Core\Keeping\Log\Log;
use Olvek\Core\Keeping\Log\LogBuilder;
use Olvek\Core\Keeping\Log\TestKit;
use Olvek\Core\Keeping\Log\ToRead;
use Olvek\Core\Nature\Water\Measure;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Service\Account\Today;
use Olvek\Service\Site\ResultCache;
use Olvek\Service\Tank\Bounds;
use Olvek\Service\Tank\Holding;
use Olvek\Service\Tank\OverBound;
use Olvek\Service\Tank\Tank;
use Olvek\Service\Task\TaskMark;
use Symfony\Component\Uid\Uuid;

/** What is written down of tanks: the one place where lines are added and taken back. */
final readonly class Logbook
{
    /** Times what counts as nothing, up to which "less than" is still the palest colour of a test. J. */
    private const PALEST = 4.0;
    private const UNFINISHED = 'There wasn’t time for all of it. Send it again: it continues from here, and nothing is duplicated.';
    /** Lines that are looked up and written at once. */
    private const AT_ONCE = 200;

    public function __construct(
        private EntityManagerInterface $entities,
        private Today $today,
        private ResultCache $cache,
        private EntryRows $rows,
        private Bounds $bounds,
    ) {
    }

    /**
     * Reads and keeps what was read of a tank; nothing is kept unless all of it can be read.
     *
     * @param array<string, string> $typed by what may be read (ToRead)
     * @param array<string, ToRead> $may   what may, by the same
     * @param Uuid|null             $id    of its first line, from which those of the others are made
     *
     * @return array<string, string> why an entry was refused, by what was to be read; "" for the whole, "day" for its day
     */
    public function test(
        Tank $tank,
        array $typed,
        array $may,
        string $day,
        TestKit $kit,
        UnitSystem $units,
        ?Uuid $id = null,
    ): array {
        $on = $this->today->orEarlier($tank->keeper, $day);
        $errors = null === $on ? ['day' => Today::REFUSED] : [];
        $values = [];
        foreach ($may as $name => $toRead) {
            $measure = $toRead->measure;
            $text = trim($typed[$name] ?? '');
            if ('' === $text) {
                continue;
            }
            try {
                $value = self::typed($measure, $text, $kit, $units);
                $outside = ReadingRange::fault($measure, $value, $kit, $units);
                if (null !== $outside) {
                    $errors[$name] = $outside;
                }
                $values[$name] = $value;
            } catch (UnreadableQuantity $unreadable) {
                $errors[$name] = $unreadable->getMessage();
            }
        }
        if ([] === $values && [] === $errors) {
            $errors[''] = 'Type at least one reading; 0 where nothing showed.';
        }
        $full = [] === $errors ? $this->bounds->fault($tank->keeper, new Holding(lines: \count($values))) : null;
        if (null !== $full) {
            $errors[''] = $full;
        }
        if ([] !== $errors || null === $on) {
            return $errors;
        }
        $next = $id;
        foreach ($values as $of => $value) {
            $measure = $may[$of]->measure;
            $this->entities->persist(
                new Entry(
                    $tank,
                    $on,
                    EntryKind::Reading,
                    $measure->value,
                    $value,
                    $may[$of]->of,
                    self::line($measure, $value, $kit, $units, $may[$of]->whom),
                    id: $next,
                ),
            );
            $next = null === $next ? null : Uuid::v5($next, $of);
        }
        $this->entities->flush();

        return [];
    }

    /**
     * A reading on its base scale. "<0.25" says that the test showed nothing, where that is about the least that it shows.
     *
     * @throws UnreadableQuantity
     */
    private static function typed(Measure $measure, string $text, TestKit $kit, UnitSystem $units): float
    {
        $below = 1 === preg_match('/^[<≤]\s*(.+)$/u', $text, $match);
        $value = $kit->toBase($measure, QuantityReader::read($match[1] ?? $text, $units->unitFor($measure->dimension())));
        if ($measure->isWhole() && floor($value) !== $value) {
            throw new UnreadableQuantity('Type a whole number.');
        }
        if ($below && $value > self::PALEST * $measure->nothingBelow()) {
            throw UnreadableQuantity::onlyBelow($text);
        }

        return $below ? 0.0 : $value;
    }

    /** A reading as the logbook tells it. */
    public static function line(Measure $measure, float $value, TestKit $kit, UnitSystem $units, string $whom = ''): string
    {
        return Words::capital($measure->label()).' '.$kit->show($measure, $value, $units).('' === $whom ? '' : ": $whom");
    }

    /** @return string|null why it was refused */
    public function done(Tank $tank, EventKind $kind, float $amount, ?string $of, string $words, string $day): ?string
    {
        $on = $this->today->orEarlier($tank->keeper, $day);
        if (null === $on) {
            return Today::REFUSED;
        }
        $this->write($tank, $on, $kind, $amount, $of, $words);
        $this->entities->flush();

        return null;
    }

    /**
     * A line about something done, not yet flushed.
     *
     * @throws OverBound where the keeper may have no more
     */
    public function write(Tank $tank, \DateTimeImmutable $on, EventKind $kind, float $amount, ?string $of, string $words): Entry
    {
        $this->bounds->ask($tank->keeper, new Holding(lines: 1));
        $entry = new Entry($tank, $on, EntryKind::Done, $kind->value, $amount, $of, mb_substr($words, 0, Entry::LONGEST_WORDS));
        $this->entities->persist($entry);

        return $entry;
    }

    /** Whether algae showed when somebody looked. */
    public function algae(Tank $tank, bool $show, string $day): ?string
    {
        $on = $this->today->orEarlier($tank->keeper, $day);
        if (null === $on) {
            return Today::REFUSED;
        }
        $this->entities->persist(
            new Entry(
                $tank,
                $on,
                EntryKind::Sighting,
                LogBuilder::ALGAE,
                $show ? 1.0 : 0.0,
                null,
                $show ? 'Algae show' : 'No algae to be seen',
            ),
        );
        $this->entities->flush();

        return null;
    }

    /** Of which tank the entry of this id is; null where there is none: what is sent twice is kept once. */
    public function tankOf(Uuid $id): ?Tank
    {
        return $this->entities->find(Entry::class, $id)?->tank;
    }

    /**
     * Keeps lines of which some may stand here already: those are left as they are. Each few hundred are kept for good before the next are
     * looked at; where time or room runs out, the report says so, and the same lines sent again go on from there.
     *
     * @param iterable<Entry> $entries
     */
    public function keepAll(iterable $entries, LogImportReport $report, ?TimeLimit $patience = null): void
    {
        $chunk = [];
        foreach ($entries as $entry) {
            $chunk[$entry->id->toRfc4122()] = $entry;
            if (\count($chunk) >= EntryRows::AT_ONCE) {
                if (!$this->keepChunk(array_values($chunk), $report)) {
                    return;
                }
                $chunk = [];
                if (true === $patience?->isSpent()) {
                    $report->stop(self::UNFINISHED);

                    return;
                }
            }
        }
        $this->keepChunk(array_values($chunk), $report);
    }

    /** @param list<Entry> $chunk */
    private function keepChunk(array $chunk, LogImportReport $report): bool
    {
        $tanks = $entries = [];
        foreach ($chunk as $entry) {
            $id = $entry->tank->id()->toRfc4122();
            $tanks[$id] = $entry->tank;
            $entries[$id][] = $entry;
        }
        foreach ($entries as $id => $some) {
            $full = $this->bounds->fault($tanks[$id]->keeper, new Holding(lines: \count($some)));
            if (null !== $full) {
                $report->stop($full);

                return false;
            }
            $added = $this->rows->add($tanks[$id], $some);
            $report->keep($added);
            $report->known(\count($some) - $added);
        }

        return true;
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
        $query = $this->entities->createQuery(
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
        $rows = $this->entities
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

    /** A line of any kind. */
    public function add(Entry $entry): void
    {
        $this->entities->persist($entry);
        $this->entities->flush();
    }

    public function find(Tank $tank, string $id): ?Entry
    {
        return $this->entities->getRepository(Entry::class)->findOneBy(['id' => $id, 'tank' => $tank->id()]);
    }

    public function takeBack(Entry $entry): void
    {
        foreach ($this->entities->getRepository(TaskMark::class)->findBy(['tank' => $entry->tank->id(), 'entry' => $entry->id]) as $mark) {
            $this->entities->remove($mark);
        }
        $this->entities->remove($entry);
        $this->entities->flush();
    }

    /** @return iterable<Entry> all of a tank's, oldest first, never many at once */
    public function all(Tank $tank): iterable
    {
        /** @var iterable<Entry> $entries */
        $entries = $this->entities
            ->createQuery('SELECT e FROM '.Entry::class.' e WHERE e.tank = :tank ORDER BY e.on, e.written, e.id')
            ->setParameter('tank', $tank->id(), 'uuid')
            ->toIterable();

        return $entries;
    }

    /** @return list<Entry> newest first */
    public function newest(Tank $tank, int $most, int $from = 0): array
    {
        return $this->entities
            ->getRepository(Entry::class)
            ->findBy(['tank' => $tank->id()], ['on' => 'DESC', 'written' => 'DESC', 'id' => 'DESC'], $most, $from);
    }

    /** @return list<Entry> what was done, seen and noted in a stretch of days, oldest first */
    public function between(Tank $tank, \DateTimeImmutable $from, \DateTimeImmutable $to): array
    {
        /** @var list<Entry> $entries */
        $entries = $this->entities
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
        $entries = $this->entities
            ->createQuery('SELECT e FROM '.Entry::class.' e WHERE e.tank = :tank AND e.kind = :kind AND e.on >= :from ORDER BY e.on, e.id')
            ->setParameter('tank', $tank->id(), 'uuid')
            ->setParameter('kind', EntryKind::Done->value)
            ->setParameter('from', $from, 'date_immutable')
            ->getResult();

        return $entries;
    }

    /** How many there are. */
    public function lines(Tank $tank): int
    {
        return $tank->logLines();
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
        $last = $this->entities
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
        $query = $this->entities
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
     * What the core makes sense of, by days after filling; what was written before is left out. Kept until another line is written or taken
     * back: a probe's years are many lines.
     *
     * @param int         $upTo last day that counts
     * @param string|null $mark of its state, where it is known already
     */
    public function since(Tank $tank, \DateTimeImmutable $filled, int $upTo = Plan::LAST_DAY, ?string $mark = null): Log
    {
        $log = $this->cache->get(
            implode('.', ['log', $mark ?? $this->mark($tank), $filled->format('Ymd'), $upTo]),
            fn (): Log => $this->readLines($tank, $filled, $upTo),
        );
        \assert($log instanceof Log);

        return $log;
    }

    /**
     * A tank as it stands now, as data for long work.
     *
     * @param string $plan document of the plan that stands
     */
    public function state(Tank $tank, string $plan, \DateTimeImmutable $filled, int $day): TankState
    {
        $mark = $this->mark($tank);
        $log = $this->since($tank, $filled, $day, $mark);
        $print = $this->cache->get(
            implode('.', ['print', $mark, $filled->format('Ymd'), $day]),
            static fn (): string => hash('xxh128', serialize($log)),
        );
        \assert(\is_string($print));

        return TankState::of($plan, $filled, $day, $log, $print);
    }

    /** Tells one state of a tank's logbook from another. */
    public function mark(Tank $tank): string
    {
        return $tank->id()->toRfc4122().'.'.$tank->logMark().$tank->logLines();
    }

    private function readLines(Tank $tank, \DateTimeImmutable $filled, int $upTo): Log
    {
        $builder = new LogBuilder();
        // Rows, not entities: of fifty thousand of those only making them takes seconds.
        $rows = $this->entities
            ->createQuery(
                'SELECT e.on AS day, e.kind AS kind, e.what AS what, e.amount AS amount, e.of AS whom FROM '.Entry::class.
                    ' e WHERE e.tank = :tank AND e.on >= :from AND e.on <= :to ORDER BY e.on, e.id',
            )
            ->setParameter('tank', $tank->id(), 'uuid')
            ->setParameter('from', $filled, 'date_immutable')
            ->setParameter('to', $filled->modify("+$upTo days"), 'date_immutable')
            ->toIterable([], AbstractQuery::HYDRATE_SCALAR);
        foreach ($rows as $row) {
            /** @var array{day: string, kind: string, what: string, amount: float|string|null, whom: string|null} $row */
            $builder->add(
                Today::between($filled, new \DateTimeImmutable($row['day'])),
                $row['kind'],
                $row['what'],
                null === $row['amount'] ? null : (float) $row['amount'],
                $row['whom'],
            );
        }

        return $builder->log();
    }
}
