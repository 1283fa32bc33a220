<?php

declare(strict_types=1);

namespace Olvek\Service\Site;

use Doctrine\DBAL\Driver\Middleware\AbstractConnectionMiddleware;

/**
 * Transactions that ask for the right to write at their beginning. SQLite's own way asks at the first write, and a transaction that has
 * read before fails then at once, however patient the connection is, if another has written meanwhile.
 */
final class SqliteConnection extends AbstractConnectionMiddleware
{
    public function beginTransaction(): void
    {
        // PDO knows only the other way of beginning, and must be told that a transaction runs; so the one it began is exchanged.
        parent::beginTransaction();
        $this->exec('COMMIT');
        try {
            $this->exec('BEGIN IMMEDIATE');
        } catch (\Throwable $busy) {
            $this->exec('BEGIN');
            parent::rollBack();
            throw $busy;
        }
    }
}
