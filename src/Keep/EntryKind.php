<?php

declare(strict_types=1);

namespace Olvek\Keep;

/** What a line of the logbook is. */
enum EntryKind: string
{
    case Reading = 'reading';
    case Deed = 'deed';
    case Sighting = 'sighting';
}
