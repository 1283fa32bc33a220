<?php

declare(strict_types=1);

namespace Olvek\Service\Transfer;

use Doctrine\ORM\EntityManagerInterface;
use Olvek\Core\Basis\TimeLimit\TimeLimit;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Build\BuildRecords;
use Olvek\Service\Build\StepMark;
use Olvek\Service\Device\DeviceAssignment;
use Olvek\Service\Device\DeviceKind;
use Olvek\Service\Log\Entry;
use Olvek\Service\Log\EntryKind;
use Olvek\Service\Log\EntryRows;
use Olvek\Service\Photo\Photos;
use Olvek\Service\Tank\Bounds;
use Olvek\Service\Tank\Holding;
use Olvek\Service\Tank\OverBound;
use Olvek\Service\Tank\Revision;
use Olvek\Service\Tank\Tank;
use Olvek\Service\Tank\TankRepository;
use Olvek\Service\Task\TaskMark;
use Symfony\Component\Uid\Uuid;

/**
 * Reads a file that was carried away back onto a keeper's shelf, empty or living. What is there already is not doubled: the same file may
 * be brought as often as one likes, and where time ran out the next try goes on from there.
 *
 * A tank, with the plan that stands and what is marked, is a transaction; its other plans, its lines and its photos come a few at a time,
 * so that nobody else waits for the database, and memory holds but those few.
 */
