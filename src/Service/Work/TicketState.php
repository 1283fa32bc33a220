<?php

declare(strict_types=1);

namespace Olvek\Service\Work;

/** How a question that was asked stands. */
enum TicketState
{
    case Done;
    /** A worker is at it. */
    case Underway;
    /** Another of the keeper's questions is being worked out. */
    case Busy;
    /** The keeper has asked more than one may in a while. */
    case TooOften;
}
