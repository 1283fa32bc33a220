<?php

declare(strict_types=1);

namespace Olvek\Tests;

use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Component\Console\Input\ArrayInput;
use Symfony\Component\Console\Output\BufferedOutput;
use Symfony\Component\Filesystem\Filesystem;
use Symfony\Component\Finder\Finder;
use Symfony\Component\HttpKernel\KernelInterface;

/** A fresh database for a run of the tests, made by the migrations that make a real one; SQLite's is made once and copied. */
final class MigratedDatabase
{
    /** @param string $path of SQLite's file, which may be there from the last run; empty for another database */
    public static function prepare(KernelInterface $kernel, string $path): void
    {
        if ('' === $path) {
            self::migrate($kernel);

            return;
        }
        $files = new Filesystem();
        $project = $kernel->getProjectDir();
        $template = \sprintf('%s/var/migrated-%s.db', $project, self::fingerprint("$project/migrations"));
        $files->remove(["$path-wal", "$path-shm"]);
        if (is_file($template)) {
            $files->copy($template, $path, true);

            return;
        }
        $files->remove($path);
        $files->remove((new Finder())->in("$project/var")->depth(0)->name('migrated-*.db'));
        self::migrate($kernel);
        // All of it in the one file, before that is copied.
        (new \PDO("sqlite:$path"))->exec('PRAGMA wal_checkpoint(TRUNCATE)');
        $files->copy($path, $template);
    }

    private static function migrate(KernelInterface $kernel): void
    {
        $console = new Application($kernel);
        $console->setAutoExit(false);
        $output = new BufferedOutput();
        if (0 !== $console->run(new ArrayInput(['command' => 'doctrine:migrations:migrate', '--no-interaction' => true]), $output)) {
            throw new \RuntimeException('The test database could not be made: '.$output->fetch());
        }
        $kernel->shutdown();
    }

    private static function fingerprint(string $migrations): string
    {
        $hash = hash_init('xxh128');
        foreach ((new Finder())->files()->in($migrations)->sortByName() as $file) {
            hash_update_file($hash, $file->getPathname());
        }

        return hash_final($hash);
    }
}
