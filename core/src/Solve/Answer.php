<?php

declare(strict_types=1);

namespace Olvek\Core\Solve;

use Olvek\Core\Margin\Term;

/** What an inverse question came to: an answer with the edits that would take it, or no answer and why. */
final readonly class Answer
{
    /**
     * @param string                $sentence the answer, or "No answer, because …"
     * @param array<string, string> $edits    typed text by place (metric units); empty where nothing is to be changed
     * @param list<Term>            $terms    the numbers behind it
     * @param int                   $runs     years run to find it
     * @param bool                  $complete false where nobody waited for all to be tried
     */
    private function __construct(
        public bool $found,
        public string $sentence,
        public array $edits,
        public array $terms,
        public int $runs,
        public bool $complete = true,
    ) {
    }

    /**
     * @param array<string, string> $edits
     * @param list<Term>            $terms
     */
    public static function found(string $sentence, array $edits, array $terms, int $runs): self
    {
        return new self(true, $sentence, $edits, $terms, $runs);
    }

    /**
     * What was known when nobody waited any longer; with edits where it can be taken all the same.
     *
     * @param array<string, string> $edits
     * @param list<Term>            $terms
     */
    public static function soFar(string $sentence, array $edits, array $terms, int $runs): self
    {
        return new self([] !== $edits, $sentence, $edits, $terms, $runs, false);
    }

    /** @param list<Term> $terms */
    public static function none(string $because, array $terms, int $runs): self
    {
        return new self(false, 'No answer, because '.$because, [], $terms, $runs);
    }
}
