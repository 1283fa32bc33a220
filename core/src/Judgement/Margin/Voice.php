<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin;

/** Who speaks in a margin. They are never mixed: a tank that carries itself is not refused for what a method asks besides. */
enum Voice: string
{
    /** Does the tank carry itself? From the run. */
    case Balance = 'balance';
    /** Are the animals kept as their kinds need? Minima as the trade states them, held against the run. */
    case Welfare = 'welfare';
    /** What methods ask: notes that name who disagrees, never a failure by themselves. */
    case Practice = 'practice';
}
