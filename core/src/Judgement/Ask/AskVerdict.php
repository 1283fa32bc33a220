<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Ask;

/** What comes of a question. */
enum AskVerdict: string
{
    case Fine = 'fine';
    case Helps = 'helps';
    case Unsure = 'unsure';
    case BetterNot = 'better-not';

    public function words(): string
    {
        return match ($this) {
            self::Fine => 'Nothing speaks against it',
            self::Helps => 'It would help',
            self::Unsure => 'Not clear yet',
            self::BetterNot => 'Better not',
        };
    }

    /** Whether it may be done. */
    public function isGood(): bool
    {
        return self::Fine === $this || self::Helps === $this;
    }
}
