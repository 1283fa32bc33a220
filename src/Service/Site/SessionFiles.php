<?php

declare(strict_types=1);

namespace Olvek\Service\Site;

use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Filesystem\Filesystem;
use Symfony\Component\HttpFoundation\Session\Storage\Handler\AbstractSessionHandler;

/**
 * Sessions as files that are whole or not there: written beside and moved into place, so that a server killed in mid-write signs nobody
 * out. A request holds the session's lock from reading it to closing it, as PHP's own files do.
 */
final class SessionFiles extends AbstractSessionHandler
{
    /** Lock files, shared by the sessions whose names fall on them: whoever invents session names makes no files. */
    private const LOCKS = 256;

    /** @var resource|null */
    private $lock;
    private int $held = -1;

    public function __construct(
        private readonly Filesystem $files,
        #[Autowire('%kernel.project_dir%/var/sessions/%kernel.environment%')] private readonly string $folder,
    ) {
    }

    protected function doRead(#[\SensitiveParameter] string $sessionId): string
    {
        // A session that nobody has begun locks nobody out: its name may be made up.
        if (!is_file($this->file($sessionId))) {
            return '';
        }
        $this->lock($sessionId);

        return (string) @file_get_contents($this->file($sessionId));
    }

    protected function doWrite(#[\SensitiveParameter] string $sessionId, string $data): bool
    {
        $this->lock($sessionId);
        $this->files->dumpFile($this->file($sessionId), $data);
        @chmod($this->file($sessionId), 0o600);

        return true;
    }

    public function updateTimestamp(#[\SensitiveParameter] string $sessionId, string $data): bool
    {
        return @touch($this->file($sessionId)) || $this->doWrite($sessionId, $data);
    }

    protected function doDestroy(#[\SensitiveParameter] string $sessionId): bool
    {
        @unlink($this->file($sessionId));

        return true;
    }

    public function close(): bool
    {
        if (null !== $this->lock) {
            flock($this->lock, \LOCK_UN);
            fclose($this->lock);
            $this->lock = null;
            $this->held = -1;
        }

        return true;
    }

    /** Throws out what nobody has used for so many seconds. */
    public function gc(int $maxlifetime): int
    {
        $gone = 0;
        foreach (is_dir($this->folder) ? new \FilesystemIterator($this->folder) : [] as $file) {
            if (
                $file instanceof \SplFileInfo
                && str_starts_with($file->getFilename(), 'sess_')
                && @filemtime($file->getPathname()) < time() - $maxlifetime
            ) {
                $gone += (int) @unlink($file->getPathname());
            }
        }

        return $gone;
    }

    private function lock(string $sessionId): void
    {
        $wanted = crc32($sessionId) % self::LOCKS;
        if ($wanted === $this->held) {
            return;
        }
        $this->close();
        $this->files->mkdir($this->folder, 0o700);
        $lock = fopen("$this->folder/lock_$wanted", 'c');
        if (false === $lock) {
            throw new \RuntimeException('Sessions cannot be kept: '.$this->folder.' cannot be written to.');
        }
        flock($lock, \LOCK_EX);
        $this->lock = $lock;
        $this->held = $wanted;
    }

    private function file(string $sessionId): string
    {
        // PHP checks an id before it comes here; a file's name is checked all the same.
        return $this->folder.'/sess_'.preg_replace('/[^A-Za-z0-9,-]/', '_', $sessionId);
    }
}
