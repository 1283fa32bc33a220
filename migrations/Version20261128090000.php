<?php

declare(strict_types=1);

namespace Olvek\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\DBAL\Types\Types;
use Doctrine\Migrations\AbstractMigration;

final class Version20261128090000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Of what animals died; the order of long logbooks; tokens for devices that post readings';
    }

    public function up(Schema $schema): void
    {
        $schema->getTable('log_entry')->addColumn('cause', Types::STRING, ['length' => 24, 'default' => '']);
        $schema->getTable('log_entry')->addIndex(['tank_id', 'on_day', 'written', 'id'], 'log_entry_tank_order');
        $schema->getTable('log_entry')->addIndex(['tank_id', 'kind', 'on_day'], 'log_entry_tank_kind');

        $token = $schema->createTable('device_token');
        $token->addColumn('id', 'uuid');
        $token->addColumn('keeper_id', 'uuid');
        $token->addColumn('name', Types::STRING, ['length' => 60]);
        $token->addColumn('hash', Types::STRING, ['length' => 64]);
        $token->addColumn('made', Types::DATETIME_IMMUTABLE);
        $token->addColumn('used', Types::DATETIME_IMMUTABLE, ['notnull' => false]);
        $token->setPrimaryKey(['id']);
        $token->addUniqueIndex(['hash'], 'device_token_hash');
        $token->addIndex(['keeper_id'], 'device_token_keeper');
        $token->addForeignKeyConstraint('keeper', ['keeper_id'], ['id'], ['onDelete' => 'CASCADE']);
    }

    public function down(Schema $schema): void
    {
        $this->throwIrreversibleMigrationException('Migrations only go forward.');
    }
}
