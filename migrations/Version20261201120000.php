<?php

declare(strict_types=1);

namespace Olvek\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\DBAL\Types\Types;
use Doctrine\Migrations\AbstractMigration;

final class Version20261201120000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'What each tank holds, counted as it grows; imports that can be undone as a whole; changes that are sent twice are one';
    }

    public function up(Schema $schema): void
    {
        $tank = $schema->getTable('tank');
        $tank->addColumn('log_lines', Types::INTEGER, ['default' => 0]);
        $tank->addColumn('log_mark', Types::STRING, ['length' => 32, 'default' => '']);
        $tank->addColumn('photo_count', Types::INTEGER, ['default' => 0]);
        $tank->addColumn('kept_bytes', Types::BIGINT, ['default' => 0]);
        $tank->addColumn('change_id', Types::STRING, ['length' => 36, 'notnull' => false]);
        $tank->addUniqueIndex(['keeper_id', 'change_id'], 'tank_change');

        $schema->getTable('photo')->addColumn('bytes', Types::INTEGER, ['default' => 0]);

        $revision = $schema->getTable('revision');
        $revision->addColumn('change_id', Types::STRING, ['length' => 36, 'notnull' => false]);
        $revision->addUniqueIndex(['tank_id', 'change_id'], 'revision_change');

        $schema->getTable('log_entry')->addColumn('import_id', 'uuid', ['notnull' => false]);
        $schema->getTable('log_entry')->addIndex(['import_id'], 'log_entry_import');
        $import = $schema->createTable('log_import');
        $import->addColumn('id', 'uuid');
        $import->addColumn('tank_id', 'uuid');
        $import->addColumn('at', Types::DATETIME_IMMUTABLE);
        $import->addColumn('name', Types::STRING, ['length' => 120]);
        $import->addColumn('entries', Types::INTEGER);
        $import->setPrimaryKey(['id']);
        $import->addIndex(['tank_id', 'at'], 'log_import_tank');
        $import->addForeignKeyConstraint('tank', ['tank_id'], ['id'], ['onDelete' => 'CASCADE'], 'log_import_tank_key');
    }

    public function postUp(Schema $schema): void
    {
        $this->connection->transactional(function (): void {
            $this->connection->executeStatement(
                'UPDATE photo SET bytes = COALESCE((SELECT SUM(LENGTH(f.bytes)) FROM photo_file f WHERE f.photo_id = photo.id), 0)',
            );
            $this->connection->executeStatement(
                'UPDATE tank SET log_lines = (SELECT COUNT(*) FROM log_entry e WHERE e.tank_id = tank.id), '
                .'photo_count = (SELECT COUNT(*) FROM photo p WHERE p.tank_id = tank.id), '
                .'kept_bytes = COALESCE((SELECT SUM(p.bytes) FROM photo p WHERE p.tank_id = tank.id), 0) '
                .'+ COALESCE((SELECT SUM(LENGTH(r.plan)) FROM revision r WHERE r.tank_id = tank.id), 0)',
            );
        });
    }

    public function down(Schema $schema): void
    {
        $this->throwIrreversibleMigrationException('Migrations only go forward.');
    }
}
