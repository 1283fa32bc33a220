<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Plant;

/** What colour leaves are. */
enum LeafColour: string
{
    case Bright = 'bright';
    case Brown = 'brown';
    case Copper = 'copper';
    case Dark = 'dark';
    case Deep = 'deep';
    case Mid = 'mid';
    case Moss = 'moss';
    case Pink = 'pink';
    case Red = 'red';
    case Silver = 'silver';
    case Variegated = 'variegated';
}
