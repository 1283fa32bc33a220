<?php

declare(strict_types=1);

namespace Olvek\Service\Transfer;

/** What came of bringing a file back, tank by tank, and what of it could not be understood. */
final class ImportResult
{
    /** Faults that are told; more are counted. */
    private const MOST = 200;

    /** @var list<array{tank: string, words: string}> */
    public array $tanks = [];
    /** @var list<array{file: string, line: int|null, words: string}> */
    public array $faults = [];
    public int $more = 0;
    /** Tanks that were not looked at, or not to their end, since there was not time for all. */
    public int $left = 0;
    /** Whether the keeper's settings were taken too. */
    public bool $settings = false;

    public function tank(string $name, string $words): void
    {
        $this->tanks[] = ['tank' => $name, 'words' => $words];
    }

    public function fault(string $file, ?int $line, string $words): void
    {
        if (\count($this->faults) < self::MOST) {
            $this->faults[] = ['file' => mb_substr(mb_scrub($file), 0, 120), 'line' => $line, 'words' => $words];
        } else {
            ++$this->more;
        }
    }
}
