<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Plan;

use Olvek\Core\CoreException;

/** An edit that names something the plan or the catalogue does not have; the message says what to do. */
final class RefusedEdit extends \InvalidArgumentException implements CoreException
{
}
