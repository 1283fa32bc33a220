<?php

declare(strict_types=1);

namespace Olvek\Service\Site;

/** Writes files into a ZIP on the disk, never holding many of them at once. */
final class Zip
{
    /** Bytes that wait in memory before they are written. */
    private const HELD = 16_000_000;
    /** When each file in it was changed, as far as the ZIP says: one time for all, so that the same contents are the same file. */
    private const CHANGED = 1_767_225_600;

    /**
     * @param iterable<string, string> $files contents by path
     *
     * @return string path of a file that the caller removes
     */
    public static function of(iterable $files): string
    {
        $path = tempnam(sys_get_temp_dir(), 'olvek');
        if (false === $path) {
            throw new \RuntimeException('There is no room for a file that is being made.');
        }
        try {
            $zip = self::open($path, \ZipArchive::OVERWRITE);
            $held = 0;
            foreach ($files as $name => $contents) {
                $zip->addFromString($name, $contents);
                $zip->setMtimeName($name, self::CHANGED);
                $held += \strlen($contents);
                if ($held > self::HELD) {
                    self::close($zip);
                    $zip = self::open($path, 0);
                    $held = 0;
                }
            }
            self::close($zip);
        } catch (\Throwable $failed) {
            @unlink($path);
            throw $failed;
        }

        return $path;
    }

    private static function open(string $path, int $flags): \ZipArchive
    {
        $zip = new \ZipArchive();
        if (true !== $zip->open($path, $flags)) {
            throw new \RuntimeException('A ZIP file could not be made.');
        }

        return $zip;
    }

    private static function close(\ZipArchive $zip): void
    {
        if (!$zip->close()) {
            throw new \RuntimeException('A ZIP file could not be written: '.$zip->getStatusString());
        }
    }
}
