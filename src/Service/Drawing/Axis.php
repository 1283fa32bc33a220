<?php

declare(strict_types=1);

namespace Olvek\Service\Drawing;

/** Along which a handle moves in its drawing. */
enum Axis: string
{
    case Across = 'x';
    case Up = 'y';
}
