<?php

declare(strict_types=1);

namespace Olvek\Core;

/** Whatever the core refuses: one name by which a caller may catch all of it. */
interface CoreException extends \Throwable
{
}
