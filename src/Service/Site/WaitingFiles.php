<?php

declare(strict_types=1);

namespace Olvek\Service\Site;

/** Files that keepers have sent and that have not been read to their end yet: kept beside other temporary files, one for each keeper. */
final readonly class WaitingFiles
{
    private const PREFIX = 'olvek-bring-';
    /** Seconds after which nobody goes on with it. */
    private const OLDEST = 86_400;

    /** Takes the file that was sent away from where it is. */
    public function keep(string $whose, string $path): void
    {
        rename($path, self::path($whose));
        touch(self::path($whose));
    }

    /** Where it is; null where there is none. */
    public function find(string $whose): ?string
    {
        return is_file(self::path($whose)) ? self::path($whose) : null;
    }

    public function drop(string $whose): void
    {
        @unlink(self::path($whose));
    }

    /** Throws out those with which nobody has gone on. */
    public function prune(): void
    {
        $found = glob(sys_get_temp_dir().'/'.self::PREFIX.'*.zip');
        foreach (false === $found ? [] : $found as $file) {
            if ((int) @filemtime($file) < time() - self::OLDEST) {
                @unlink($file);
            }
        }
    }

    private static function path(string $whose): string
    {
        return sys_get_temp_dir().'/'.self::PREFIX.$whose.'.zip';
    }
}
