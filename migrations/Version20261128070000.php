<?php

declare(strict_types=1);

namespace Olvek\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\DBAL\Types\Types;
use Doctrine\Migrations\AbstractMigration;

final class Version20261128070000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Photos of tanks, and their pictures';
    }

    public function up(Schema $schema): void
    {
        $photo = $schema->createTable('photo');
        $photo->addColumn('id', 'uuid');
        $photo->addColumn('tank_id', 'uuid');
        $photo->addColumn('on_day', Types::DATE_IMMUTABLE);
        $photo->addColumn('words', Types::STRING, ['length' => 160]);
        $photo->addColumn('width', Types::INTEGER);
        $photo->addColumn('height', Types::INTEGER);
        $photo->setPrimaryKey(['id']);
        $photo->addIndex(['tank_id', 'on_day'], 'photo_tank_day');
        $photo->addForeignKeyConstraint('tank', ['tank_id'], ['id'], ['onDelete' => 'CASCADE']);

        $file = $schema->createTable('photo_file');
        $file->addColumn('photo_id', 'uuid');
        $file->addColumn('size', Types::STRING, ['length' => 8]);
        $file->addColumn('bytes', Types::BLOB);
        $file->setPrimaryKey(['photo_id', 'size']);
        $file->addForeignKeyConstraint('photo', ['photo_id'], ['id'], ['onDelete' => 'CASCADE']);
    }

    public function down(Schema $schema): void
    {
        $this->throwIrreversibleMigrationException('Migrations only go forward.');
    }
}
