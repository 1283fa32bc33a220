<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Animal;

/** What colour an animal is, or its marks are. */
enum Coat: string
{
    case Black = 'black';
    case Blue = 'blue';
    case Brown = 'brown';
    case Clear = 'clear';
    case Copper = 'copper';
    case Gold = 'gold';
    case Green = 'green';
    case Olive = 'olive';
    case Orange = 'orange';
    case Pink = 'pink';
    case Red = 'red';
    case Silver = 'silver';
    case White = 'white';
}
