<?php

declare(strict_types=1);

namespace Olvek\Service\Log;

use Symfony\Component\Uid\Uuid;

/** What came of a table: how many entries were taken, how many stood there already, and each line that was not taken, with its reason. */
final class LogImportReport
{
    /** Reasons that are shown; more are counted. */
    public const SHOWN = 50;

    public int $kept = 0;
    public int $known = 0;
    public int $faults = 0;
    /** @var list<array{line: int, why: string}> */
    public array $refused = [];

    /** By which all of it is undone; null where nothing was kept. */
    public ?Uuid $batch = null;
    /** Why not all of it was looked at; '' where it was. */
    public string $stopped = '';

    public function keep(int $entries): void
    {
        $this->kept += $entries;
    }

    public function known(int $entries): void
    {
        $this->known += $entries;
    }

    public function stop(string $why): void
    {
        $this->stopped = $why;
    }

    public function refuse(int $line, string $why): void
    {
        if (++$this->faults <= self::SHOWN) {
            $this->refused[] = ['line' => $line, 'why' => $why];
        }
    }
}
