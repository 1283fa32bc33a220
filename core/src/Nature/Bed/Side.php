<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Bed;

/** The two panes between which a bed slopes. */
enum Side: string
{
    case Front = 'front';
    case Back = 'back';
}
