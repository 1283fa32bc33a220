<?php

declare(strict_types=1);

namespace Olvek\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\DBAL\Types\Types;
use Doctrine\Migrations\AbstractMigration;
use Symfony\Bridge\Doctrine\Types\UuidType;

/** Only columns are added, so that on SQLite no table is made anew. */
final class Version20261127230000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Tanks that are put away, stand in rooms, and follow others';
    }

    public function up(Schema $schema): void
    {
        $tank = $schema->getTable('tank');
        $tank->addColumn('room', Types::STRING, ['length' => 40, 'default' => '']);
        $tank->addColumn('archived_at', Types::DATETIME_IMMUTABLE, ['notnull' => false]);
        $tank->addColumn('follows', UuidType::NAME, ['notnull' => false]);
    }

    public function down(Schema $schema): void
    {
        $this->throwIrreversibleMigrationException('Migrations only go forward.');
    }
}
