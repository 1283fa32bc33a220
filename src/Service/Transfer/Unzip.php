<?php

declare(strict_types=1);

namespace Olvek\Service\Transfer;

/**
 * Reads a ZIP that somebody sent: only files that are asked for by name, and never more of one than it should hold. Nothing is unpacked
 * onto the disk.
 */
final readonly class Unzip
{
    private const MOST_FILES = 60_000;
    /** Bytes of all files together, as they say themselves, and of one. */
    private const MOST = 1_500_000_000;
    public const MOST_MANIFEST = 2_000_000;
    public const MOST_PLAN = 1_000_000;
    public const MOST_TABLE = 100_000_000;
    public const MOST_PHOTO = 15_000_000;

    private function __construct(private \ZipArchive $zip)
    {
    }

    /** @throws UnreadableFile */
    public static function open(string $path): self
    {
        $zip = new \ZipArchive();
        if (true !== $zip->open($path, \ZipArchive::RDONLY)) {
            throw new UnreadableFile(
                'This isn’t a ZIP file, or only part of it came. Choose a file that was downloaded from Olvek’s account page.',
            );
        }
        if ($zip->numFiles > self::MOST_FILES) {
            throw new UnreadableFile('This ZIP file holds more files than Olvek makes.');
        }
        $all = 0;
        for ($n = 0; $n < $zip->numFiles; ++$n) {
            $all += (int) ($zip->statIndex($n)['size'] ?? 0);
        }
        if ($all > self::MOST) {
            throw new UnreadableFile(
                'This ZIP file holds more than Olvek makes. Unpacked it would fill some '.(int) ($all / 1e6).' megabytes.',
            );
        }

        return new self($zip);
    }

    public function has(string $name): bool
    {
        return false !== $this->zip->locateName($name);
    }

    /** A file's text; null where there is none of that name, or it is larger than such a file can be. */
    public function text(string $name, int $most): ?string
    {
        $stat = $this->zip->statName($name);
        if (false === $stat || $stat['size'] > $most) {
            return null;
        }
        // As long as it says, and no longer.
        $text = 0 === $stat['size'] ? '' : $this->zip->getFromName($name, $stat['size']);

        return false === $text ? null : $text;
    }

    /**
     * A file that may be long, read from its beginning to its end and never held in memory as a whole.
     *
     * @return resource|null where there is none of that name, or it is larger than such a file can be
     */
    public function stream(string $name, int $most): mixed
    {
        $stat = $this->zip->statName($name);
        $in = false === $stat || $stat['size'] > $most ? false : $this->zip->getStream($name);
        $out = fopen('php://temp/maxmemory:1000000', 'w+');
        if (false === $in || false === $stat || false === $out) {
            return null;
        }
        // As long as it says, and no longer.
        stream_copy_to_stream($in, $out, $stat['size']);
        fclose($in);
        rewind($out);

        return $out;
    }
}
