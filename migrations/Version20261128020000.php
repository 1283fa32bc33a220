<?php

declare(strict_types=1);

namespace Olvek\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\DBAL\Types\Types;
use Doctrine\Migrations\AbstractMigration;

/** Only a column is added, so that on SQLite no table is made anew. */
final class Version20261128020000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'What plants a keeper has on hand';
    }

    public function up(Schema $schema): void
    {
        $schema->getTable('keeper')->addColumn('stock', Types::TEXT, ['default' => '']);
    }

    public function down(Schema $schema): void
    {
        $this->throwIrreversibleMigrationException('Migrations only go forward.');
    }
}
