<?php

declare(strict_types=1);

namespace Olvek\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\DBAL\Types\Types;
use Doctrine\Migrations\AbstractMigration;
use Symfony\Bridge\Doctrine\Types\UuidType;

/** Written against the schema, not in SQL, so that it runs on any database. */
final class Version20261123210000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'How far the building of a tank has come';
    }

    public function up(Schema $schema): void
    {
        $progress = $schema->createTable('build_progress');
        $progress->addColumn('tank_id', UuidType::NAME);
        $progress->addColumn('sheet', Types::JSON);
        $progress->addColumn('version', Types::INTEGER, ['default' => 1]);
        $progress->setPrimaryKey(['tank_id']);
        $progress->addForeignKeyConstraint('tank', ['tank_id'], ['id'], ['onDelete' => 'CASCADE'], 'build_progress_tank');

        $mark = $schema->createTable('step_mark');
        $mark->addColumn('tank_id', UuidType::NAME);
        $mark->addColumn('step', Types::STRING, ['length' => 40]);
        $mark->addColumn('done', Types::BOOLEAN);
        $mark->addColumn('on_day', Types::DATE_IMMUTABLE);
        $mark->addColumn('note', Types::STRING, ['length' => 300]);
        $mark->setPrimaryKey(['tank_id', 'step']);
        $mark->addForeignKeyConstraint('tank', ['tank_id'], ['id'], ['onDelete' => 'CASCADE'], 'step_mark_tank');
    }

    public function down(Schema $schema): void
    {
        $this->throwIrreversibleMigrationException('Migrations only go forward.');
    }
}
