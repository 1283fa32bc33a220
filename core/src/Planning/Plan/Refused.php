<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Plan;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\CoreException;

/** Something was typed that cannot be taken: why, beside each place. */
interface Refused extends CoreException
{
    /** @return array<string, string> message by path; the first where a path has several */
    public function messages(UnitSystem $units): array;
}
