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

    /** Share of tanks that must come through for it to be fine, and below which it is not. J. */
    private const FINE = 0.8;
    private const NOT = 0.5;
    /** Share of tanks by which it may be worse, and is better. J: below it is chance. */
    private const CHANCE = 0.1;

    /**
     * @param float $held  share (0–1) of tanks in which nothing comes to harm as it goes on now
     * @param float $holds and where it is done
     */
    public static function of(float $held, float $holds): self
    {
        return match (true) {
            $holds >= $held + self::CHANCE => self::Helps,
            $holds >= self::FINE && $holds >= $held - self::CHANCE => self::Fine,
            $holds < self::NOT && $held - $holds > self::CHANCE, $held - $holds > self::NOT / 2 => self::BetterNot,
            // Few do well as it is; with it hardly any would.
            $holds <= $held / 2 && $held - $holds > self::CHANCE / 2 => self::BetterNot,
            default => self::Unsure,
        };
    }

    /** Whether it may be done. */
    public function isGood(): bool
    {
        return self::Fine === $this || self::Helps === $this;
    }
}
