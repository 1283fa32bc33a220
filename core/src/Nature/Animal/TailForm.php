<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Animal;

/** How a fish’s tail is cut. */
enum TailForm: string
{
    case Fork = 'fork';
    case Lyre = 'lyre';
    case None = 'none';
    case Point = 'point';
    case Round = 'round';
    case Sword = 'sword';
    case Veil = 'veil';
}