final readonly class ShelfImport
{
    /** Revisions that are written at once: their plans are long. */
    private const PLANS_AT_ONCE = 20;

    public function __construct(
        private EntityManagerInterface $entities,
        private TankRepository $tanks,
        private PlanDocument $document,
        private BuildRecords $buildRecords,
        private EntryRows $rows,
        private Photos $photos,
        private Bounds $bounds,
    ) {
    }

    /** @throws UnreadableFile when it is no such file; nothing is taken then */
    public function bring(Keeper $keeper, string $path, TimeLimit $patience): ImportResult
    {
        $zip = Unzip::open($path);
        $report = new ImportResult();
        $manifest = ShelfManifest::read($zip);
        if (null !== $manifest->settings && [] === $this->tanks->findBy(['keeper' => $keeper->id()], limit: 1)) {
            // Where somebody lives already, how they like it is theirs.
            $manifest->settings->apply($keeper);
            $this->entities->flush();
            $report->settings = true;
        }
        foreach ($manifest->tanks as $n => $source) {
            if ($n > 0 && $patience->isSpent()) {
                $report->left = \count($manifest->tanks) - $n;
                break;
            }
            $keeper = $this->entities->getReference(Keeper::class, $keeper->id()) ?? $keeper;
            try {
                $whole = $this->tank($keeper, $source, new TankFiles($zip, $source->folder, $report, $this->document), $report, $patience);
            } catch (OverBound $full) {
                $report->tank($source->name, 'was not imported completely: '.$full->getMessage());
                break;
            }
            $this->entities->clear();
            if (!$whole) {
                $report->left = \count($manifest->tanks) - $n;
                break;
            }
        }

        return $report;
    }

    /** @return bool whether all of it was looked at */
    private function tank(Keeper $keeper, ManifestTank $source, TankFiles $files, ImportResult $report, TimeLimit $patience): bool
    {
        $head = isset($files->revisions[$source->head]) ? $files->plan($source->head) : null;
        if (null === $head) {
            $report->tank($source->name, 'was not imported: its current plan can’t be read.');

            return true;
        }
        // Another's tank of the same id is nobody's business: this one gets an id of its own, the same each time it is brought.
        $own = Uuid::v5($keeper->id(), $source->id->toRfc4122());
        $tank = $this->mine($source->id, $keeper) ?? $this->mine($own, $keeper);
        $came = new BroughtTank(null === $tank, null !== $tank?->removedAt());
        if (null === $tank) {
            $this->bounds->ask($keeper, new Holding(tanks: 1));
            $tank = $this->begin($keeper, $source, null === $this->tanks->find($source->id) ? $source->id : $own, $head, $files);
            $came->plans = 1;
        } elseif ($came->wasRemoved) {
            $this->tanks->bringBack($tank);
        }
        $came->marks = $this->entities->wrapInTransaction(fn (): int => $this->marks($tank, $files));
        $whole = $this->plans($tank, $source->head, $head, $files, $came, $patience)
            && $this->lines($tank, $files, $came, $patience)
            && $this->pictures($tank, $files, $came, $patience);
        $report->tank($source->name, $came->words().($whole ? '' : ' There wasn’t time for all of it yet.'));

        return $whole;
    }

    private function begin(Keeper $keeper, ManifestTank $source, Uuid $id, StoredPlan $head, TankFiles $files): Tank
    {
        $zone = new \DateTimeZone(date_default_timezone_get());
        $tank = new Tank($keeper, $head->name, $source->created->setTimezone($zone), $id);
        $tank->standIn($source->room);
        if (null !== $source->archived) {
            $tank->archive($source->archived->setTimezone($zone));
        }
        $followed = null === $source->follows
            ? null
            : $this->mine($source->follows, $keeper) ?? $this->mine(Uuid::v5($keeper->id(), $source->follows->toRfc4122()), $keeper);
        if (null !== $followed) {
            $tank->follow($followed);
        }
        $this->entities->wrapInTransaction(function () use ($tank, $source, $head, $files): void {
            $this->entities->persist($tank);
            $stands = self::revision($tank, $source->head, $files, $head);
            $this->entities->persist($stands);
            $tank->hold($stands, max([0, ...array_keys($files->revisions)]), $head->name);
            foreach ($files->devices as $kind => $device) {
                // Also one that this house does not know: it is known again where the file goes back.
                $this->entities->persist(new DeviceAssignment($tank, DeviceKind::from($kind), $device));
            }
        });

        return $tank;
    }

    private function mine(Uuid $id, Keeper $keeper): ?Tank
    {
        return $this->tanks->findOneBy(['id' => $id, 'keeper' => $keeper->id()]);
    }

    private static function revision(Tank $tank, int $number, TankFiles $files, StoredPlan $plan): Revision
    {
        $row = $files->revisions[$number];
        $revision = new Revision($tank, $number, $row['parent'], $plan->json, $row['words'], $row['at']);
        $revision->call($row['label']);

        return $revision;
    }

    /** Revisions that the shelf lacks, unless its own have gone another way. */
    private function plans(Tank $tank, int $head, StoredPlan $stands, TankFiles $files, BroughtTank $came, TimeLimit $patience): bool
    {
        $here = $this->numbers($tank);
        $missing = array_diff_key($files->revisions, $here);
        foreach (array_intersect_key($here, $files->revisions) as $number => $hash) {
            $plan = $number === $head ? $stands : $files->plan($number);
            if (null !== $plan && hash('xxh128', $plan->json) !== $hash) {
                $came->isElsewhere = true;

                return true;
            }
        }
        // What stands moves on only where the file knows more than the shelf.
        $newest = max([0, ...array_keys($files->revisions)]);
        $goesOn = !$came->isNew && $newest > max([0, ...array_keys($here)]);
        foreach (array_chunk(array_keys($missing), self::PLANS_AT_ONCE) as $numbers) {
            if ($came->plans > 0 && $patience->isSpent()) {
                return false;
            }
            $came->plans += $this->entities->wrapInTransaction(function () use ($tank, $numbers, $files, $head, $stands): int {
                $made = [];
                foreach ($numbers as $number) {
                    $plan = $number === $head ? $stands : $files->plan($number);
                    if (null !== $plan) {
                        $this->bounds->ask($tank->keeper, new Holding(bytes: \strlen($plan->json)));
                        $this->entities->persist($made[] = self::revision($tank, $number, $files, $plan));
                    }
                }
                $this->entities->flush();
                array_walk($made, fn (Revision $r) => $this->entities->detach($r));

                return \count($made);
            });
        }
        if ($goesOn && [] !== $missing) {
            $tank->hold($this->tanks->revision($tank, $head) ?? throw new \LogicException('it was just kept'), $newest, $stands->name);
            $this->entities->flush();
        }

        return true;
    }

    /** @return array<int, string> hashes of a tank's plans by number, read one by one */
    private function numbers(Tank $tank): array
    {
        $hashes = [];
        foreach ($this->tanks->plans($tank) as $number => $plan) {
            $hashes[$number] = hash('xxh128', $plan);
        }

        return $hashes;
    }

    /** Lines that the shelf lacks. */
    private function lines(Tank $tank, TankFiles $files, BroughtTank $came, TimeLimit $patience): bool
    {
        $chunk = [];
        foreach ($files->lines() as $id => $line) {
            $chunk[$id] = $line;
            if (\count($chunk) >= EntryRows::AT_ONCE) {
                $came->lines += $this->someLines($tank, $chunk);
                $chunk = [];
                // What is there already is gone over quickly; each try adds something.
                if ($came->lines > 0 && $patience->isSpent()) {
                    return false;
                }
            }
        }
        $came->lines += $this->someLines($tank, $chunk);

        return true;
    }

    /**
     * @param array<string, array{on: \DateTimeImmutable, kind: EntryKind, what: string, amount: float|null, of: string|null,
     * words: string, madeUp: bool, written: string, note: string, cause: string}> $chunk by id
     */
    private function someLines(Tank $tank, array $chunk): int
    {
        $there = $this->rows->owners(array_keys($chunk), $tank);
        $entries = [];
        foreach ($chunk as $id => $line) {
            $isMine = $there[$id] ?? null;
            if (true === $isMine) {
                continue;
            }
            $entries[] = new Entry(
                $tank,
                $line['on'],
                $line['kind'],
                $line['what'],
                $line['amount'],
                $line['of'],
                $line['words'],
                $line['madeUp'],
                null === $isMine ? Uuid::fromString($id) : self::own($tank, $id),
                $line['written'],
                $line['note'],
                $line['cause'],
            );
        }
        if ([] !== $entries) {
            $this->bounds->ask($tank->keeper, new Holding(lines: \count($entries)));
        }

        return $this->rows->add($tank, $entries);
    }

    /** Photos that the shelf lacks. */
    private function pictures(Tank $tank, TankFiles $files, BroughtTank $came, TimeLimit $patience): bool
    {
        foreach ($files->photos() as $id => $row) {
            $uuid = Uuid::fromString($id);
            $other = $this->photos->tankOf($uuid);
            if (null !== $other && $other !== $tank) {
                $uuid = self::own($tank, $id);
                $other = $this->photos->tankOf($uuid);
            }
            if (null !== $other) {
                continue;
            }
            if ($came->plans + $came->lines + $came->photos > 0 && $patience->isSpent()) {
                return false;
            }
            $path = $files->picture($row['file']);
            if (null === $path) {
                continue;
            }
            try {
                $fault = $this->photos->bring($tank, $uuid, $row['on'], $row['words'], $path);
            } finally {
                unlink($path);
            }
            if (null === $fault) {
                ++$came->photos;
            } else {
                $files->fault($row['file'], $fault);
            }
        }

        return true;
    }

    /** @return int how many were added of tasks, steps and the sheet */
    private function marks(Tank $tank, TankFiles $files): int
    {
        $added = 0;
        $entries = array_values(array_filter(array_column($files->tasks, 'entry'), is_string(...)));
        $there = [];
        foreach (array_chunk($entries, EntryRows::AT_ONCE) as $some) {
            $there += $this->rows->owners($some, $tank);
        }
        foreach ($files->tasks as $row) {
            if (null === $this->entities->find(TaskMark::class, ['tank' => $tank->id(), 'task' => $row['task'], 'due' => $row['due']])) {
                $entry = $row['entry'];
                $this->entities->persist(
                    new TaskMark(
                        $tank,
                        $row['task'],
                        $row['due'],
                        $row['moved'],
                        $row['settled'],
                        // Its line comes under an id of its own where another tank has that one.
                        null === $entry ? null : (false === ($there[$entry] ?? null) ? self::own($tank, $entry) : Uuid::fromString($entry)),
                    ),
                );
                ++$added;
            }
        }
        foreach ($files->steps as $row) {
            if (null === $this->entities->find(StepMark::class, ['tank' => $tank->id(), 'step' => $row['step']])) {
                $this->entities->persist(new StepMark($tank, $row['step'], $row['done'], $row['on'], $row['note']));
                ++$added;
            }
        }
        $progress = $this->buildRecords->progress($tank);
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
}
