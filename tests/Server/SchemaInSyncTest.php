<?php

declare(strict_types=1);

namespace Olvek\Tests\Server;

use Doctrine\ORM\EntityManagerInterface;
use Doctrine\ORM\Tools\SchemaValidator;
use Olvek\Tests\Services;
use Symfony\Bundle\FrameworkBundle\Test\KernelTestCase;

/** What the migrations make is what the entities say, on SQLite and PostgreSQL: a column that is only in one of the two is found here. */
final class SchemaInSyncTest extends KernelTestCase
{
    use Services;

    public function testMappingsAreValid(): void
    {
        self::assertSame([], (new SchemaValidator($this->service(EntityManagerInterface::class)))->validateMapping());
    }

    public function testMigrationsMakeWhatEntitiesSay(): void
    {
        $changes = (new SchemaValidator($this->service(EntityManagerInterface::class)))->getUpdateSchemaList();
        // Which migrations have run is their own table, as the queue's is Messenger's (schema_filter).
        self::assertSame([], array_values(array_diff($changes, ['DROP TABLE doctrine_migration_versions'])));
    }
}
