<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Sign;

/** From where a fact about a tank is known, and how far that is believed. */
enum Source: string
{
    case Read = 'read';
    case Logged = 'logged';
    case Told = 'told';
    case Planned = 'planned';
    case Run = 'run';
    /** By a run of a plan that was made up from a few answers. */
    case Guess = 'guess';

    /**
     * 1 where what it says is so, 0 where it says nothing. J: a test or a line may be wrong one time in thirty, a plan one in twenty, a run
     * one in four.
     */
    public function trust(): float
    {
        return match ($this) {
            self::Read, self::Logged, self::Told => 0.94,
            self::Planned => 0.9,
            self::Run => 0.5,
            self::Guess => 0.25,
        };
    }
}
