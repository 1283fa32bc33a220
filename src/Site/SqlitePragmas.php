<?php

declare(strict_types=1);

namespace Olvek\Site;

use Doctrine\Bundle\DoctrineBundle\Attribute\AsMiddleware;
use Doctrine\DBAL\Driver;
use Doctrine\DBAL\Driver\AbstractSQLiteDriver;
use Doctrine\DBAL\Driver\Connection;
use Doctrine\DBAL\Driver\Middleware;
use Doctrine\DBAL\Driver\Middleware\AbstractDriverMiddleware;

/** SQLite as we want it: readers beside a writer, foreign keys kept, patience when busy. Other databases are left alone. */
#[AsMiddleware]
final class SqlitePragmas implements Middleware
{
    public function wrap(Driver $driver): Driver
    {
        if (!$driver instanceof AbstractSQLiteDriver) {
            return $driver;
        }

        return new class($driver) extends AbstractDriverMiddleware {
            public function connect(#[\SensitiveParameter] array $params): Connection
            {
                $connection = parent::connect($params);
                foreach (['journal_mode=WAL', 'synchronous=NORMAL', 'foreign_keys=ON', 'busy_timeout=5000'] as $pragma) {
                    $connection->exec("PRAGMA $pragma");
                }

                return $connection;
            }
        };
    }
}
