<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Start;

/** How far a gate of the first weeks is. */
enum GateState: string
{
    /** Passed. */
    case Passed = 'passed';
    /** All that it waits for is there: the next step may be taken. */
    case Ready = 'ready';
    /** It is its turn, and it waits for something. */
    case Waits = 'waits';
    /** Others come before it. */
    case Later = 'later';

    public function words(): string
    {
        return match ($this) {
            self::Passed => 'done',
            self::Ready => 'ready',
            self::Waits => 'waiting',
            self::Later => 'later',
        };
    }
}
