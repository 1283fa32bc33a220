<?php

declare(strict_types=1);

namespace Olvek\Service\Transfer;

/** What of a tank has come onto the shelf. */
final class BroughtTank
{
    public int $plans = 0;
    public int $lines = 0;
    public int $marks = 0;
    public int $photos = 0;
    /** Whether its plans have gone another way here, and were left as they are. */
    public bool $isElsewhere = false;

    public function __construct(public readonly bool $isNew, public readonly bool $wasRemoved)
    {
    }

    /** Behind the tank's name. */
    public function words(): string
    {
        $added = array_filter([
            self::number($this->plans, 'revision', 'revisions'),
            self::number($this->lines, 'log entry', 'log entries'),
            self::number($this->photos, 'photo', 'photos'),
        ], static fn (string $words): bool => '' !== $words);
        $all = [] === $added ? '' : implode(', ', $added);
        $were = \sprintf('%s %s added', $all, 1 === $this->plans + $this->lines + $this->photos ? 'was' : 'were');

        return match (true) {
            $this->isNew => "is on the shelf, with $all.",
            $this->isElsewhere => 'is already here and has changed since; its plans were left as they are here'.
                ('' === $all ? '.' : ", and $were."),
            $this->wasRemoved => 'had been removed and is back'.('' === $all ? '.' : "; $were."),
            '' === $all && 0 === $this->marks => 'is already here, with everything in the file.',
            '' === $all => 'is already here; its ticked build steps were added.',
            default => "is already here; $were.",
        };
    }

    private static function number(int $n, string $one, string $many): string
    {
        return 0 === $n ? '' : $n.' '.(1 === $n ? $one : $many);
    }
}
