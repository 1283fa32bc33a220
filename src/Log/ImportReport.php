<?php

declare(strict_types=1);

namespace Olvek\Log;

/** What came of a table: what was taken, what stood there already, and each line that was not taken, with its reason. */
final class ImportReport
{
    /** Reasons that are shown; more are counted. */
    public const SHOWN = 50;

    public int $kept = 0;
    public int $known = 0;
    public int $faults = 0;
    /** @var list<array{line: int, why: string}> */
    public array $refused = [];

    public function keep(): void
    {
        ++$this->kept;
    }

    public function known(): void
    {
        ++$this->known;
    }

    public function refuse(int $line, string $why): void
    {
        if (++$this->faults <= self::SHOWN) {
            $this->refused[] = ['line' => $line, 'why' => $why];
        }
    }
}
