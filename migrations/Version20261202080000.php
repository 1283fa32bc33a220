<?php

declare(strict_types=1);

namespace Olvek\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\DBAL\Types\Types;
use Doctrine\Migrations\AbstractMigration;

final class Version20261202080000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Tanks know the day on which they were filled';
    }

    public function up(Schema $schema): void
    {
        $schema->getTable('tank')->addColumn('filled_on', Types::DATE_IMMUTABLE, ['notnull' => false]);
    }

    public function postUp(Schema $schema): void
    {
        $this->connection->executeStatement(
            "UPDATE tank SET filled_on = (SELECT m.on_day FROM step_mark m WHERE m.tank_id = tank.id AND m.step = 'fill' AND m.done)",
        );
    }

    public function down(Schema $schema): void
    {
        $this->throwIrreversibleMigrationException('Migrations only go forward.');
    }
}
