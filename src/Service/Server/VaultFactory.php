<?php

declare(strict_types=1);

namespace Olvek\Service\Server;

use Doctrine\DBAL\Connection;
use Doctrine\DBAL\Platforms\PostgreSQLPlatform;

/** The vault of the database that is in use. */
final readonly class VaultFactory
{
    public function __construct(private Connection $connection, private Health $health)
    {
    }

    /** @throws Trouble where there is none for it */
    public function vault(): Vault
    {
        $file = $this->health->file();

        return match (true) {
            null !== $file => new SqliteVault($this->connection, $file),
            $this->connection->getDatabasePlatform() instanceof PostgreSQLPlatform => new PostgresVault($this->connection->getParams()),
            default => throw new Trouble('For this database Olvek knows no way of copying it; use its own.'),
        };
    }
}
