<?php

declare(strict_types=1);

namespace Olvek\Core\Basis\Message;

/** A value within a message that is said in a keeper's own way: in units, or on the scales of a test kit. */
interface Value
{
}
