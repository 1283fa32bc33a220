<?php

declare(strict_types=1);

namespace Olvek\Service\Server;

use Doctrine\DBAL\Connection;

/**
 * Copies of an SQLite file, by SQLite itself: a plain copy of the file may miss what stands in the write-ahead log, or catch half of it.
 */
final readonly class SqliteVault implements Vault
{
    /** Milliseconds for which a restore waits for whoever is writing. */
    private const PATIENCE = 20_000;
    /** What a copy must hold, however old it is: the tables of the first migration. */
    private const TABLES = ['keeper', 'tank', 'revision'];
    /** What is counted of a copy that was just written. */
    private const COUNTED = [...self::TABLES, 'log_entry', 'photo'];

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
                self::COUNTED,
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

    public function read(string $file, ?string $keep): void
    {
        $this->check($file);
        $this->connection->close();
        null === $keep ? $this->overwrite($file) : $this->exchange($file, $keep);
    }

    /** What is there cannot be read, so there is nothing to keep: page by page, whatever stands in them. */
    private function overwrite(string $file): void
    {
        $source = $this->open($file, \SQLITE3_OPEN_READONLY);
        $here = $this->open($this->path, \SQLITE3_OPEN_READWRITE | \SQLITE3_OPEN_CREATE);
        if (!$source->backup($here)) {
            throw new Trouble('The copy could not be put in place: '.$here->lastErrorMsg().'. What was there stands as it did.');
        }
        $source->close();
        $here->close();
    }

    /**
     * Table by table in one transaction, which holds the right to write from before the copy is kept until the exchange is committed. The
     * quicker way, page by page, would have to let go of that right in between.
     */
    private function exchange(string $file, string $keep): void
    {
        $here = $this->open($this->path, \SQLITE3_OPEN_READWRITE);
        $here->exec('PRAGMA foreign_keys=OFF');
        $here->exec(\sprintf("ATTACH DATABASE '%s' AS copy", \SQLite3::escapeString($file)));
        $here->exec('BEGIN IMMEDIATE');
        try {
            // Read over another connection: a transaction cannot be vacuumed, and nobody else can write now.
            $this->write($keep);
            $this->connection->close();
            // Virtual and inner tables of SQLite itself are none of Olvek's.
            foreach (self::objects($here, 'main', ['view', 'trigger', 'table']) as ['type' => $type, 'name' => $name]) {
                $here->exec("DROP $type IF EXISTS main.\"$name\"");
            }
            foreach (self::objects($here, 'copy', ['table']) as ['name' => $name, 'sql' => $sql]) {
                $here->exec($sql);
                $here->exec("INSERT INTO main.\"$name\" SELECT * FROM copy.\"$name\"");
            }
            if (null !== $here->querySingle("SELECT 1 FROM copy.sqlite_master WHERE name = 'sqlite_sequence'")) {
                $here->exec('DELETE FROM main.sqlite_sequence');
                $here->exec('INSERT INTO main.sqlite_sequence SELECT * FROM copy.sqlite_sequence');
            }
            foreach (self::objects($here, 'copy', ['index', 'view', 'trigger']) as ['sql' => $sql]) {
                $here->exec($sql);
            }
            $here->exec('COMMIT');
        } catch (\Throwable $failed) {
            // Closing the connection takes back what it has begun.
            $here->close();
            throw $failed instanceof Trouble
                ? $failed
                : new Trouble(
                    'The copy could not be put in place: '.$failed->getMessage().'. What was there stands as it did.',
                    previous: $failed,
                );
        }
        $here->close();
    }

    /**
     * @param list<string> $types
     *
     * @return list<array{type: string, name: string, sql: string}> what a schema holds of these types, in their order
     */
    private static function objects(\SQLite3 $database, string $schema, array $types): array
    {
        $objects = [];
        foreach ($types as $type) {
            $found = $database->query(
                "SELECT type, name, sql FROM $schema.sqlite_master WHERE type = '$type' AND sql IS NOT NULL "
                    ."AND name NOT LIKE 'sqlite\\_%' ESCAPE '\\' ORDER BY rowid",
            );
            while (false !== $found && \is_array($row = $found->fetchArray(\SQLITE3_ASSOC))) {
                $objects[] = ['type' => self::text($row['type']), 'name' => self::text($row['name']), 'sql' => self::text($row['sql'])];
            }
        }

        return $objects;
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
