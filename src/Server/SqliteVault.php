<?php

declare(strict_types=1);

namespace Olvek\Server;

use Doctrine\DBAL\Connection;

/**
 * Copies of an SQLite file, by SQLite itself: a plain copy of the file may miss what stands in the write-ahead log, or catch half of it.
 */
final readonly class SqliteVault implements Vault
{
    /** Milliseconds for which a restore waits for whoever is writing. */
    private const PATIENCE = 20_000;
    private const TABLES = ['keeper', 'tank', 'revision', 'log_entry'];

    public function __construct(private Connection $connection, private string $path)
    {
    }

    public function write(string $file): string
    {
        // A snapshot of one moment: whoever reads or writes meanwhile neither waits nor shows in it.
        $this->connection->executeStatement('VACUUM INTO ?', [$file]);
        chmod($file, 0o600);
        $this->check($file);
        $copy = $this->open($file, \SQLITE3_OPEN_READONLY);

        return implode(
            ', ',
            array_map(
                static fn (string $table): string => \sprintf(
                    '%s: %s',
                    $table,
                    self::text($copy->querySingle("SELECT COUNT(*) FROM $table")),
                ),
                self::TABLES,
            ),
        );
    }

    public function check(string $file): void
    {
        if (!is_file($file)) {
            throw new Trouble("There is no file $file.");
        }
        try {
            $copy = $this->open($file, \SQLITE3_OPEN_READONLY);
            $integrity = self::text($copy->querySingle('PRAGMA integrity_check'));
            $orphans = $copy->querySingle('PRAGMA foreign_key_check');
            foreach (self::TABLES as $table) {
                $copy->querySingle("SELECT COUNT(*) FROM $table");
            }
            $copy->close();
        } catch (\Exception $failed) {
            throw new Trouble('This is no copy of an Olvek database: '.$failed->getMessage().'.', previous: $failed);
        }
        if ('ok' !== $integrity || (null !== $orphans && false !== $orphans)) {
            throw new Trouble('This copy is damaged: '.('ok' === $integrity ? 'something in it hangs on nothing.' : $integrity));
        }
    }

    public function read(string $file): void
    {
        $this->check($file);
        $this->connection->close();
        $source = $this->open($file, \SQLITE3_OPEN_READONLY);
        $here = $this->open($this->path, \SQLITE3_OPEN_READWRITE | \SQLITE3_OPEN_CREATE);
        // Page by page under one lock: others see what was there before, then all of this.
        if (!$source->backup($here)) {
            throw new Trouble('The copy could not be put in place: '.$here->lastErrorMsg().'. What was there stands as it did.');
        }
        $source->close();
        $here->close();
    }

    private function open(string $file, int $flags): \SQLite3
    {
        $database = new \SQLite3($file, $flags);
        $database->enableExceptions(true);
        $database->busyTimeout(self::PATIENCE);

        return $database;
    }

    private static function text(mixed $value): string
    {
        return \is_scalar($value) ? (string) $value : '';
    }
}
