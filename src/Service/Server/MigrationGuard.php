<?php

declare(strict_types=1);

namespace Olvek\Service\Server;

use Doctrine\Bundle\DoctrineBundle\Attribute\AsDoctrineListener;
use Doctrine\DBAL\Connection;
use Doctrine\DBAL\Platforms\SQLitePlatform;
use Doctrine\Migrations\Event\MigrationsEventArgs;
use Doctrine\Migrations\Events;

/**
 * Keeps a migration of SQLite from losing rows. To change a column's rules there, a table is made anew and the old one dropped; with
 * foreign keys in force that drop deletes every row that refers to it, without an error. So keys are off while migrations run (a
 * connection ignores that setting inside a transaction, hence here and not in a migration), all of them are one transaction, and before
 * it is committed every table must still hold at least the rows that it held and no row may refer to a missing one.
 */
#[AsDoctrineListener(Events::onMigrationsMigrating)]
#[AsDoctrineListener(Events::onMigrationsMigrated)]
final class MigrationGuard
{
    /** @var array<string, int> rows by table, before */
    private array $held = [];

    public function onMigrationsMigrating(MigrationsEventArgs $event): void
    {
        $connection = $event->getConnection();
        if (!$this->applies($event)) {
            return;
        }
        $connection->executeStatement('PRAGMA foreign_keys=OFF');
        $connection->beginTransaction();
        $this->held = self::counts($connection);
    }

    /** @throws Trouble where rows would be lost; then nothing is changed */
    public function onMigrationsMigrated(MigrationsEventArgs $event): void
    {
        $connection = $event->getConnection();
        if (!$this->applies($event)) {
            return;
        }
        $lost = [];
        $now = self::counts($connection);
        foreach ($this->held as $table => $rows) {
            if (($now[$table] ?? 0) < $rows) {
                $lost[] = \sprintf('%s would have %d rows instead of %d', $table, $now[$table] ?? 0, $rows);
            }
        }
        $broken = $connection->fetchAllAssociative('PRAGMA foreign_key_check');
        if ([] !== $broken) {
            $lost[] = \sprintf('%d rows would refer to rows that no longer exist', \count($broken));
        }
        if ([] !== $lost) {
            $connection->rollBack();
            $connection->executeStatement('PRAGMA foreign_keys=ON');
            throw new Trouble('Not migrated, and nothing was changed: '.implode('; ', $lost).'.');
        }
        $connection->commit();
        $connection->executeStatement('PRAGMA foreign_keys=ON');
    }

    private function applies(MigrationsEventArgs $event): bool
    {
        return !$event->getMigratorConfiguration()->isDryRun()
            && $event->getConnection()->getDatabasePlatform() instanceof SQLitePlatform;
    }

    /** @return array<string, int> rows by table, without those that refer to a missing row: foreign keys were not always in force */
    private static function counts(Connection $connection): array
    {
        $counts = [];
        /** @var list<string> $tables */
        $tables = $connection->fetchFirstColumn(
            "SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite\\_%' ESCAPE '\\'",
        );
        foreach ($tables as $table) {
            $rows = $connection->fetchOne("SELECT COUNT(*) FROM \"$table\" WHERE ".self::reachable($connection, $table, []));
            $counts[$table] = is_numeric($rows) ? (int) $rows : 0;
        }

        return $counts;
    }

    /**
     * A condition that a row of a table meets if all that it refers to is there.
     *
     * @param list<string> $path tables that led here: a circle of references ends
     */
    private static function reachable(Connection $connection, string $table, array $path): string
    {
        $conditions = ['1'];
        /** @var array{table: string, from: string, to: string|null} $key */
        foreach (\in_array($table, $path, true) ? [] : $connection->fetchAllAssociative("PRAGMA foreign_key_list(\"$table\")") as $key) {
            $to = $key['to'] ?? $key['from'];
            $parent = self::reachable($connection, $key['table'], [...$path, $table]);
            $conditions[] = "(\"$table\".\"$key[from]\" IS NULL OR \"$table\".\"$key[from]\" IN "
                ."(SELECT \"$to\" FROM \"$key[table]\" WHERE $parent))";
        }

        return implode(' AND ', $conditions);
    }
}
