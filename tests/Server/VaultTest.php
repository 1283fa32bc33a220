<?php

declare(strict_types=1);

namespace Olvek\Tests\Server;

use Olvek\Tests\Files;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

/** Copies of the whole database, as whoever runs Olvek makes them and puts them back. */
#[Group('own-server')]
final class VaultTest extends TestCase
{
    use OwnServer;

    private function rows(string $table, ?string $file = null): int
    {
        $count = (new \PDO('sqlite:'.($file ?? $this->database())))->query("SELECT COUNT(*) FROM $table");
        self::assertNotFalse($count);

        return (int) $count->fetchColumn();
    }

    public function testABackupIsWholeAndComesBack(): void
    {
        $this->console('olvek:demo:load');
        $backup = $this->folder().'/one.backup';
        self::assertStringContainsString('whole (keeper: 1, tank: 4', $this->console('olvek:backup', $backup));
        self::assertSame(0o600, fileperms($backup) & 0o777);
        self::assertSame(1, $this->refused('olvek:backup', $backup)[0], 'nothing is overwritten');
        $lines = $this->rows('log_entry');
        (new \PDO('sqlite:'.$this->database()))->exec('PRAGMA foreign_keys=ON; DELETE FROM tank');
        self::assertSame(0, $this->rows('log_entry'));
        $this->console('olvek:restore', $backup, '--yes');
        self::assertSame([4, $lines], [$this->rows('tank'), $this->rows('log_entry')]);
        self::assertSame(0, $this->rows('tank', "$backup.before"), 'what was there is kept');
        self::assertStringContainsString('there already', $this->refused('olvek:restore', $backup, '--yes')[1]);
    }

    public function testABackupOfAnOlderVersionIsBroughtUpToThisOne(): void
    {
        $old = $this->folder().'/old.backup';
        $this->console('doctrine:migrations:version', '--no-interaction', '--delete', '--all');
        Files::remove($this->database().'*');
        $this->console('doctrine:migrations:migrate', '--no-interaction', 'Olvek\\Migrations\\Version20261123220000');
        copy($this->database(), $old);
        foreach (['-wal', '-shm'] as $end) {
            is_file($this->database().$end) && copy($this->database().$end, $old.$end);
        }
        Files::remove($this->database().'*');
        $this->console('doctrine:migrations:migrate', '--no-interaction');
        $this->console('olvek:restore', $old, '--yes');
        self::assertStringNotContainsString('TROUBLE', $this->console('olvek:health'));
    }

    public function testWhatIsNoBackupIsRefused(): void
    {
        $file = $this->folder().'/x';
        self::assertStringContainsString('There is no file', $this->refused('olvek:restore', $file, '--yes')[1]);
        file_put_contents($file, str_repeat('no database ', 100));
        self::assertStringContainsString('no copy of an Olvek database', $this->refused('olvek:restore', $file, '--yes')[1]);
        new \PDO("sqlite:$file.db");
        (new \PDO("sqlite:$file.db"))->exec('CREATE TABLE other (x)');
        self::assertStringContainsString('no copy of an Olvek database', $this->refused('olvek:restore', "$file.db", '--yes')[1]);
        $this->console('olvek:backup', "$file.backup");
        file_put_contents("$file.backup", substr_replace((string) file_get_contents("$file.backup"), str_repeat("\xFF", 5000), 9000, 5000));
        [$code, $said] = $this->refused('olvek:restore', "$file.backup", '--yes');
        self::assertSame(1, $code, $said);
        self::assertSame(0, $this->rows('keeper'));
        self::assertSame(1, $this->refused('olvek:backup', $this->folder().'/none/x')[0]);
        self::assertSame(1, $this->refused('olvek:restore', "$file.backup")[0], 'nothing is replaced unasked');
    }

    /** While somebody writes without end, every backup is made and whole. */
    public function testBackupsAreMadeWhilePeopleWork(): void
    {
        $this->console('olvek:demo:load');
        $database = $this->database();
        $writer = new \Symfony\Component\Process\Process([
            'php',
            '-r',
            '$d = new PDO("sqlite:".$argv[1]); $d->exec("PRAGMA busy_timeout=5000"); $until = microtime(true) + 20; for ($n = 0; '
                .'microtime(true) < $until; ++$n) { $d->exec("UPDATE tank SET version = version + 1"); usleep(2000); }',
            $database,
        ]);
        $writer->start();
        for ($n = 0; $n < 3; ++$n) {
            self::assertStringContainsString('whole', $this->console('olvek:backup', $this->folder()."/$n.backup"));
        }
        self::assertTrue($writer->isRunning());
        $writer->stop(0);
    }

    /** Keepers go on while a backup is put in place: each change that they were told is saved is in the database or in what was kept. */
    public function testARestoreLosesNothingThatWasAcknowledged(): void
    {
        $this->console('olvek:demo:load');
        $backup = $this->folder().'/one.backup';
        $this->console('olvek:backup', $backup);
        $writer = new \Symfony\Component\Process\Process([
            'php',
            '-r',
            '$d = new PDO("sqlite:".$argv[1]); $d->exec("PRAGMA busy_timeout=20000"); for ($n = 0; ; ++$n) { '
                .'$d->exec("INSERT INTO invitation (code_hash, made_at, ends_at) VALUES ($n, 0, 0)"); echo $n, "\n"; usleep(500); }',
            $this->database(),
        ]);
        $writer->start();
        $this->console('olvek:restore', $backup, '--yes');
        usleep(200_000);
        $writer->stop(0, \SIGKILL);
        $acknowledged = array_filter(explode("\n", $writer->getOutput()), static fn (string $n): bool => '' !== $n);
        array_pop($acknowledged); // perhaps cut in two
        $kept = [];
        foreach ([$this->database(), "$backup.before"] as $file) {
            $found = (new \PDO("sqlite:$file"))->query('SELECT code_hash FROM invitation');
            self::assertNotFalse($found);
            $kept[] = array_map(strval(...), $found->fetchAll(\PDO::FETCH_COLUMN));
        }
        self::assertGreaterThan(10, \count($kept[0]), 'some were written after');
        self::assertGreaterThan(10, \count($kept[1]), 'and some before');
        self::assertSame([], array_values(array_diff($acknowledged, ...$kept)));
        self::assertStringNotContainsString('TROUBLE', $this->console('olvek:health'));
    }
}
