<?php

declare(strict_types=1);

namespace Olvek\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\DBAL\Types\Types;
use Doctrine\Migrations\AbstractMigration;
use Symfony\Bridge\Doctrine\Types\UuidType;

/** Written against the schema, not in SQL, so that it runs on any database. */
final class Version20261123120000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Keepers, their tanks and the revisions of each tank’s plan';
    }

    public function up(Schema $schema): void
    {
        $keeper = $schema->createTable('keeper');
        $keeper->addColumn('id', UuidType::NAME);
        $keeper->addColumn('sign_in_name', Types::STRING, ['length' => 80]);
        $keeper->addColumn('display_name', Types::STRING, ['length' => 80]);
        $keeper->addColumn('password', Types::STRING, ['length' => 255]);
        $keeper->addColumn('units', Types::STRING, ['length' => 16]);
        $keeper->setPrimaryKey(['id']);
        $keeper->addUniqueIndex(['sign_in_name'], 'keeper_sign_in_name');

        $tank = $schema->createTable('tank');
        $tank->addColumn('id', UuidType::NAME);
        $tank->addColumn('keeper_id', UuidType::NAME);
        $tank->addColumn('name', Types::STRING, ['length' => 80]);
        $tank->addColumn('head', Types::INTEGER);
        $tank->addColumn('latest', Types::INTEGER);
        $tank->addColumn('version', Types::INTEGER, ['default' => 1]);
        $tank->addColumn('created_at', Types::DATETIME_IMMUTABLE);
        $tank->setPrimaryKey(['id']);
        $tank->addIndex(['keeper_id', 'created_at'], 'tank_keeper_created');
        $tank->addForeignKeyConstraint('keeper', ['keeper_id'], ['id'], ['onDelete' => 'CASCADE'], 'tank_keeper');

        $revision = $schema->createTable('revision');
        $revision->addColumn('tank_id', UuidType::NAME);
        $revision->addColumn('number', Types::INTEGER);
        $revision->addColumn('parent', Types::INTEGER, ['notnull' => false]);
        $revision->addColumn('plan', Types::TEXT);
        $revision->addColumn('words', Types::STRING, ['length' => 500]);
        $revision->addColumn('at', Types::DATETIME_IMMUTABLE);
        $revision->setPrimaryKey(['tank_id', 'number']);
        $revision->addForeignKeyConstraint('tank', ['tank_id'], ['id'], ['onDelete' => 'CASCADE'], 'revision_tank');
    }

    public function down(Schema $schema): void
    {
        $this->throwIrreversibleMigrationException('Migrations only go forward.');
    }
}
