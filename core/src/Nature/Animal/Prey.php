<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Animal;

/** What an animal eats beside what it is given. */
enum Prey: string
{
    case Shrimplets = 'shrimplets';
    case Shrimp = 'shrimp';
    case Fry = 'fry';
    case Plants = 'plants';
    case Algae = 'algae';
    case Mulm = 'mulm';
    case Snails = 'snails';
}
