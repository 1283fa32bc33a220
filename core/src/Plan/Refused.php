<?php

declare(strict_types=1);

namespace Olvek\Core\Plan;

use Olvek\Core\CoreException;
use Olvek\Core\Unit\UnitSystem;

/** Something was typed that cannot be taken: why, beside each place. */
interface Refused extends CoreException
{
    /** @return array<string, string> message by path; the first where a path has several */
    public function messages(UnitSystem $units): array;
}
