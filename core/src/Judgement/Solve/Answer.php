<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Solve;

use Olvek\Core\Judgement\Margin\Term;
use Olvek\Core\Planning\Change\Change;
use Olvek\Core\Planning\Change\Changes;

/** What an inverse question came to: an answer with the changes that would take it, or no answer and why. */
final readonly class Answer
{
    /**
     * @param string                $sentence the answer, or "No solution: …"
     * @param list<Change> $changes that take it; empty where nothing is to be changed
     * @param list<Term>            $terms    the numbers behind it
     * @param int                   $runs     years run to find it
     * @param bool                  $complete false where nobody waited for all to be tried
     */
    private function __construct(
        public bool $found,
        public string $sentence,
        public array $changes,
        public array $terms,
        public int $runs,
        public bool $complete = true,
    ) {
    }

    /**
     * @param list<Change> $changes
     * @param list<Term>            $terms
     */
    public static function found(string $sentence, array $changes, array $terms, int $runs): self
    {
        return new self(true, $sentence, $changes, $terms, $runs);
    }

    /**
     * What was known when nobody waited any longer; with changes where it can be taken all the same.
     *
     * @param list<Change> $changes
     * @param list<Term>            $terms
     */
    public static function soFar(string $sentence, array $changes, array $terms, int $runs): self
    {
        return new self([] !== $changes, $sentence, $changes, $terms, $runs, false);
    }

    /** @return array<string, string> the changes as a form carries them, typed text by place */
    public function edits(): array
    {
        return Changes::typed($this->changes);
    }

    /** @param list<Term> $terms */
    public static function none(string $because, array $terms, int $runs): self
    {
        return new self(false, 'No solution: '.$because, [], $terms, $runs);
    }
}
