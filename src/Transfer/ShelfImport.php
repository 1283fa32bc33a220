<?php

declare(strict_types=1);

namespace Olvek\Transfer;

use Doctrine\ORM\EntityManagerInterface;
use Olvek\Account\Keeper;
use Olvek\Build\BuildRecords;
use Olvek\Build\StepMark;
use Olvek\Core\Plan\PlanDocument;
use Olvek\Core\TimeLimit\TimeLimit;
use Olvek\Device\DeviceKind;
use Olvek\Device\Devices;
use Olvek\Log\Entry;
use Olvek\Site\Moment;
use Olvek\Site\PlainText;
use Olvek\Tank\Revision;
use Olvek\Tank\Tank;
use Olvek\Tank\TankRepository;
use Olvek\Task\TaskMark;
use Symfony\Component\Uid\Uuid;

/**
 * Reads a file that was carried away back onto a keeper's shelf, empty or living. What is there already is not doubled: the same file may
 * be brought as often as one likes.
 */
final readonly class ShelfImport
{
    private const MOST_TANKS = 2000;
    /** Lines of a logbook that are looked up and written at once. */
    private const AT_ONCE = 200;

    public function __construct(
        private EntityManagerInterface $entities,
        private TankRepository $tanks,
        private PlanDocument $document,
        private BuildRecords $book,
        private Devices $devices,
    ) {
    }

    /** @throws UnreadableFile when it is no such file; nothing is taken then */
    public function bring(Keeper $keeper, string $path, TimeLimit $patience): ImportResult
    {
        $zip = Unzip::open($path);
        $report = new ImportResult();
        $list = self::manifest($zip);
        foreach ($list as $n => $told) {
            if ($n > 0 && $patience->isSpent()) {
                $report->left = \count($list) - $n;
                break;
            }
            $files = new TankFiles($zip, $told['folder'], $report, $this->document);
            $keeper = $this->entities->getReference(Keeper::class, $keeper->id()) ?? $keeper;
            if (!isset($files->revisions[$told['head']])) {
                $report->tank($told['name'], 'was not taken: the plan that stands could not be read.');
                continue;
            }
            $this->entities->wrapInTransaction(fn () => $this->tank($keeper, $told, $files, $report));
            $this->entities->clear();
        }

        return $report;
    }

    /**
     * @return list<array{
     *     folder: string, id: Uuid, name: string, created: \DateTimeImmutable, head: int,
     *     room: string, archived: ?\DateTimeImmutable, follows: ?Uuid
     * }>
     *
     * @throws UnreadableFile
     */
    private static function manifest(Unzip $zip): array
    {
        $data = json_decode($zip->text('manifest.json', Unzip::MOST_TABLE) ?? '', true, 8);
        if (!\is_array($data) || ShelfExport::FORMAT !== ($data['format'] ?? null) || !\is_array($data['tanks'] ?? null)) {
            throw new UnreadableFile('This ZIP file was not made by Olvek: it has no manifest that says so.');
        }
        if (ShelfExport::VERSION !== ($data['version'] ?? null)) {
            throw new UnreadableFile('This file was made by another version of Olvek, which this one does not read.');
        }
        $tanks = [];
        foreach (\array_slice(array_values($data['tanks']), 0, self::MOST_TANKS) as $tank) {
            $created = \is_array($tank) && \is_string($tank['created'] ?? null) ? Moment::read(\DATE_ATOM, $tank['created']) : null;
            if (
                !\is_array($tank)
                || !\is_string($tank['folder'] ?? null)
                || 1 !== preg_match('~^tanks/[a-z0-9-]{1,60}$~D', $tank['folder'])
                || !\is_string($tank['id'] ?? null)
                || !Uuid::isValid($tank['id'])
                || !\is_int($tank['head'] ?? null)
                || null === $created
            ) {
                throw new UnreadableFile('The manifest of this file has been changed: a tank in it cannot be understood.');
            }
            $tanks[] = [
                'folder' => $tank['folder'],
                'id' => Uuid::fromString($tank['id']),
                'name' => mb_substr(mb_scrub(\is_string($tank['name'] ?? null) ? $tank['name'] : ''), 0, 80),
                'created' => $created,
                'head' => $tank['head'],
                'room' => self::room($tank['room'] ?? ''),
                'archived' => \is_string($tank['archived'] ?? null) ? Moment::read(\DATE_ATOM, $tank['archived']) : null,
                'follows' => \is_string($tank['follows'] ?? null) && Uuid::isValid($tank['follows'])
                    ? Uuid::fromString($tank['follows'])
                    : null,
            ];
        }

        return $tanks;
    }

    /** What a room may be called, of what a file says: files from before there were rooms say nothing. */
    private static function room(mixed $told): string
    {
        return \is_string($told) && null === PlainText::fault($told, Tank::LONGEST_ROOM, 'A room') ? trim($told) : '';
    }

    /**
     * @param array{
     *     folder: string, id: Uuid, name: string, created: \DateTimeImmutable, head: int,
     *     room: string, archived: ?\DateTimeImmutable, follows: ?Uuid
     * } $told
     */
    private function tank(Keeper $keeper, array $told, TankFiles $files, ImportResult $report): void
    {
        // Another's tank of the same id is nobody's business: this one gets an id of its own, the same each time it is brought.
        $own = Uuid::v5($keeper->id(), $told['id']->toRfc4122());
        $tank = $this->mine($told['id'], $keeper) ?? $this->mine($own, $keeper);
        $new = null === $tank;
        $back = false;
        if (null === $tank) {
            $tank = new Tank(
                $keeper,
                $files->revisions[$told['head']]['name'],
                $told['created']->setTimezone(new \DateTimeZone(date_default_timezone_get())),
                null === $this->tanks->find($told['id']) ? $told['id'] : $own,
            );
            $tank->standIn($told['room']);
            if (null !== $told['archived']) {
                $tank->archive($told['archived']->setTimezone(new \DateTimeZone(date_default_timezone_get())));
            }
            $followed = null === $told['follows']
                ? null
                : $this->mine($told['follows'], $keeper) ?? $this->mine(Uuid::v5($keeper->id(), $told['follows']->toRfc4122()), $keeper);
            if (null !== $followed) {
                $tank->follow($followed);
            }
            $this->entities->persist($tank);
        } elseif (null !== $tank->removedAt()) {
            $tank->bringBack();
            $back = true;
        }
        $plans = $this->plans($tank, $new, $told['head'], $files);
        $lines = $this->lines($tank, $files);
        $marks = $this->marks($tank, $files);
        $this->entities->flush();
        foreach ($new ? $files->devices : [] as $kind => $device) {
            $this->devices->wire($tank, DeviceKind::from($kind), $device);
        }
        $report->tank(
            $told['name'],
            match (true) {
                $new => \sprintf(
                    'is on the shelf, with %s and %s.',
                    self::number($plans ?? 0, 'revision'),
                    self::number($lines, 'line of its logbook', 'lines of its logbook'),
                ),
                null === $plans => 'stands here already and has gone on differently since; its plans were left as they are here'.
                    (0 === $lines + $marks
                        ? '.'
                        : \sprintf(', and %s of its logbook %s added.', self::number($lines, 'line'), 1 === $lines ? 'was' : 'were')),
                0 === $plans + $lines + $marks && !$back => 'stands here already, with all that is in the file.',
                default => \sprintf(
                    '%s here already; %s and %s were added.',
                    $back ? 'had been removed and is back; it was' : 'stands',
                    self::number($plans, 'revision'),
                    self::number($lines, 'line of its logbook', 'lines of its logbook'),
                ),
            },
        );
    }

    private function mine(Uuid $id, Keeper $keeper): ?Tank
    {
        return $this->tanks->findOneBy(['id' => $id, 'keeper' => $keeper->id()]);
    }

    /** @return int|null how many were added; null where the tank's own have gone another way */
    private function plans(Tank $tank, bool $new, int $head, TankFiles $files): ?int
    {
        $here = [];
        foreach ($new ? [] : $this->entities->getRepository(Revision::class)->findBy(['tank' => $tank->id()]) as $revision) {
            $here[$revision->number] = hash('xxh128', $revision->plan);
        }
        foreach ($here as $number => $plan) {
            if (isset($files->revisions[$number]) && hash('xxh128', $files->revisions[$number]['plan']) !== $plan) {
                return null;
            }
        }
        $missing = array_diff_key($files->revisions, $here);
        $made = [];
        foreach ($missing as $number => $told) {
            $made[$number] = new Revision($tank, $number, $told['parent'], $told['plan'], $told['words'], $told['at']);
            $made[$number]->call($told['label']);
            $this->entities->persist($made[$number]);
        }
        // What stands moves on only where the file knows more than the shelf.
        $newest = max([0, ...array_keys($files->revisions)]);
        if ([] !== $made && ($new || $newest > max([0, ...array_keys($here)]))) {
            $stands = $made[$head] ?? $this->tanks->revision($tank, $head);
            \assert(null !== $stands);
            $tank->hold($stands, $newest, $files->revisions[$head]['name']);
        }

        return \count($made);
    }

    /** @return int how many were added */
    private function lines(Tank $tank, TankFiles $files): int
    {
        $added = 0;
        foreach (array_chunk($files->lines, self::AT_ONCE, true) as $chunk) {
            $known = $this->owners(array_keys($chunk), $tank);
            $other = $this->owners(
                array_map(static fn (string $id): string => self::own($tank, $id)->toRfc4122(), array_keys($chunk)),
                $tank,
            );
            foreach ($chunk as $id => $told) {
                $mine = $known[$id] ?? null;
                if (true === $mine || isset($other[self::own($tank, $id)->toRfc4122()])) {
                    continue;
                }
                $this->entities->persist(
                    new Entry(
                        $tank,
                        $told['on'],
                        $told['kind'],
                        $told['what'],
                        $told['amount'],
                        $told['of'],
                        $told['words'],
                        $told['madeUp'],
                        null === $mine ? Uuid::fromString($id) : self::own($tank, $id),
                        $told['written'],
                        $told['note'],
                        $told['cause'],
                    ),
                );
                ++$added;
            }
        }

        return $added;
    }

    /**
     * @param list<string> $ids
     *
     * @return array<string, bool> of the lines that there are, whether they are this tank's
     */
    private function owners(array $ids, Tank $tank): array
    {
        if ([] === $ids) {
            return [];
        }
        $query = $this->entities->createQuery(
            'SELECT e.id AS id, IDENTITY(e.tank) AS tank FROM '.
                Entry::class.
                ' e WHERE e.id IN ('.
                implode(', ', array_map(static fn (int $n): string => ":id$n", array_keys($ids))).
                ')',
        );
        foreach ($ids as $n => $id) {
            $query->setParameter("id$n", Uuid::fromString($id), 'uuid');
        }
        $owners = [];
        /** @var list<array{id: Uuid, tank: string|Uuid}> $rows */
        $rows = $query->getResult();
        foreach ($rows as $row) {
            $owners[$row['id']->toRfc4122()] = (string) $row['tank'] === $tank->id()->toRfc4122();
        }

        return $owners;
    }

    /** @return int how many were added of tasks, steps and the sheet */
    private function marks(Tank $tank, TankFiles $files): int
    {
        $added = 0;
        foreach ($files->tasks as $told) {
            if (null === $this->entities->find(TaskMark::class, ['tank' => $tank->id(), 'task' => $told['task'], 'due' => $told['due']])) {
                $this->entities->persist(
                    new TaskMark(
                        $tank,
                        $told['task'],
                        $told['due'],
                        $told['moved'],
                        $told['settled'],
                        null === $told['entry'] ? null : Uuid::fromString($told['entry']),
                    ),
                );
                ++$added;
            }
        }
        foreach ($files->steps as $told) {
            if (null === $this->entities->find(StepMark::class, ['tank' => $tank->id(), 'step' => $told['step']])) {
                $this->entities->persist(new StepMark($tank, $told['step'], $told['done'], $told['on'], $told['note']));
                ++$added;
            }
        }
        $progress = $this->book->progress($tank);
        if (0 === $progress->version() && [] !== array_filter($files->sheet)) {
            $progress->keep($files->sheet);
            $this->entities->persist($progress);
            ++$added;
        }

        return $added;
    }

    private static function own(Tank $tank, string $id): Uuid
    {
        return Uuid::v5($tank->id(), $id);
    }

    private static function number(int $n, string $one, ?string $many = null): string
    {
        return $n.' '.(1 === $n ? $one : $many ?? $one.'s');
    }
}
