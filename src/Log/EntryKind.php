<?php

declare(strict_types=1);

namespace Olvek\Log;

/** What a line of the logbook is. */
enum EntryKind: string
{
    case Reading = 'reading';
    /** Stored by the name that it had first. */
    case Done = 'deed';
    case Sighting = 'sighting';
    case Note = 'note';
}
