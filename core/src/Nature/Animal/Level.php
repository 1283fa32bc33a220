<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Animal;

/** Where in the water an animal mostly is. */
enum Level: string
{
    case Top = 'top';
    case Middle = 'middle';
    case Bottom = 'bottom';
}
