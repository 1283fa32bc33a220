<?php

declare(strict_types=1);

namespace Olvek\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\DBAL\Types\Types;
use Doctrine\Migrations\AbstractMigration;
use Symfony\Bridge\Doctrine\Types\UuidType;

/** Written against the schema, not in SQL, so that it runs on any database. */
final class Version20261123220000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'The logbook, what became of tasks, devices; what a keeper tests with, lives in, and the address of the calendar';
    }

    public function up(Schema $schema): void
    {
        $keeper = $schema->getTable('keeper');
        $keeper->addColumn('kit', Types::STRING, ['length' => 20, 'default' => '']);
        $keeper->addColumn('zone', Types::STRING, ['length' => 60, 'default' => 'UTC']);
        $keeper->addColumn('feed', Types::STRING, ['length' => 64, 'notnull' => false]);
        $keeper->addUniqueIndex(['feed'], 'keeper_feed');

        $entry = $schema->createTable('log_entry');
        $entry->addColumn('id', UuidType::NAME);
        $entry->addColumn('tank_id', UuidType::NAME);
        $entry->addColumn('on_day', Types::DATE_IMMUTABLE);
        $entry->addColumn('kind', Types::STRING, ['length' => 16]);
        $entry->addColumn('what', Types::STRING, ['length' => 40]);
        $entry->addColumn('amount', Types::FLOAT, ['notnull' => false]);
        $entry->addColumn('of_id', Types::STRING, ['length' => 80, 'notnull' => false]);
        $entry->addColumn('words', Types::STRING, ['length' => 160]);
        $entry->addColumn('made_up', Types::BOOLEAN);
        $entry->addColumn('written', Types::STRING, ['length' => 24]);
        $entry->setPrimaryKey(['id']);
        $entry->addIndex(['tank_id', 'on_day'], 'log_entry_tank_day');
        $entry->addIndex(['tank_id', 'written'], 'log_entry_tank_written');
        $entry->addForeignKeyConstraint('tank', ['tank_id'], ['id'], ['onDelete' => 'CASCADE'], 'log_entry_tank');

        $mark = $schema->createTable('task_mark');
        $mark->addColumn('tank_id', UuidType::NAME);
        $mark->addColumn('task', Types::STRING, ['length' => 80]);
        $mark->addColumn('due_day', Types::STRING, ['length' => 10]);
        $mark->addColumn('moved_to', Types::DATE_IMMUTABLE, ['notnull' => false]);
        $mark->addColumn('settled', Types::BOOLEAN);
        $mark->addColumn('entry', UuidType::NAME, ['notnull' => false]);
        $mark->setPrimaryKey(['tank_id', 'task', 'due_day']);
        $mark->addForeignKeyConstraint('tank', ['tank_id'], ['id'], ['onDelete' => 'CASCADE'], 'task_mark_tank');

        $wiring = $schema->createTable('wiring');
        $wiring->addColumn('tank_id', UuidType::NAME);
        $wiring->addColumn('kind', Types::STRING, ['length' => 16]);
        $wiring->addColumn('device', Types::STRING, ['length' => 40]);
        $wiring->setPrimaryKey(['tank_id', 'kind']);
        $wiring->addForeignKeyConstraint('tank', ['tank_id'], ['id'], ['onDelete' => 'CASCADE'], 'wiring_tank');
    }

    public function down(Schema $schema): void
    {
        $this->throwIrreversibleMigrationException('Migrations only go forward.');
    }
}
