<?php

declare(strict_types=1);

namespace Olvek\Tests\Server;

use PHPUnit\Framework\Attributes\After;
use Symfony\Component\Filesystem\Filesystem;
use Symfony\Component\Process\Process;

/** Commands as whoever runs Olvek gives them: processes of their own, in the prod environment, with a database of their own. */
trait OwnServer
{
    private ?string $folder = null;

    private function folder(): string
    {
        if (null === $this->folder) {
            $this->folder = sys_get_temp_dir().'/olvek-server-'.bin2hex(random_bytes(4));
            (new Filesystem())->mkdir($this->folder);
            $this->console('doctrine:migrations:migrate', '--no-interaction');
        }

        return $this->folder;
    }

    private function database(): string
    {
        return $this->folder().'/olvek.db';
    }

    private function started(string ...$command): Process
    {
        return new Process(
            ['php', 'bin/console', ...$command],
            \dirname(__DIR__, 2),
            [
                'APP_ENV' => 'prod',
                'APP_DEBUG' => '0',
                'APP_SECRET' => 'only-for-tests',
                'DATABASE_URL' => 'sqlite:///'.($this->folder ?? '').'/olvek.db',
                'OLVEK_DEMO' => '0',
                'OLVEK_WORK' => 'sync://',
            ],
            timeout: 120,
        );
    }

    private function console(string ...$command): string
    {
        $this->folder();
        $process = $this->started(...$command);
        $process->run();
        self::assertSame(0, $process->getExitCode(), $process->getOutput().$process->getErrorOutput());

        return $process->getOutput();
    }

    /** @return array{int|null, string} how it ended and what it said */
    private function refused(string ...$command): array
    {
        $this->folder();
        $process = $this->started(...$command);
        $process->run();

        return [$process->getExitCode(), $process->getErrorOutput().$process->getOutput()];
    }

    #[After]
    protected function removeOwnServer(): void
    {
        if (null !== $this->folder) {
            (new Filesystem())->remove($this->folder);
            $this->folder = null;
        }
    }
}
