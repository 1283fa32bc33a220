<?php

declare(strict_types=1);

namespace Olvek\Core\Basis\TimeLimit;

use Olvek\Core\CoreException;

/**
 * Nobody waits any longer: what is known by now is the answer.
 *
 * @internal
 */
final class OutOfTime extends \RuntimeException implements CoreException
{
}
