<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Sign;

/** How much there was of something in these days: as it was read, or else as the run has it. */
final readonly class Level
{
    /** @param string $words "nitrate read 0 mg/L on day 14" */
    public function __construct(public float $value, public string $words, public Source $source, public int $day)
    {
    }

    /** Whether a fact is so of it (Finding::ramp). */
    public function finding(string $fact, float $no, float $yes): Finding
    {
        return new Finding($fact, Finding::ramp($this->value, $no, $yes), $this->words, $this->source, $this->day);
    }
}
