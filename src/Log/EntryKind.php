<?php

declare(strict_types=1);

namespace Olvek\Log;

use Olvek\Core\Log\LogBuilder;

/** What a line of the logbook is. */
enum EntryKind: string
{
    case Reading = LogBuilder::READING;
    /** Stored by the name that it had first. */
    case Done = LogBuilder::DONE;
    case Sighting = LogBuilder::SIGHTING;
    case Note = LogBuilder::NOTE;
}
