<?php

declare(strict_types=1);

namespace Olvek\Service\Log;

use Doctrine\ORM\EntityManagerInterface;
use Olvek\Core\Basis\TimeLimit\TimeLimit;
use Olvek\Service\Tank\Holdings;
use Olvek\Service\Tank\Tank;
use Psr\Clock\ClockInterface;
use Symfony\Component\Uid\Uuid;

/** Imports of a tank's logbook: begun, listed, undone. */
final readonly class ImportBatches
{
    /** Imports that a page shows. */
    private const SHOWN = 10;

    public function __construct(private EntityManagerInterface $entities, private ClockInterface $clock, private Holdings $holdings)
    {
    }

    public function begin(Tank $tank, string $name): ImportBatch
    {
        $batch = new ImportBatch($tank, $this->clock->now(), mb_substr(mb_scrub($name), 0, ImportBatch::LONGEST_NAME));
        $this->entities->persist($batch);
        $this->entities->flush();

        return $batch;
    }

    /** What it has brought; one that brought nothing is forgotten. */
    public function end(ImportBatch $batch, int $entries): void
    {
        if (0 === $entries) {
            $this->entities->remove($batch);
        }
        $batch->brought($entries);
        $this->entities->flush();
    }

    /** @return list<ImportBatch> newest first */
    public function newest(Tank $tank): array
    {
        return $this->entities
            ->getRepository(ImportBatch::class)
            ->findBy(['tank' => $tank->id()], ['at' => 'DESC', 'id' => 'DESC'], self::SHOWN);
    }

    public function find(Tank $tank, string $id): ?ImportBatch
    {
        return Uuid::isValid($id)
            ? $this->entities->getRepository(ImportBatch::class)->findOneBy(['id' => Uuid::fromString($id), 'tank' => $tank->id()])
            : null;
    }

    /**
     * Takes back what an import brought, as far as it still stands, a few hundred entries at a time.
     *
     * @return int|null how many were taken back; null where time ran out before all were
     */
    public function undo(ImportBatch $batch, TimeLimit $patience): ?int
    {
        $undone = 0;
        do {
            $gone = $this->entities->wrapInTransaction(fn (): int => $this->undoSome($batch));
            $undone += $gone;
            if ($gone > 0 && $patience->isSpent()) {
                return null;
            }
        } while ($gone > 0);
        $this->entities->remove($batch);
        $this->entities->flush();

        return $undone;
    }

    private function undoSome(ImportBatch $batch): int
    {
        $gone = (int) $this->entities->getConnection()->executeStatement(
            'DELETE FROM log_entry WHERE id IN (SELECT id FROM log_entry WHERE import_id = ? AND tank_id = ? LIMIT '.EntryRows::AT_ONCE.')',
            [$batch->id->toRfc4122(), $batch->tank->id()->toRfc4122()],
        );
        if ($gone > 0) {
            $this->holdings->count($batch->tank, lines: -$gone);
        }

        return $gone;
    }
}
