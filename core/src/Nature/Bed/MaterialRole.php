<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Bed;

/** What a bed material is for. */
enum MaterialRole: string
{
    case Soil = 'soil';
    case Cap = 'cap';
}
