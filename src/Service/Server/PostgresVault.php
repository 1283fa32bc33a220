<?php

declare(strict_types=1);

namespace Olvek\Service\Server;

use Symfony\Component\Process\Process;

/** Copies of a PostgreSQL database by its own programs, which must be on this machine. */
final readonly class PostgresVault implements Vault
{
    /** @param array<string, mixed> $where host, port, user, password, dbname as Doctrine has them */
    public function __construct(private array $where)
    {
    }

    public function write(string $file): string
    {
        $this->run(['pg_dump', '--format=custom', '--no-owner', "--file=$file"]);
        chmod($file, 0o600);
        $this->check($file);

        return 'its list of contents was read back';
    }

    public function check(string $file): void
    {
        if (!is_file($file)) {
            throw new Trouble("There is no file $file.");
        }
        if (!str_contains($this->run(['pg_restore', '--list', $file]), 'TABLE DATA public revision')) {
            throw new Trouble('This is no copy of an Olvek database.');
        }
    }

    public function read(string $file, ?string $keep): void
    {
        $this->check($file);
        $script = $this->run(['pg_restore', '--clean', '--if-exists', '--no-owner', '--file=-', $file]);
        if (null === $keep) {
            $this->run(['psql', '--no-psqlrc', '--quiet', '--set=ON_ERROR_STOP=1', '--single-transaction'], $script);

            return;
        }
        // One transaction: nobody can write from before the copy is kept until the exchange is committed. Reading, which pg_dump does,
        // goes on meanwhile.
        $said = $this->run(
            ['psql', '--no-psqlrc', '--quiet', '--set=ON_ERROR_STOP=1'],
            implode("\n", [
                'BEGIN;',
                'DO $lock$ DECLARE t regclass; BEGIN',
                "FOR t IN SELECT format('%I.%I', schemaname, tablename) FROM pg_tables WHERE schemaname = 'public' LOOP",
                "EXECUTE 'LOCK TABLE ' || t || ' IN EXCLUSIVE MODE'; END LOOP; END \$lock\$;",
                \sprintf(
                    '\set kept `pg_dump --format=custom --no-owner --file=%s && echo yes || echo no`',
                    escapeshellarg($keep),
                ),
                '\if :kept',
                $script,
                'COMMIT;',
                '\else',
                '\echo not kept',
                'ROLLBACK;',
                '\endif',
                '',
            ]),
        );
        if (str_contains($said, 'not kept')) {
            throw new Trouble('The current data could not be copied first, so nothing was changed.');
        }
        chmod($keep, 0o600);
        $this->check($keep);
    }

    /** @param list<string> $command */
    private function run(array $command, ?string $input = null): string
    {
        $process = new Process(
            $command,
            env: array_filter(
                [
                    'PGHOST' => $this->text('host'),
                    'PGPORT' => $this->text('port'),
                    'PGUSER' => $this->text('user'),
                    'PGPASSWORD' => $this->text('password'),
                    'PGDATABASE' => $this->text('dbname'),
                ],
                static fn (string $v): bool => '' !== $v,
            ),
            input: $input,
            timeout: null,
        );
        $process->run();
        if (!$process->isSuccessful()) {
            throw new Trouble(\sprintf('%s failed: %s', $command[0], trim($process->getErrorOutput())));
        }

        return $process->getOutput();
    }

    private function text(string $name): string
    {
        $value = $this->where[$name] ?? '';

        return \is_scalar($value) ? (string) $value : '';
    }
}
