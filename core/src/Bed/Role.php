<?php

declare(strict_types=1);

namespace Olvek\Core\Bed;

/** What a bed material is for. */
enum Role: string
{
    case Soil = 'soil';
    case Cap = 'cap';
}
