<?php

declare(strict_types=1);

namespace Olvek\Migrations;

use Doctrine\DBAL\Platforms\SQLitePlatform;
use Doctrine\DBAL\Schema\Schema;
use Doctrine\DBAL\Types\Types;
use Doctrine\Migrations\AbstractMigration;
use Olvek\Service\Account\SignInName;

/**
 * Written against the schema, so that it runs on any database; only columns are added, so that on SQLite no table is made anew (with
 * foreign keys in force, dropping the old one would take all that hangs on it along).
 */
final class Version20261127090000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Accounts that can be disabled and removed, invitations, work for workers; ids that any dump carries; '
            .'plans known by their content';
    }

    public function up(Schema $schema): void
    {
        $keeper = $schema->getTable('keeper');
        $keeper->addColumn('seal', Types::STRING, ['length' => 32, 'default' => '']);
        $keeper->addColumn('disabled_at', Types::DATETIME_IMMUTABLE, ['notnull' => false]);
        $keeper->addColumn('removed_at', Types::DATETIME_IMMUTABLE, ['notnull' => false]);
        $tank = $schema->getTable('tank');
        $tank->addColumn('plan_hash', Types::STRING, ['length' => 32, 'default' => '']);
        $tank->addColumn('removed_at', Types::DATETIME_IMMUTABLE, ['notnull' => false]);
        $schema->getTable('task_mark')->addColumn('version', Types::INTEGER, ['default' => 1]);

        $invitation = $schema->createTable('invitation');
        $invitation->addColumn('code_hash', Types::STRING, ['length' => 64]);
        $invitation->addColumn('made_at', Types::DATETIME_IMMUTABLE);
        $invitation->addColumn('ends_at', Types::DATETIME_IMMUTABLE);
        $invitation->setPrimaryKey(['code_hash']);

        // As the Doctrine transport of symfony/messenger wants it.
        $work = $schema->createTable('work');
        $work->addColumn('id', Types::BIGINT, ['autoincrement' => true]);
        $work->addColumn('body', Types::TEXT);
        $work->addColumn('headers', Types::TEXT);
        $work->addColumn('queue_name', Types::STRING, ['length' => 190]);
        $work->addColumn('created_at', Types::DATETIME_IMMUTABLE);
        $work->addColumn('available_at', Types::DATETIME_IMMUTABLE);
        $work->addColumn('delivered_at', Types::DATETIME_IMMUTABLE, ['notnull' => false]);
        $work->setPrimaryKey(['id']);
        $work->addIndex(['queue_name', 'available_at', 'delivered_at', 'id'], 'work_next');
    }

    public function postUp(Schema $schema): void
    {
        $this->connection->transactional(function (): void {
            $this->foldNames();
            foreach (
                $this->connection->iterateAssociative(
                    'SELECT r.tank_id, r.plan FROM revision r JOIN tank t ON t.id = r.tank_id AND t.head = r.number',
                ) as $row
            ) {
                \assert(\is_string($row['plan']));
                $this->connection->executeStatement('UPDATE tank SET plan_hash = ? WHERE id = ?', [
                    hash('xxh128', $row['plan']),
                    $row['tank_id'],
                ]);
            }
            if ($this->connection->getDatabasePlatform() instanceof SQLitePlatform) {
                $this->idsAsText();
            }
        });
    }

    /** Names lose their case; of two that were told apart by it alone, the later gets a number. */
    private function foldNames(): void
    {
        $taken = $names = [];
        /** @var list<array{id: string, sign_in_name: string}> $rows */
        $rows = $this->connection->fetchAllAssociative('SELECT id, sign_in_name FROM keeper ORDER BY id');
        foreach ($rows as $row) {
            $folded = $free = SignInName::fold($row['sign_in_name']) ?? $row['sign_in_name'];
            for ($n = 2; isset($taken[$free]); ++$n) {
                $free = mb_substr($folded, 0, 76)."-$n";
            }
            if ($free !== $folded) {
                $this->write(
                    \sprintf(
                        '<comment>“%s” now signs in as “%s”: names are told apart without case.</comment>',
                        $row['sign_in_name'],
                        $free,
                    ),
                );
            }
            $taken[$free] = true;
            $names[] = [$free, $row['id']];
        }
        // Out of each other's way first: one may take the name that another is still to lose.
        foreach (['a name that none can have: %d', null] as $between) {
            foreach ($names as $n => [$name, $id]) {
                $this->connection->executeStatement('UPDATE keeper SET sign_in_name = ? WHERE id = ?', [
                    null === $between ? $name : \sprintf($between, $n),
                    $id,
                ]);
            }
        }
    }

    /**
     * Ids had been bound as text holding sixteen raw bytes, which a dump cuts at the first zero; they become the text that people know.
     * What hangs on a tank or keeper that is gone nobody could reach, so that goes first: foreign keys were not in force before.
     */
    private function idsAsText(): void
    {
        $this->connection->executeStatement('DELETE FROM tank WHERE keeper_id NOT IN (SELECT id FROM keeper)');
        foreach (['revision', 'build_progress', 'step_mark', 'log_entry', 'task_mark', 'wiring'] as $table) {
            $this->connection->executeStatement("DELETE FROM $table WHERE tank_id NOT IN (SELECT id FROM tank)");
        }
        // Parents and children change one after the other; the keys are looked at when all is done.
        $this->connection->executeStatement('PRAGMA defer_foreign_keys=ON');
        $hex = static fn (string $column, int $from, int $length): string => "substr(hex(CAST($column AS BLOB)), $from, $length)";
        foreach (
            [
                'keeper' => ['id'],
                'tank' => ['id', 'keeper_id'],
                'revision' => ['tank_id'],
                'build_progress' => ['tank_id'],
                'step_mark' => ['tank_id'],
                'log_entry' => ['id', 'tank_id'],
                'task_mark' => ['tank_id', 'entry'],
                'wiring' => ['tank_id'],
            ] as $table => $columns
        ) {
            foreach ($columns as $column) {
                $text = implode(" || '-' || ", [
                    $hex($column, 1, 8),
                    $hex($column, 9, 4),
                    $hex($column, 13, 4),
                    $hex($column, 17, 4),
                    $hex($column, 21, 12),
                ]);
                $this->connection->executeStatement("UPDATE $table SET $column = lower($text) WHERE length(CAST($column AS BLOB)) = 16");
            }
        }
    }

    public function down(Schema $schema): void
    {
        $this->throwIrreversibleMigrationException('Migrations only go forward.');
    }
}
