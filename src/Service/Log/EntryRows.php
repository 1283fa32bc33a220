<?php

declare(strict_types=1);

namespace Olvek\Service\Log;

use Doctrine\DBAL\Connection;
use Olvek\Service\Tank\Holdings;
use Olvek\Service\Tank\Tank;

/**
 * Writes many lines of logbooks at once, as rows: objects that the ORM watches cost a hundred times as much. A few hundred of them are a
 * transaction of their own, so that nobody else waits for the database while a long table comes in.
 */
final readonly class EntryRows
{
    /** Lines in one transaction: some ten milliseconds. */
    public const AT_ONCE = 400;
    private const COLUMNS =
        ['id', 'tank_id', 'on_day', 'kind', 'what', 'amount', 'of_id', 'words', 'made_up', 'written', 'note', 'cause', 'import_id'];

    public function __construct(private Connection $connection, private Holdings $holdings)
    {
    }

    /**
     * @param list<string> $ids
     *
     * @return array<string, bool> of the lines that there are, whether they are this tank's
     */
    public function owners(array $ids, Tank $tank): array
    {
        if ([] === $ids) {
            return [];
        }
        /** @var list<array{id: string, tank_id: string}> $rows */
        $rows = $this->connection->fetchAllAssociative(
            'SELECT id, tank_id FROM log_entry WHERE id IN ('.implode(', ', array_fill(0, \count($ids), '?')).')',
            $ids,
        );

        return array_map(static fn (string $of): bool => $of === $tank->id()->toRfc4122(), array_column($rows, 'tank_id', 'id'));
    }

    /**
     * Adds those whose id is in no logbook yet; the rest stand already, also where another request has just added them.
     *
     * @param list<Entry> $entries of one tank, at most AT_ONCE
     *
     * @return int how many were added
     */
    public function add(Tank $tank, array $entries): int
    {
        if ([] === $entries) {
            return 0;
        }
        $values = [];
        foreach ($entries as $entry) {
            array_push(
                $values,
                $entry->id->toRfc4122(),
                $tank->id()->toRfc4122(),
                $entry->on->format('Y-m-d'),
                $entry->kind->value,
                $entry->what,
                null === $entry->amount ? null : json_encode($entry->amount, \JSON_THROW_ON_ERROR),
                $entry->of,
                $entry->words,
                $entry->madeUp ? '1' : '0',
                $entry->written,
                $entry->note,
                $entry->cause,
                $entry->import?->toRfc4122(),
            );
        }
        $row = '('.implode(', ', array_fill(0, \count(self::COLUMNS), '?')).')';
        $sql = \sprintf(
            'INSERT INTO log_entry (%s) VALUES %s ON CONFLICT (id) DO NOTHING',
            implode(', ', self::COLUMNS),
            implode(', ', array_fill(0, \count($entries), $row)),
        );

        return $this->connection->transactional(function () use ($sql, $values, $tank): int {
            $added = (int) $this->connection->executeStatement($sql, $values);
            if ($added > 0) {
                $this->holdings->count($tank, lines: $added);
            }

            return $added;
        });
    }
}
