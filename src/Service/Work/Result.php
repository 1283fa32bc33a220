<?php

declare(strict_types=1);

namespace Olvek\Service\Work;

use Olvek\Service\Site\ResultCache;

/** What came of a job. */
final readonly class Result
{
    /** Seconds for which something unfinished is kept: whoever asks again later gets another try. */
    private const SOON = 300;

    private function __construct(public mixed $value, public int $seconds)
    {
    }

    public static function whole(mixed $value): self
    {
        return new self($value, ResultCache::DAY);
    }

    /** As far as it came before patience was spent. */
    public static function unfinished(mixed $value): self
    {
        return new self($value, self::SOON);
    }
}
