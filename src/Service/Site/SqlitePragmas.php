<?php

declare(strict_types=1);

namespace Olvek\Service\Site;

use Doctrine\Bundle\DoctrineBundle\Attribute\AsMiddleware;
use Doctrine\DBAL\Driver;
use Doctrine\DBAL\Driver\Connection;
use Doctrine\DBAL\Driver\Exception;
use Doctrine\DBAL\Driver\Middleware;
use Doctrine\DBAL\Driver\Middleware\AbstractDriverMiddleware; // next to the database, within whatever else wraps it

/**
 * SQLite as we want it: readers beside a writer, foreign keys kept, patience when busy, and nothing acknowledged before it is on the disk.
 * Other databases are left alone.
 */
#[AsMiddleware(priority: 1000)]
final readonly class SqlitePragmas implements Middleware
{
    /**
     * FULL, since with a write-ahead log NORMAL may lose the last acknowledged edits when the power fails.
     * Milliseconds of patience: longer than any write of ours takes, shorter than a person waits.
     */
    public const PRAGMAS = ['busy_timeout' => '5000', 'journal_mode' => 'WAL', 'synchronous' => 'FULL', 'foreign_keys' => 'ON'];

    /** SQLite's code for a file that cannot be opened; how often that is tried, and µs between. J: clearing a log away takes a few ms. */
    public const CANNOT_OPEN = 14;
    public const TRIES = 6;
    public const PAUSE = 25_000;

    /**
     * @param bool $creates whether a database that is not there may be made: commands do, while for a web page a missing file is a mistake
     * to be told
     */
    public function __construct(private bool $creates = 'cli' === \PHP_SAPI)
    {
    }

    public function wrap(Driver $driver): Driver
    {
        // Which database it is shows only once it is connected: the driver that comes here may be wrapped already.
        return new class($driver, $this->creates) extends AbstractDriverMiddleware {
            public function __construct(Driver $driver, private readonly bool $creates)
            {
                parent::__construct($driver);
            }

            public function connect(#[\SensitiveParameter] array $params): Connection
            {
                if (!$this->creates && 'pdo_sqlite' === ($params['driver'] ?? null)) {
                    $params['driverOptions'] =
                        [\PDO::SQLITE_ATTR_OPEN_FLAGS => \PDO::SQLITE_OPEN_READWRITE] + ($params['driverOptions'] ?? []);
                }
                for ($tries = 1;; ++$tries) {
                    try {
                        return $this->opened($params);
                    } catch (Exception $refused) {
                        // A file that is there and yet cannot be opened: the last process to leave it is just clearing its log away.
                        if (
                            SqlitePragmas::CANNOT_OPEN !== $refused->getCode()
                            || $tries >= SqlitePragmas::TRIES
                            || !is_file($params['path'] ?? '')
                        ) {
                            throw $refused;
                        }
                        usleep(SqlitePragmas::PAUSE);
                    }
                }
            }

            /** @param array<string, mixed> $params */
            private function opened(#[\SensitiveParameter] array $params): Connection
            {
                $connection = parent::connect($params); // @phpstan-ignore argument.type (as they came)
                $native = $connection->getNativeConnection();
                if (!($native instanceof \PDO) || 'sqlite' !== $native->getAttribute(\PDO::ATTR_DRIVER_NAME)) {
                    return $connection;
                }
                foreach (SqlitePragmas::PRAGMAS as $pragma => $value) {
                    $connection->exec("PRAGMA $pragma=$value");
                }

                return new SqliteConnection($connection);
            }
        };
    }
}
