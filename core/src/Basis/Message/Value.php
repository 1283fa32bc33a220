<?php

declare(strict_types=1);

namespace Olvek\Core\Basis\Message;

/** A value within a message that is formatted for the reader: in their units, or on the scale of their test kit. */
interface Value
{
}
