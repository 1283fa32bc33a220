<?php

declare(strict_types=1);

namespace Olvek\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\DBAL\Types\Types;
use Doctrine\Migrations\AbstractMigration;

/** Written against the schema, not in SQL, so that it runs on any database. */
final class Version20261123200000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Revisions may be given names';
    }

    public function up(Schema $schema): void
    {
        $schema->getTable('revision')->addColumn('label', Types::STRING, ['length' => 60, 'notnull' => false]);
    }

    public function down(Schema $schema): void
    {
        $this->throwIrreversibleMigrationException('Migrations only go forward.');
    }
}
