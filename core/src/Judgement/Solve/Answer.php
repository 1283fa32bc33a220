<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Solve;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Judgement\Margin\Term;
use Olvek\Core\Planning\Change\Change;
use Olvek\Core\Planning\Change\Changes;

/** What an inverse question came to: an answer with the changes that would take it, or no answer and why. */
final readonly class Answer
{
    /**
     * @param non-empty-list<Message> $sentences the answer, or why there is none
     * @param list<Change>            $changes   that take it; empty where nothing is to be changed
     * @param list<Term>              $terms     the numbers behind it
     * @param int                     $runs      years run to find it
     * @param bool                    $complete  false where nobody waited for all to be tried
     */
    private function __construct(
        public bool $found,
        public array $sentences,
        public array $changes,
        public array $terms,
        public int $runs,
        public bool $complete = true,
    ) {
    }

    /**
     * @param Message|non-empty-list<Message> $sentences
     * @param list<Change>                    $changes
     * @param list<Term>                      $terms
     */
    public static function found(Message|array $sentences, array $changes, array $terms, int $runs): self
    {
        return new self(true, \is_array($sentences) ? $sentences : [$sentences], $changes, $terms, $runs);
    }

    /**
     * What was known when nobody waited any longer; with changes where it can be taken all the same.
     *
     * @param Message|non-empty-list<Message> $sentences
     * @param list<Change>                    $changes
     * @param list<Term>                      $terms
     */
    public static function soFar(Message|array $sentences, array $changes, array $terms, int $runs): self
    {
        return new self([] !== $changes, \is_array($sentences) ? $sentences : [$sentences], $changes, $terms, $runs, false);
    }

    /** @return array<string, string> the changes as a form carries them, typed text by place */
    public function edits(): array
    {
        return Changes::typed($this->changes);
    }

    /**
     * @param Message|non-empty-list<Message> $because
     * @param list<Term>                      $terms
     */
    public static function none(Message|array $because, array $terms, int $runs): self
    {
        return new self(false, \is_array($because) ? $because : [$because], [], $terms, $runs);
    }
}
