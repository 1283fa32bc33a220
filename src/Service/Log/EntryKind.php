<?php

declare(strict_types=1);

namespace Olvek\Service\Log;

use Olvek\Core\Keeping\Log\LogBuilder;

/** What a line of the logbook is. */
enum EntryKind: string
{
    case Reading = LogBuilder::READING;
    /** Stored by the name that it had first. */
    case Done = LogBuilder::DONE;
    case Sighting = LogBuilder::SIGHTING;
    case Note = LogBuilder::NOTE;
    /** Something that is tried against the cause of a sign, and what came of it. */
    case Tried = LogBuilder::TRIED;
    case Came = LogBuilder::CAME;
}
