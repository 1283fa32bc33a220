<?php

declare(strict_types=1);

namespace Olvek\Service\Server;

use Doctrine\DBAL\Connection;
use Doctrine\DBAL\Platforms\SQLitePlatform;
use Doctrine\Migrations\DependencyFactory;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/** Whether this server can do its work, looked at from inside. */
final readonly class Health
{
    /** Bytes of room on a disk below which it is time to do something. J. */
    private const ROOM = 200_000_000;

    public function __construct(
        private Connection $connection,
        #[Autowire(service: 'doctrine.migrations.dependency_factory')] private DependencyFactory $migrations,
        #[Autowire('%kernel.project_dir%/var')] private string $var,
    ) {
    }

    /** @return array<string, string> troubles by what has them; empty where all is well */
    public function troubles(): array
    {
        $troubles = [];
        try {
            $this->connection->executeQuery('SELECT 1 FROM keeper WHERE 1 = 0');
            $waiting = \count($this->migrations->getMigrationStatusCalculator()->getNewMigrations());
            if ($waiting > 0) {
                $troubles['schema'] = 'the database is older than the programme: run doctrine:migrations:migrate';
            }
        } catch (\Throwable $failed) {
            $troubles['database'] = 'it cannot be used: '.$failed::class;
        }
        foreach (['cache', 'sessions', 'log'] as $folder) {
            if (is_dir("$this->var/$folder") && !is_writable("$this->var/$folder")) {
                $troubles[$folder] = "var/$folder cannot be written to";
            }
        }
        $file = $this->file();
        foreach (['disk' => $this->var, 'disk of the database' => null === $file ? $this->var : \dirname($file)] as $what => $folder) {
            $room = is_dir($folder) ? disk_free_space($folder) : false;
            if (false !== $room && $room < self::ROOM) {
                $troubles[$what] = \sprintf('only %d MB are free', (int) ($room / 1e6));
            }
        }
        if (null !== $file && (!is_writable($file) || !is_writable(\dirname($file)))) {
            $troubles['database file'] = 'the file, or its folder (SQLite writes beside it), cannot be written to';
        }

        return $troubles;
    }

    /** @return array<string, string> how the database is set, for whoever runs Olvek */
    public function settings(): array
    {
        $platform = $this->connection->getDatabasePlatform();
        $settings = ['database' => (new \ReflectionClass($platform))->getShortName()];
        if ($platform instanceof SQLitePlatform) {
            foreach (['journal_mode', 'synchronous', 'foreign_keys', 'busy_timeout'] as $pragma) {
                $value = $this->connection->fetchOne("PRAGMA $pragma");
                $settings[$pragma] = \is_scalar($value) ? (string) $value : '';
            }
        }

        return $settings;
    }

    /** Path of SQLite's file; null with another database, or one in memory. */
    public function file(): ?string
    {
        $path = $this->connection->getParams()['path'] ?? null;

        return $this->connection->getDatabasePlatform() instanceof SQLitePlatform && \is_string($path) ? $path : null;
    }
}
