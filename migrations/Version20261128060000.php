<?php

declare(strict_types=1);

namespace Olvek\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\DBAL\Types\Types;
use Doctrine\Migrations\AbstractMigration;

/** Only a column is added, so that on SQLite no table is made anew. */
final class Version20261128060000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'What a keeper adds to a line of the logbook';
    }

    public function up(Schema $schema): void
    {
        $schema->getTable('log_entry')->addColumn('note', Types::TEXT, ['default' => '']);
    }

    public function down(Schema $schema): void
    {
        $this->throwIrreversibleMigrationException('Migrations only go forward.');
    }
}
